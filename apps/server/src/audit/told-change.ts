import {
  type AuditDeed,
  type AuditEntry,
  type AuditedRecord,
  type AuditField,
  DEFAULT_DISPLAY,
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  DEFAULT_PRICES,
  DEFAULT_SEASON,
} from '@keen/core';
import type { AuditRow } from '../records/audit.repository.js';

type Row = Readonly<Record<string, unknown>>;

/** The store's own, and keys that say nothing to a reader. */
const OWN: ReadonlySet<string> = new Set([
  'revision',
  'removed_ms',
  'id',
  'updated_at',
  'email',
  'email_verified',
]);

/** What a setting is until somebody chooses: its first change is from that. */
const SHIPPED: Readonly<Record<string, unknown>> = {
  display: DEFAULT_DISPLAY,
  house: DEFAULT_HOUSE,
  limits: DEFAULT_LIMITS,
  prices: DEFAULT_PRICES,
  season: DEFAULT_SEASON,
};

const camel = (column: string): string =>
  column.replaceAll(/_([a-z])/g, (_, letter: string) => letter.toUpperCase());

/** What stands as text in the database and is a list or an object. */
function plain(value: unknown): unknown {
  if (typeof value !== 'string' || !/^[[{]/.test(value)) return value;
  try {
    return JSON.parse(value) as unknown;
  } catch {
    return value;
  }
}

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Of an object only the parts that changed are shown: a list of forty limits of which one moved is no help. */
function fieldsOf(field: string, before: unknown, after: unknown): AuditField[] {
  const isObject = (value: unknown): value is Row =>
    typeof value === 'object' && value !== null && !Array.isArray(value);
  if (!isObject(before) || !isObject(after)) return [{ field, before, after }];
  return [...new Set([...Object.keys(before), ...Object.keys(after)])]
    .filter((key) => !isSame(before[key], after[key]))
    .map((key) => ({ field: `${field}.${key}`, before: before[key] ?? null, after: after[key] ?? null }));
}

function changedFields(before: Row | null, after: Row | null): AuditField[] {
  return [...new Set([...Object.keys(before ?? {}), ...Object.keys(after ?? {})])]
    .filter((column) => !OWN.has(column))
    .flatMap((column) => {
      const [was, is] = [plain(before?.[column] ?? null), plain(after?.[column] ?? null)];
      return isSame(was, is) ? [] : fieldsOf(camel(column), was, is);
    });
}

/** What is taken away for the time being is only marked. */
function deedOf({ deed, before, after }: AuditRow): AuditDeed {
  if (deed !== 'changed' || !before || !after) return deed;
  const [was, is] = [before.removed_ms ?? null, after.removed_ms ?? null];
  if (was === null && is !== null) return 'deleted';
  return was !== null && is === null ? 'brought-back' : deed;
}

/** A setting has its value before it stands in the table. */
function settingBefore({ record, recordId, before, after }: AuditRow): Row | null {
  if (record !== 'setting' || before !== null || after === null) return before;
  return { ...after, value: SHIPPED[recordId] ?? null };
}

/** A row of the audit as a reader has it; null: nothing that a reader would see has changed. */
export function toldChange(row: AuditRow): AuditEntry | null {
  const { seq, atMs, who, device, record, recordId, after } = row;
  const before = settingBefore(row);
  const deed = record === 'setting' ? 'changed' : deedOf(row);
  const fields = changedFields(before, after);
  if (deed === 'changed' && fields.length === 0) return null;
  const whole = after ?? before ?? {};
  const name = whole.name ?? whole.key ?? null;
  return {
    seq,
    atMs,
    who,
    device,
    record: record as AuditedRecord,
    recordId,
    name: typeof name === 'string' ? name : null,
    deed,
    fields,
  };
}
