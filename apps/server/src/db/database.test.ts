import { afterAll, describe, expect, it } from '@jest/globals';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { StartError } from '../config/config.js';
import { openDatabase } from './database.js';
import { products } from './schema.js';

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

/** A database as the program left it when it had so many migrations. */
async function databaseOf(count: number): Promise<ReturnType<typeof at>> {
  const config = at(`from-${count}`);
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
    close();
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
});
