import type { SaltAgent } from '../brine/index.js';
import { FieldError } from '../quantity/index.js';
import {
  requireTreatment,
  type RoadClass,
  type Treatment,
  treatmentKey,
  type TreatmentSpan,
} from './treatment.js';

/** A line of a table as text, by column. */
export interface TextRow {
  readonly line: number;
  readonly cells: Readonly<Record<string, string>>;
}

export interface RowFault {
  readonly line: number;
  readonly field: string;
  readonly message: string;
}

export interface TreatmentRows {
  readonly treatments: readonly (Treatment & { readonly line: number })[];
  readonly faults: readonly RowFault[];
}

/** Columns of a table of bulletins. */
export const TREATMENT_COLUMNS = ['at', 'roadClass', 'agent', 'gramsPerM2'] as const;

const HAS_OFFSET = /(?:Z|[+-]\d{2}:?\d{2})$/;

function treatmentOf({ cells }: TextRow): Treatment {
  const cell = (name: string): string => (cells[name] ?? '').trim();
  for (const name of TREATMENT_COLUMNS) {
    if (cell(name) === '') throw new FieldError('missing-field', name, `${name} is needed`);
  }
  const atMs = Date.parse(cell('at'));
  if (Number.isNaN(atMs) || !HAS_OFFSET.test(cell('at')))
    throw new FieldError('wrong-type', 'at', `at is ${cell('at')}; it must be an instant with its offset`);
  const gramsPerM2 = Number(cell('gramsPerM2'));
  if (!Number.isFinite(gramsPerM2))
    throw new FieldError(
      'wrong-type',
      'gramsPerM2',
      `gramsPerM2 is ${cell('gramsPerM2')}; it must be a number`,
    );
  return { atMs, roadClass: cell('roadClass') as RoadClass, agent: cell('agent') as SaltAgent, gramsPerM2 };
}

/**
 * Which lines of this table are treatments, and what is wrong with the others?
 *
 * @param rows the table's lines as text, with columns at, roadClass, agent, gramsPerM2
 * @param known keys (treatmentKey) of treatments that are kept already
 * @returns good lines and a fault for each bad one, naming line and field; a treatment told twice is a fault
 */
export function treatmentRows(
  rows: readonly TextRow[],
  known: { readonly keys: ReadonlySet<string>; readonly span: TreatmentSpan },
): TreatmentRows {
  const seen = new Map<string, number>();
  const treatments: (Treatment & { line: number })[] = [];
  const faults: RowFault[] = [];
  for (const row of rows) {
    try {
      const treatment = treatmentOf(row);
      requireTreatment(treatment, known.span);
      const key = treatmentKey(treatment);
      const earlier = seen.get(key);
      if (earlier !== undefined || known.keys.has(key)) {
        const where = earlier === undefined ? 'is kept already' : `stands on line ${earlier} too`;
        throw new FieldError('inconsistent', 'at', `the same hour, road and agent ${where}`);
      }
      seen.set(key, row.line);
      treatments.push({ ...treatment, line: row.line });
    } catch (error) {
      if (!(error instanceof FieldError)) throw error;
      faults.push({ line: row.line, field: error.field, message: error.message });
    }
  }
  return { treatments, faults };
}
