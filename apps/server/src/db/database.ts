import { mkdirSync } from 'node:fs';
import { createClient } from '@libsql/client';
import type { BatchItem } from 'drizzle-orm/batch';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { type Config, StartError } from '../config/config.js';
import * as schema from './schema.js';

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
    const db = drizzle(client, { schema });
    await migrate(db, { migrationsFolder: config.migrationsFolder });
    const close = async (): Promise<void> => {
      try {
        if (isFile) await client.execute('pragma wal_checkpoint(truncate)');
      } finally {
        client.close();
      }
    };
    return { db, close };
  } catch (error) {
    throw new StartError(
      `The database ${config.databaseUrl} cannot be opened: ${causeOf(error)}. ` +
        'See that the folder exists, can be written to and has room, or name another with KEEN_DATA.',
    );
  }
}
