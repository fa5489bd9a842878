import type { BackupTrial } from '@keen/core';
import { count, eq, isNull } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { customers, vehicles, washes } from '../db/schema.js';

/** How much a database holds, for somebody to see whether it is theirs. */
export async function countsIn(db: Database): Promise<Omit<BackupTrial, 'atMs'>> {
  const [[cars], [done], [people]] = await Promise.all([
    db.select({ n: count() }).from(vehicles).where(isNull(vehicles.removedMs)),
    db.select({ n: count() }).from(washes).where(eq(washes.status, 'done')),
    db.select({ n: count() }).from(customers).where(isNull(customers.removedMs)),
  ]);
  return { vehicles: cars?.n ?? 0, washes: done?.n ?? 0, customers: people?.n ?? 0 };
}
