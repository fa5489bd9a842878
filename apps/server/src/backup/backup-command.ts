import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { createClient } from '@libsql/client';
import { readConfig, StartError } from '../config/config.js';
import { ownerOf } from '../db/folder-lock.js';
import { pendingMigrations } from '../db/migrations.js';
import { copyWhole, requireSound } from '../db/whole-copy.js';

process.umask(0o077);

const USAGE = 'Use: npm run backup -- <file>, or npm run restore -- <file>';

async function copyOf(database: string, target: string): Promise<void> {
  const client = createClient({ url: `file:${database}` });
  try {
    await copyWhole(client, target);
  } finally {
    client.close();
  }
}

/** Copies the database as it stands, also while the program runs. */
async function backup(database: string, target: string): Promise<void> {
  if (!existsSync(database)) throw new StartError(`There is no database at ${database} yet.`);
  if (existsSync(target)) throw new StartError(`${target} exists already; choose another name.`);
  mkdirSync(dirname(target), { recursive: true });
  await copyOf(database, target);
  await requireSound(target);
  console.log(`Backed up to ${target}.`);
}

/** @throws StartError where a newer program has changed it */
async function requireKnown(source: string): Promise<void> {
  const client = createClient({ url: `file:${source}` });
  try {
    await pendingMigrations(client, readConfig().migrationsFolder);
  } finally {
    client.close();
  }
}

/** Puts a backup in place; the database that was there is kept beside it. */
async function restore(database: string, source: string): Promise<void> {
  if (!existsSync(source)) throw new StartError(`There is no file ${source}.`);
  await requireSound(source);
  const owner = ownerOf(dirname(database));
  if (owner !== null)
    throw new StartError(`Keen Rinse is running (process ${owner}); stop it first, nothing was changed.`);
  await requireKnown(source);
  mkdirSync(dirname(database), { recursive: true });
  const part = `${database}.part`;
  copyFileSync(source, part);
  // A name of its own for each: what was there before an earlier restore stays, too.
  const before = `${database}.before-restore-${new Date().toISOString().replaceAll(/[:.]/g, '-')}`;
  // With all that is still in its journal.
  if (existsSync(database)) await copyOf(database, before);
  for (const file of [database, `${database}-wal`, `${database}-shm`]) rmSync(file, { force: true });
  renameSync(part, database);
  const kept = existsSync(before)
    ? ` What was there before is kept as ${before}; restore that to undo this.`
    : '';
  console.log(`Restored from ${source}.${kept}`);
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
