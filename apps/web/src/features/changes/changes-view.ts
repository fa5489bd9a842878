import { type AuditEntry } from '@keen/core';
import type { Format } from '../../format/format.js';
import { csvText } from '../../parts/csv.js';
import { DEED_NAMES, fieldName, fieldValue, RECORD_NAMES } from '../../words/change-words.js';

/** Names of what records refer to, by id. */
export type NameOf = (id: string) => string | null;

/** A wash or a note of a car has no name of its own: it goes by the car's. */
export function subjectOf(entry: AuditEntry, nameOf: NameOf): string {
  const { record, name, fields } = entry;
  const vehicle = fields.find(({ field }) => field === 'vehicleId');
  const id = vehicle?.after ?? vehicle?.before;
  const told = name ?? (typeof id === 'string' ? nameOf(id) : null) ?? nameOf(entry.recordId);
  const what = RECORD_NAMES[record];
  return told === null ? what : `${what} ${record === 'setting' ? fieldName(told) : told}`;
}

/** Who did it, and on what; empty where nobody has to sign in. */
export const byWhom = ({ who, device }: AuditEntry): string =>
  [who, device].filter((part) => part !== null).join(', ');

/** One field as before and after; what is new or gone has but one side. */
export function fieldText({ deed }: AuditEntry, one: AuditEntry['fields'][number], format: Format): string {
  const { field, before, after } = one;
  const was = fieldValue(field, before, format);
  const is = fieldValue(field, after, format);
  if (deed === 'made') return `${fieldName(field)}: ${is}`;
  if (deed === 'deleted' && after === null) return `${fieldName(field)}: ${was}`;
  return `${fieldName(field)}: ${was} → ${is}`;
}

/** Fields that say something: of a new record those that are filled in. */
export const toldFields = ({ fields }: AuditEntry): AuditEntry['fields'] =>
  fields.filter(({ field, before, after }) => !field.endsWith('Id') && !(isEmpty(before) && isEmpty(after)));

const isEmpty = (value: unknown): boolean => value === null || value === undefined || value === '';

/** A line for each field that changed. */
export const changesCsv = (entries: readonly AuditEntry[], nameOf: NameOf, format: Format): string =>
  csvText(
    ['When', 'Who', 'On', 'Record', 'What happened', 'Field', 'Before', 'After'],
    entries.flatMap((entry) => {
      const head = [
        format.dayTime(entry.atMs),
        entry.who ?? '',
        entry.device ?? '',
        subjectOf(entry, nameOf),
        DEED_NAMES[entry.deed],
      ];
      const told = toldFields(entry);
      if (told.length === 0) return [[...head, '', '', '']];
      return told.map(({ field, before, after }) => [
        ...head,
        fieldName(field),
        fieldValue(field, before, format),
        fieldValue(field, after, format),
      ]);
    }),
  );
