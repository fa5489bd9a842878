/** What happened to a record. */
export const AUDIT_DEEDS = ['made', 'changed', 'deleted', 'brought-back'] as const;
export type AuditDeed = (typeof AUDIT_DEEDS)[number];

/** Records of which every change is noted, by their names in the database. What is fetched, sent by phones in runs, or let in with, is not. */
export const AUDITED_RECORDS = [
  'vehicle',
  'place',
  'wash',
  'customer',
  'booking',
  'message',
  'product',
  'gear',
  'setting',
  'drive',
  'swab',
  'spot',
  'soil_look',
  'sight',
  'access_user',
] as const;
export type AuditedRecord = (typeof AUDITED_RECORDS)[number];

/** One field that is not as it was. */
export interface AuditField {
  readonly field: string;
  readonly before: unknown;
  readonly after: unknown;
}

/** One change of one record. */
export interface AuditEntry {
  readonly seq: number;
  /** On the shop's clock. */
  readonly atMs: number;
  /** The account that did it; null: nobody was signed in, or the program did it itself. */
  readonly who: string | null;
  /** The phone or computer by its name; null: it has none. */
  readonly device: string | null;
  readonly record: AuditedRecord;
  readonly recordId: string;
  /** What the record is called; null: it has no name. */
  readonly name: string | null;
  readonly deed: AuditDeed;
  readonly fields: readonly AuditField[];
}

/** Changes, the newest first. */
export interface AuditPage {
  readonly entries: readonly AuditEntry[];
  /** From which number on older ones are asked for; null: there are none. */
  readonly olderFrom: number | null;
  /** Everybody by whom something was changed, for a choice. */
  readonly people: readonly string[];
}

/** So long a change is remembered, days (judgement: two seasons and what is asked about them). */
export const AUDIT_DAYS = 730;
