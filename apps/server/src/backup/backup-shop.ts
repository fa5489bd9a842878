import { spawnSync } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { type Client, createClient } from '@libsql/client';
import { type Config, StartError } from '../config/config.js';
import { ownerOf } from '../db/folder-lock.js';
import { pendingMigrations } from '../db/migrations.js';
import { copyWhole, requireSound } from '../db/whole-copy.js';
import { copyAddress, litestreamFile, shownAddress } from './litestream.js';

const USAGE =
  'Use: npm run backup -- <file>, npm run restore -- <file>, or npm run takeover -- <folder or address of a live copy>';

/** Where a shop keeps its data, and the changes of it that this program knows. */
type Shop = Pick<Config, 'dataFolder' | 'migrationsFolder'>;

const databaseOf = ({ dataFolder }: Shop): string => join(dataFolder, 'keen-rinse.db');

async function onFile(database: string, work: (client: Client) => Promise<unknown>): Promise<void> {
  const client = createClient({ url: `file:${database}` });
  try {
    await work(client);
  } finally {
    client.close();
  }
}

const copyOf = (database: string, target: string): Promise<void> =>
  onFile(database, (client) => copyWhole(client, target));

/** Copies the database as it stands, also while the program runs. */
async function backup(database: string, target: string): Promise<string> {
  if (!existsSync(database)) throw new StartError(`There is no database at ${database} yet.`);
  if (existsSync(target)) throw new StartError(`${target} exists already; choose another name.`);
  mkdirSync(dirname(target), { recursive: true });
  await copyOf(database, target);
  await requireSound(target);
  return `Backed up to ${target}.`;
}

/** @throws StartError where a newer program has changed it */
const requireKnown = (source: string, migrationsFolder: string): Promise<void> =>
  onFile(source, (client) => pendingMigrations(client, migrationsFolder));

/** Puts a backup in place; the database that was there is kept beside it. */
async function restore(shop: Shop, source: string, named = source): Promise<string> {
  const database = databaseOf(shop);
  if (!existsSync(source)) throw new StartError(`There is no file ${source}.`);
  await requireSound(source);
  const owner = ownerOf(dirname(database));
  if (owner !== null)
    throw new StartError(`Keen Rinse is running (process ${owner}); stop it first, nothing was changed.`);
  await requireKnown(source, shop.migrationsFolder);
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
  return `Restored from ${named}.${kept}`;
}

/** Takes a shop over from its live copy, on this machine or another: its phones are still let in. Another database is kept beside. */
async function takeOver(shop: Shop, from: string): Promise<string> {
  const program = litestreamFile();
  if (program === null)
    throw new StartError('The program that reads live copies did not come with the packages of this system.');
  const folder = mkdtempSync(join(tmpdir(), 'keen-takeover-'));
  const file = join(folder, 'keen-rinse.db');
  try {
    const { status, stderr } = spawnSync(program, ['restore', '-o', file, copyAddress(from)], {
      encoding: 'utf8',
    });
    if (status !== 0 || !existsSync(file))
      throw new StartError(
        `No live copy could be read from ${shownAddress(from)}: ${stderr.trim() || 'it is empty'}`,
      );
    return await restore(shop, file, shownAddress(from));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/**
 * What `backup`, `restore` and `takeover` do.
 *
 * @returns what was done, in a sentence
 * @throws StartError with what is wrong; nothing was changed then
 */
export async function backupCommand(shop: Shop, [verb, name]: readonly string[]): Promise<string> {
  const isKnown = verb === 'backup' || verb === 'restore' || verb === 'takeover';
  if (name === undefined || !isKnown) throw new StartError(USAGE);
  if (verb === 'takeover') return takeOver(shop, name);
  const file = resolve(name);
  return verb === 'backup' ? backup(databaseOf(shop), file) : restore(shop, file);
}
