import { afterAll, describe, expect, it } from '@jest/globals';
import { copyFileSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { StartError } from '../config/config.js';
import { openDatabase } from './database.js';
import { products, settings } from './schema.js';

const migrationsFolder = join(import.meta.dirname, '../../drizzle');
const { entries } = JSON.parse(readFileSync(join(migrationsFolder, 'meta/_journal.json'), 'utf8')) as {
  entries: readonly { readonly tag: string; readonly when: number }[];
};
const folder = mkdtempSync(join(tmpdir(), 'keen-db-'));
afterAll(() => rmSync(folder, { recursive: true }));
const at = (name: string) => ({
  dataFolder: folder,
  databaseUrl: `file:${join(folder, `${name}.db`)}`,
  migrationsFolder,
});

let made = 0;
/** A database as the program left it when it had so many migrations. */
async function databaseOf(count: number): Promise<ReturnType<typeof at>> {
  const config = at(`from-${count}-${(made += 1)}`);
  const client = createClient({ url: config.databaseUrl });
  await client.execute(
    'CREATE TABLE __drizzle_migrations (id INTEGER PRIMARY KEY, hash text NOT NULL, created_at numeric)',
  );
  for (const { tag, when } of entries.slice(0, count)) {
    const text = readFileSync(join(migrationsFolder, `${tag}.sql`), 'utf8');
    for (const statement of text.split('--> statement-breakpoint')) await client.execute(statement);
    await client.execute({
      sql: 'INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)',
      args: [tag, when],
    });
  }
  if (count >= 8)
    await client.execute(
      `INSERT INTO product (id, name, role, in_use_ph, usual_parts, fewest_parts, most_parts, kept_in, bottle_ml, left_ml, low_ml, price_minor, notes)
       VALUES ('old', 'Old shampoo', 'shampoo', 7, 500, 200, 1000, 'indoors', 1000, 400, 100, 900, '')`,
    );
  if (count >= 8 && count < 12)
    await client.execute(`UPDATE product SET dwell = '{"from":3,"to":8}' WHERE id = 'old'`);
  const limits = '{"inHandShare":0.5,"blowerLeavesShare":0.4,"tolerableBlockedShare":0.2,"warmWaterC":40}';
  const own: [string, string][] = [
    ['hands', '[{"id":"owner","name":"Owner"}]'],
    ['limits', limits],
  ];
  for (const args of count >= 2 && count < 12 ? own : [])
    await client.execute({ sql: 'INSERT INTO setting (key, value) VALUES (?, ?)', args });
  client.close();
  return config;
}

describe('a database', () => {
  it('stands in order: each migration is later than the one before', () => {
    const whens = entries.map(({ when }) => when);
    expect(whens).toEqual(whens.toSorted((a, b) => a - b));
  });

  it.each(entries.map((_, i) => i + 1))('that had %s migrations opens', async (count) => {
    const { db, close } = await openDatabase(await databaseOf(count));
    const rows = await db.select().from(products);
    expect(rows.map(({ id, carMl }) => [id, carMl])).toEqual(count >= 8 ? [['old', null]] : []);
    await close();
  });

  it.each([2, 8, 11])('that had %s migrations keeps what is its own under the new names', async (count) => {
    const { db, close } = await openDatabase(await databaseOf(count));
    const kept = Object.fromEntries((await db.select().from(settings)).map(({ key, value }) => [key, value]));
    expect(kept).toEqual({
      workers: [{ id: 'owner', name: 'Owner' }],
      limits: {
        inHandFraction: 0.5,
        blowerLeavesFraction: 0.4,
        tolerableBlockedFraction: 0.2,
        warmWaterC: 40,
      },
    });
    const [bottle] = await db.select().from(products);
    expect(bottle?.dwell).toEqual(count >= 8 ? { minMinutes: 3, maxMinutes: 8 } : undefined);
    await close();
  });

  it('keeps a journal while it is open, and is whole in its file alone once it is closed', async () => {
    const config = await databaseOf(entries.length);
    const path = config.databaseUrl.replace('file:', '');
    const { db, close } = await openDatabase(config);
    await db.insert(settings).values({ key: 'timeZone', value: 'Etc/UTC' });
    expect(existsSync(`${path}-wal`)).toBe(true);
    await close();
    const copy = `${path}.copy`;
    copyFileSync(path, copy);
    const again = await openDatabase({ ...config, databaseUrl: `file:${copy}` });
    const kept = await again.db.select().from(settings);
    expect(kept).toContainEqual({ key: 'timeZone', value: 'Etc/UTC' });
    await again.close();
  });

  it('that is none is refused with its name and the cure', async () => {
    writeFileSync(
      join(folder, 'none.db'),
      'This is no database, and long enough to be read as one. '.repeat(40),
    );
    const opening = openDatabase(at('none'));
    await expect(opening).rejects.toBeInstanceOf(StartError);
    await expect(opening).rejects.toThrow(/none\.db cannot be opened: .*KEEN_DATA/s);
  });

  it('that is in use is copied as it was before a new version changes it, and only then', async () => {
    const whole = mkdtempSync(join(folder, 'kept-'));
    const old = await databaseOf(entries.length - 1);
    const config = { ...old, dataFolder: whole };
    await (await openDatabase(config)).close();
    const tag = entries.at(-1)?.tag ?? '';
    const copy = join(whole, 'backups', `before-${tag}.db`);
    expect(existsSync(copy)).toBe(true);
    const client = createClient({ url: `file:${copy}` });
    const { rows } = await client.execute('select count(*) as count from __drizzle_migrations');
    client.close();
    expect(rows[0]?.count).toBe(entries.length - 1);
    rmSync(copy);
    await (await openDatabase(config)).close();
    expect(existsSync(copy)).toBe(false);
  });

  it('that a newer version has changed is refused, and left as it is', async () => {
    const config = await databaseOf(entries.length);
    const client = createClient({ url: config.databaseUrl });
    await client.execute(
      "INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)",
    );
    client.close();
    await expect(openDatabase(config)).rejects.toThrow(/changed by a newer version of the program/);
  });

  it('is copied whole while it is open, into a file that is sound', async () => {
    const config = await databaseOf(entries.length);
    const { db, copyTo, close } = await openDatabase(config);
    await db.insert(settings).values({ key: 'timeZone', value: 'Etc/UTC' });
    const copy = join(folder, 'whole-copy.db');
    await copyTo(copy);
    await close();
    const again = await openDatabase({ ...config, databaseUrl: `file:${copy}` });
    expect(await again.db.select().from(settings)).toContainEqual({ key: 'timeZone', value: 'Etc/UTC' });
    await again.close();
  });
});
