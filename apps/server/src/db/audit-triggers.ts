import type { Client, Value } from '@libsql/client';
import { AUDITED_RECORDS } from '@keen/core';

/** Columns whose content is no concern of a reader: what lets somebody in, and pictures. */
const HIDDEN = /secret|password|token|^bytes$/i;

interface Column {
  readonly name: string;
  readonly isKey: boolean;
}

const textOf = (value: Value | undefined): string => (typeof value === 'string' ? value : '');

async function columnsOf(client: Client, table: string): Promise<Column[]> {
  const { rows } = await client.execute(`pragma table_info(${table})`);
  return rows.map((row) => ({ name: textOf(row.name), isKey: Number(row.pk) === 1 }));
}

const asJson = (row: 'old' | 'new', columns: readonly Column[]): string =>
  `json_object(${columns.map(({ name }) => `'${name}', ${row}.${name}`).join(', ')})`;

/** Three triggers of a table: what was made, changed, deleted, with the row before and after. */
function triggersOf(table: string, columns: readonly Column[]): { name: string; sql: string }[] {
  const key = columns.find(({ isKey }) => isKey)?.name ?? 'id';
  const shown = columns.filter(({ name }) => !HIDDEN.test(name));
  // Of a setting the name tells what is hidden.
  const isTold = (row: string): string => (table === 'setting' ? ` and ${row}.key not like '%secret%'` : '');
  const isOther = shown.map(({ name }) => `old.${name} is not new.${name}`).join(' or ');
  const deeds = [
    { deed: 'made', on: 'insert', row: 'new', before: 'null', after: asJson('new', shown), when: '1' },
    {
      deed: 'changed',
      on: 'update',
      row: 'new',
      before: asJson('old', shown),
      after: asJson('new', shown),
      when: `(${isOther})`,
    },
    { deed: 'deleted', on: 'delete', row: 'old', before: asJson('old', shown), after: 'null', when: '1' },
  ] as const;
  return deeds.map(({ deed, on, row, before, after, when }) => ({
    name: `audit_${table}_${on}`,
    sql:
      `CREATE TRIGGER audit_${table}_${on} after ${on} on ${table} when ${when}${isTold(row)} begin ` +
      `insert into audit (at_ms, who, device, record, record_id, deed, before, after) ` +
      `select at_ms, who, device, '${table}', ${row}.${key}, '${deed}', ${before}, ${after} from audit_actor; end`,
  }));
}

/** What an update of the program changes is nobody's deed, no matter who wrote last. */
export async function forgetActor(client: Client): Promise<void> {
  const { rows } = await client.execute("select 1 from sqlite_master where name = 'audit_actor'");
  if (rows.length > 0) await client.execute('update audit_actor set who = null, device = null');
}

/** Makes the triggers that note every change, from the tables as they are; one that is right already stays. */
export async function makeAuditTriggers(client: Client): Promise<void> {
  const { rows } = await client.execute("select name, sql from sqlite_master where type = 'trigger'");
  const present = new Map(rows.map((row) => [textOf(row.name), textOf(row.sql)]));
  const wanted = (
    await Promise.all(AUDITED_RECORDS.map(async (table) => triggersOf(table, await columnsOf(client, table))))
  ).flat();
  const stale = wanted.filter(({ name, sql }) => present.get(name) !== sql);
  if (stale.length > 0)
    await client.batch(
      stale.flatMap(({ name, sql }) => [`drop trigger if exists ${name}`, sql]),
      'write',
    );
}
