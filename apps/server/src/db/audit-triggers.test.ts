import { afterEach, describe, expect, it } from '@jest/globals';
import { AUDITED_RECORDS } from '@keen/core';
import { sql } from 'drizzle-orm';
import { ownDatabase } from '../testing/own-database.js';
import type { OpenDatabase } from './database.js';
import { audit, gear, settings } from './schema.js';

const TOWEL = {
  id: 'towel',
  name: 'Towel',
  kind: 'folded-towel',
  count: 9,
  cleanCount: 9,
  litresUsed: 0,
  notes: '',
} as const;

let open: OpenDatabase;
afterEach(() => open.close());

describe('triggers that note every change', () => {
  it('stand on every audited table, three on each', async () => {
    open = await ownDatabase();
    const rows = await open.db.all<{ tbl_name: string }>(
      sql`select tbl_name from sqlite_master where type = 'trigger'`,
    );
    const counts = new Map<string, number>();
    for (const { tbl_name } of rows) counts.set(tbl_name, (counts.get(tbl_name) ?? 0) + 1);
    expect(Object.fromEntries(counts)).toEqual(
      Object.fromEntries(AUDITED_RECORDS.map((table) => [table, 3])),
    );
  });

  it('keep the row before and after, and nothing where nothing changed', async () => {
    open = await ownDatabase();
    const { db } = open;
    await db.insert(gear).values(TOWEL);
    await db.update(gear).set({ cleanCount: 9 });
    await db.update(gear).set({ cleanCount: 8 });
    await db.delete(gear);
    const rows = await db.select().from(audit);
    expect(rows.map(({ deed }) => deed)).toEqual(['made', 'changed', 'deleted']);
    expect(rows[1]).toMatchObject({ record: 'gear', recordId: 'towel' });
    expect([rows[1]?.before?.clean_count, rows[1]?.after?.clean_count]).toEqual([9, 8]);
    expect([rows[0]?.before, rows[2]?.after]).toEqual([null, null]);
  });

  it('tell nothing of what lets somebody in', async () => {
    open = await ownDatabase();
    await open.db.insert(settings).values([
      { key: 'feedSecret', value: 'hush' },
      { key: 'units', value: 'metric' },
    ]);
    const rows = await open.db.select().from(audit);
    expect(rows.map(({ recordId }) => recordId)).toEqual(['units']);
  });
});
