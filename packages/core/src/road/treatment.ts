import { BRINE_AGENT_IDS, type SaltAgent } from '../brine/index.js';
import { FieldError, requireInRange, MS_PER_HOUR } from '../quantity/index.js';

export const ROAD_CLASSES = ['main', 'town', 'bridge'] as const;
export type RoadClass = (typeof ROAD_CLASSES)[number];

/** A treatment as a road authority reports it. */
export interface Treatment {
  readonly atMs: number;
  readonly roadClass: RoadClass;
  readonly agent: SaltAgent;
  readonly gramsPerM2: number;
}

/** The heaviest rate that any spreader lays down, g/m² (judgement). */
export const HEAVIEST_GRAMS_PER_M2 = 80;

/** From when to when a treatment makes sense to the ledger. */
export interface TreatmentSpan {
  /** The ledger begins here: what came before cannot count. */
  readonly fromMs: number;
  /** Nobody announces further ahead. */
  readonly toMs: number;
}

const oneOf = (field: string, value: string, allowed: readonly string[]): void => {
  if (allowed.includes(value)) return;
  throw new FieldError(
    'unknown-name',
    field,
    `treatment: ${field} is ${value || 'empty'}; allowed is ${allowed.join(', ')}`,
  );
};

const day = (atMs: number): string => new Date(atMs).toISOString().slice(0, 16).replace('T', ' ');

/**
 * Is this a treatment that the ledger can count?
 *
 * @throws FieldError naming agent, roadClass, gramsPerM2 or atMs
 */
export function requireTreatment(treatment: Treatment, span: TreatmentSpan): void {
  oneOf('roadClass', treatment.roadClass, ROAD_CLASSES);
  oneOf('agent', treatment.agent, BRINE_AGENT_IDS);
  requireInRange(
    'treatment',
    { gramsPerM2: treatment.gramsPerM2 },
    { min: 0.1, max: HEAVIEST_GRAMS_PER_M2, unit: 'g/m²' },
  );
  if (!Number.isFinite(treatment.atMs))
    throw new FieldError('wrong-type', 'atMs', 'treatment: atMs is not an instant');
  if (treatment.atMs < span.fromMs) {
    throw new FieldError(
      'out-of-range',
      'atMs',
      `treatment: atMs is in the past, before the ledger begins (${day(span.fromMs)} UTC); it cannot count`,
    );
  }
  if (treatment.atMs > span.toMs) {
    throw new FieldError(
      'out-of-range',
      'atMs',
      `treatment: atMs is beyond ${day(span.toMs)} UTC; treatments are not announced so far ahead`,
    );
  }
}

/** The same treatment told twice: same hour, road and agent. */
export const treatmentKey = ({ atMs, roadClass, agent }: Treatment): string =>
  `${Math.floor(atMs / MS_PER_HOUR)} ${roadClass} ${agent}`;
