import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { createClient } from '@libsql/client';
import { readConfig, StartError } from '../config/config.js';

const USAGE = 'Use: npm run backup -- <file>, or npm run restore -- <file>';

async function requireSound(file: string): Promise<void> {
  const client = createClient({ url: `file:${file}` });
  try {
    const { rows } = await client.execute('pragma integrity_check');
    if (rows[0]?.integrity_check !== 'ok') throw new StartError(`${file} is damaged; nothing was changed.`);
    const vehicles = await client.execute("select name from sqlite_master where name = 'vehicle'");
    if (vehicles.rows.length === 0)
      throw new StartError(`${file} is not a Keen Rinse database; nothing was changed.`);
  } catch (error) {
    if (error instanceof StartError) throw error;
    throw new StartError(`${file} cannot be read as a database; nothing was changed.`);
  } finally {
    client.close();
  }
}

async function copyWhole(database: string, target: string): Promise<void> {
  const client = createClient({ url: `file:${database}` });
  try {
    await client.execute({ sql: 'vacuum into ?', args: [target] });
  } finally {
    client.close();
  }
}

/** Copies the database as it stands, also while the program runs. */
async function backup(database: string, target: string): Promise<void> {
  if (!existsSync(database)) throw new StartError(`There is no database at ${database} yet.`);
  if (existsSync(target)) throw new StartError(`${target} exists already; choose another name.`);
  mkdirSync(dirname(target), { recursive: true });
  await copyWhole(database, target);
  await requireSound(target);
  console.log(`Backed up to ${target}.`);
}

/** Puts a backup in place; the database that was there is kept beside it. */
async function restore(database: string, source: string): Promise<void> {
  if (!existsSync(source)) throw new StartError(`There is no file ${source}.`);
  await requireSound(source);
  mkdirSync(dirname(database), { recursive: true });
  const part = `${database}.part`;
  copyFileSync(source, part);
  const before = `${database}.before-restore`;
  rmSync(before, { force: true });
  // With all that is still in its journal.
  if (existsSync(database)) await copyWhole(database, before);
  for (const file of [database, `${database}-wal`, `${database}-shm`]) rmSync(file, { force: true });
  renameSync(part, database);
  console.log(`Restored from ${source}. What was there before is kept as ${database}.before-restore.`);
}

async function main(): Promise<void> {
  const [verb, name] = process.argv.slice(2);
  if (name === undefined || (verb !== 'backup' && verb !== 'restore')) throw new StartError(USAGE);
  const database = join(readConfig().dataFolder, 'keen-rinse.db');
  const file = resolve(name);
  await (verb === 'backup' ? backup(database, file) : restore(database, file));
}

main().catch((error: unknown) => {
  console.error(error instanceof StartError ? error.message : error);
  process.exitCode = 1;
});
