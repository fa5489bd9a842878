import { existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import type { BatchItem } from 'drizzle-orm/batch';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { type Config, StartError } from '../config/config.js';
import { forgetActor, makeAuditTriggers } from './audit-triggers.js';
import { pendingMigrations } from './migrations.js';
import * as schema from './schema.js';
import { signedClient } from './signed-client.js';
import { copyWhole, requireSound } from './whole-copy.js';

export type Database = LibSQLDatabase<typeof schema>;

/** One write of a batch. */
export type Write = BatchItem<'sqlite'>;

/** Makes all writes in one transaction; none of them if one fails. */
export async function writeAll(db: Database, [first, ...rest]: readonly Write[]): Promise<void> {
  if (first) await db.batch([first, ...rest]);
}

/** Opens the database, creating and migrating it as needed. */
export interface OpenDatabase {
  readonly db: Database;
  /** Copies all of it, as it stands, into a file that is not there yet, and looks whether the copy is sound. */
  readonly copyTo: (file: string) => Promise<void>;
  /** Rewrites the whole file and empties the journal, so that nothing of what was erased is left in either. */
  readonly tidy: () => Promise<void>;
  /** Puts all that is still in the journal into the file, so that the file alone is whole, and closes it. */
  readonly close: () => Promise<void>;
}

/** So long a write waits for another program that has the file, as a backup does. */
const BUSY_MS = 5000;

const causeOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/**
 * Opens and migrates the database of the configuration.
 *
 * @throws StartError with the cause and the cure where the folder or the file cannot be used
 */
export async function openDatabase(
  config: Pick<Config, 'dataFolder' | 'databaseUrl' | 'migrationsFolder'>,
): Promise<OpenDatabase> {
  try {
    const isFile = config.databaseUrl.startsWith('file:');
    if (isFile) mkdirSync(config.dataFolder, { recursive: true });
    const client = createClient({ url: config.databaseUrl, timeout: BUSY_MS });
    // Readers do not wait for a writer, and a kill loses no write that was acknowledged.
    if (isFile) await client.execute('pragma journal_mode = wal');
    if (isFile) await copyBeforeChange(client, config);
    await forgetActor(client);
    await migrate(drizzle(client), { migrationsFolder: config.migrationsFolder });
    await makeAuditTriggers(client);
    const db = drizzle(signedClient(client), { schema });
    const emptyJournal = async (): Promise<void> => {
      if (isFile) await client.execute('pragma wal_checkpoint(truncate)');
    };
    const tidy = async (): Promise<void> => {
      await client.execute('vacuum');
      await emptyJournal();
    };
    const close = async (): Promise<void> => {
      try {
        await emptyJournal();
      } finally {
        client.close();
      }
    };
    const copyTo = async (file: string): Promise<void> => {
      await copyWhole(client, file);
      await requireSound(file);
    };
    return { db, copyTo, tidy, close };
  } catch (error) {
    if (error instanceof StartError) throw error;
    throw new StartError(
      `The database ${config.databaseUrl} cannot be opened: ${causeOf(error)}. ` +
        'See that the folder exists, can be written to and has room, or name another with KEEN_DATA.',
    );
  }
}

/** Where copies of the database are kept. */
export const backupFolder = ({ dataFolder }: Pick<Config, 'dataFolder'>): string =>
  join(dataFolder, 'backups');

/** Before a new version of the program changes a database that is in use, it is copied as it was. */
async function copyBeforeChange(
  client: Client,
  config: Pick<Config, 'dataFolder' | 'migrationsFolder'>,
): Promise<void> {
  const { isNew, tags } = await pendingMigrations(client, config.migrationsFolder);
  const [first] = tags;
  if (isNew || first === undefined) return;
  const folder = backupFolder(config);
  mkdirSync(folder, { recursive: true });
  const file = join(folder, `before-${first}.db`);
  if (existsSync(file)) return;
  await copyWhole(client, file);
  await requireSound(file);
}
