import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { createClient } from '@libsql/client';
import { backupCommand } from './backup-shop.js';

let folder: string;
let database: string;

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'keen-backup-'));
  database = join(folder, 'keen-rinse.db');
});

afterEach(() => rmSync(folder, { recursive: true, force: true }));

const run = (...args: string[]): Promise<string> =>
  backupCommand(
    { dataFolder: folder, migrationsFolder: resolve(import.meta.dirname, '../../drizzle') },
    args,
  );

async function sql(file: string, ...statements: string[]): Promise<unknown[]> {
  const client = createClient({ url: `file:${file}` });
  let rows: unknown[] = [];
  for (const statement of statements) rows = [...(await client.execute(statement)).rows];
  client.close();
  return rows;
}

const named = async (file: string): Promise<unknown[]> =>
  (await sql(file, 'select name from vehicle')).map((row) => (row as { name: string }).name);

const keptBefore = (): string[] =>
  readdirSync(folder).flatMap((name) => (name.includes('.before-restore-') ? [join(folder, name)] : []));

describe('backup and restore', () => {
  it('go round: what was backed up comes back, and what was there is kept beside it', async () => {
    await sql(database, 'create table vehicle (name text)', "insert into vehicle values ('black saloon')");
    const copy = join(folder, 'deep', 'copy.db');
    expect(await run('backup', copy)).toBe(`Backed up to ${copy}.`);
    await sql(database, "update vehicle set name = 'lost'");
    expect(await run('restore', copy)).toContain(`Restored from ${copy}. What was there before is kept as`);
    expect(await named(database)).toEqual(['black saloon']);
    expect(await Promise.all(keptBefore().map(named))).toEqual([['lost']]);
    // A second restore overwrites nothing.
    await sql(database, "update vehicle set name = 'lost again'");
    await run('restore', copy);
    expect((await Promise.all(keptBefore().map(named))).sort()).toEqual([['lost'], ['lost again']]);
  });

  it('never write over a file', async () => {
    await sql(database, 'create table vehicle (name text)');
    const copy = join(folder, 'copy.db');
    writeFileSync(copy, 'precious');
    await expect(run('backup', copy)).rejects.toThrow(`${copy} exists already; choose another name.`);
    expect(readFileSync(copy, 'utf8')).toBe('precious');
  });

  it.each([
    { why: 'no database yet', args: ['backup', 'copy.db'], says: /There is no database at .* yet\./ },
    { why: 'no such file', args: ['restore', 'none.db'], says: /There is no file / },
    { why: 'no file named', args: ['backup'], says: /^Use: npm run backup/ },
    { why: 'another verb', args: ['mend', 'x.db'], says: /^Use: npm run backup/ },
  ])('say what is wrong: $why', async ({ args: [verb = '', name], says }) => {
    await expect(run(verb, ...(name === undefined ? [] : [join(folder, name)]))).rejects.toThrow(says);
  });

  it('change nothing where the file is no database, or not one of these', async () => {
    await sql(database, 'create table vehicle (name text)', "insert into vehicle values ('kept')");
    const text = join(folder, 'text.db');
    writeFileSync(text, 'x'.repeat(5000));
    await expect(run('restore', text)).rejects.toThrow(
      `${text} cannot be read as a database; nothing was changed.`,
    );
    const other = join(folder, 'other.db');
    await sql(other, 'create table song (name text)');
    await expect(run('restore', other)).rejects.toThrow(
      `${other} is not a Keen Rinse database; nothing was changed.`,
    );
    expect(await named(database)).toEqual(['kept']);
    expect(keptBefore()).toEqual([]);
  });

  it('refuse to restore under a running server, or what a newer program has changed', async () => {
    await sql(database, 'create table vehicle (name text)', "insert into vehicle values ('kept')");
    const copy = join(folder, 'copy.db');
    await run('backup', copy);
    writeFileSync(join(folder, 'server.lock'), String(process.ppid));
    await expect(run('restore', copy)).rejects.toThrow(`is running (process ${process.ppid})`);
    rmSync(join(folder, 'server.lock'));
    await sql(
      copy,
      'create table __drizzle_migrations (id integer primary key, hash text, created_at numeric)',
      "insert into __drizzle_migrations (hash, created_at) values ('later', 9999999999999)",
    );
    await expect(run('restore', copy)).rejects.toThrow(/changed by a newer version of the program/);
    expect(await named(database)).toEqual(['kept']);
  });

  it('say that a live copy is none', async () => {
    await expect(run('takeover', join(folder, 'nothing'))).rejects.toThrow(
      /^No live copy could be read from .*nothing/,
    );
  });
});
