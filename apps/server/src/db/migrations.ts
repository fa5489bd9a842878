import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Client } from '@libsql/client';
import { StartError } from '../config/config.js';

interface Journal {
  readonly entries: readonly { readonly tag: string; readonly when: number }[];
}

/** What is still to be changed in a database before this program can use it. */
export interface Pending {
  /** No change was ever made to it: it is new. */
  readonly isNew: boolean;
  /** Names of the changes, in order. */
  readonly tags: readonly string[];
}

/**
 * How far is this database behind the program?
 *
 * @throws StartError where it is ahead of it: a newer program has changed it, and this one would not know what it holds
 */
export async function pendingMigrations(client: Client, migrationsFolder: string): Promise<Pending> {
  const journal = JSON.parse(
    readFileSync(join(migrationsFolder, 'meta', '_journal.json'), 'utf8'),
  ) as Journal;
  const known = await client.execute("select name from sqlite_master where name = '__drizzle_migrations'");
  if (known.rows.length === 0) return { isNew: true, tags: journal.entries.map(({ tag }) => tag) };
  const { rows } = await client.execute(
    'select max(created_at) as at, count(*) as count from __drizzle_migrations',
  );
  const [row] = rows;
  const lastMs = Number(row?.at ?? 0);
  const newestMs = Math.max(...journal.entries.map(({ when }) => when));
  if (lastMs > newestMs)
    throw new StartError(
      `This database was changed by a newer version of the program (it has ${Number(row?.count)} changes, this one knows ${journal.entries.length}). Start the newer version, or restore a backup from before it.`,
    );
  return {
    isNew: Number(row?.count ?? 0) === 0,
    tags: journal.entries.filter(({ when }) => when > lastMs).map(({ tag }) => tag),
  };
}
