import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { sql } from 'drizzle-orm';
import { openDatabase, type OpenDatabase } from '../db/database.js';

/** A database of a test's own in a temporary folder, in which rows may stand without what they refer to. */
export async function ownDatabase(): Promise<OpenDatabase> {
  const folder = mkdtempSync(join(tmpdir(), 'keen-records-'));
  const { db, close, copyTo, tidy } = await openDatabase({
    dataFolder: folder,
    databaseUrl: `file:${join(folder, 'test.db')}`,
    migrationsFolder: resolve(import.meta.dirname, '../../drizzle'),
  });
  await db.run(sql`pragma foreign_keys = off`);
  return {
    db,
    copyTo,
    tidy,
    close: async () => {
      await close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
