import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { createClient } from '@libsql/client';

const COMMAND = fileURLToPath(new URL('../../dist/backup/backup-command.js', import.meta.url));

let folder: string;
let database: string;

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'keen-backup-'));
  database = join(folder, 'keen-rinse.db');
});

afterEach(() => rmSync(folder, { recursive: true, force: true }));

const run = (...args: string[]) =>
  spawnSync(process.execPath, [COMMAND, ...args], {
    encoding: 'utf8',
    env: { ...process.env, KEEN_DATA: folder, NODE_OPTIONS: '' },
  });

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
    expect(run('backup', copy)).toMatchObject({ status: 0, stdout: `Backed up to ${copy}.\n` });
    await sql(database, "update vehicle set name = 'lost'");
    expect(run('restore', copy).status).toBe(0);
    expect(await named(database)).toEqual(['black saloon']);
    expect(await Promise.all(keptBefore().map(named))).toEqual([['lost']]);
    // A second restore overwrites nothing.
    await sql(database, "update vehicle set name = 'lost again'");
    expect(run('restore', copy).status).toBe(0);
    expect((await Promise.all(keptBefore().map(named))).sort()).toEqual([['lost'], ['lost again']]);
  });

  it('never write over a file', async () => {
    await sql(database, 'create table vehicle (name text)');
    const copy = join(folder, 'copy.db');
    writeFileSync(copy, 'precious');
    expect(run('backup', copy)).toMatchObject({
      status: 1,
      stderr: `${copy} exists already; choose another name.\n`,
    });
  });

  it.each([
    { why: 'no database yet', args: ['backup', 'copy.db'], says: /There is no database at .* yet\./ },
    { why: 'no such file', args: ['restore', 'none.db'], says: /There is no file / },
    { why: 'no file named', args: ['backup'], says: /^Use: npm run backup/ },
    { why: 'another verb', args: ['mend', 'x.db'], says: /^Use: npm run backup/ },
  ])('say what is wrong: $why', ({ args: [verb = '', name], says }) => {
    const found = run(verb, ...(name === undefined ? [] : [join(folder, name)]));
    expect(found.status).toBe(1);
    expect(found.stderr).toMatch(says);
  });

  it('change nothing where the file is no database, or not one of these', async () => {
    await sql(database, 'create table vehicle (name text)', "insert into vehicle values ('kept')");
    const text = join(folder, 'text.db');
    writeFileSync(text, 'x'.repeat(5000));
    expect(run('restore', text).stderr).toBe(`${text} cannot be read as a database; nothing was changed.\n`);
    const other = join(folder, 'other.db');
    await sql(other, 'create table song (name text)');
    expect(run('restore', other).stderr).toBe(
      `${other} is not a Keen Rinse database; nothing was changed.\n`,
    );
    expect(await named(database)).toEqual(['kept']);
    expect(keptBefore()).toEqual([]);
  });

  it('refuse to restore under a running server, or what a newer program has changed', async () => {
    await sql(database, 'create table vehicle (name text)', "insert into vehicle values ('kept')");
    const copy = join(folder, 'copy.db');
    expect(run('backup', copy).status).toBe(0);
    writeFileSync(join(folder, 'server.lock'), String(process.pid));
    expect(run('restore', copy).stderr).toMatch(`is running (process ${process.pid})`);
    rmSync(join(folder, 'server.lock'));
    await sql(
      copy,
      'create table __drizzle_migrations (id integer primary key, hash text, created_at numeric)',
      "insert into __drizzle_migrations (hash, created_at) values ('later', 9999999999999)",
    );
    expect(run('restore', copy).stderr).toMatch(/changed by a newer version of the program/);
    expect(await named(database)).toEqual(['kept']);
  });

  it('say that a live copy is none', () => {
    const found = run('takeover', join(folder, 'nothing'));
    expect(found.status).toBe(1);
    expect(found.stderr).toMatch(/^No live copy could be read from .*nothing/);
  });
});
