import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { openDatabase, type OpenDatabase } from '../db/database.js';
import { gear, places, vehicles, washes } from '../db/schema.js';
import { DEMO_PLACES, DEMO_VEHICLES } from '../demo/scenario.js';
import { plannedWash } from '../testing/planned-wash.js';
import { BackupsService } from './backups.service.js';

const folder = mkdtempSync(join(tmpdir(), 'keen-trial-'));
const config = {
  dataFolder: folder,
  databaseUrl: `file:${join(folder, 'keen-rinse.db')}`,
  migrationsFolder: resolve(import.meta.dirname, '../../drizzle'),
  isDemo: false,
  secondBackupFolder: null,
};
let open: OpenDatabase;
let backups: BackupsService;
beforeAll(async () => {
  open = await openDatabase(config);
  backups = new BackupsService(config, open);
});
afterAll(async () => {
  await open.close();
  rmSync(folder, { recursive: true, force: true });
});

const scratch = (): string[] => readdirSync(tmpdir()).filter((name) => name.startsWith('keen-restore-'));

describe('trying a restore', () => {
  it('without a copy says that there is none', async () => {
    await expect(backups.tryNewest()).rejects.toMatchObject({ status: 404 });
  });

  it('opens the newest copy elsewhere, counts what is in it, and leaves nothing behind', async () => {
    const before = scratch();
    await open.db.insert(places).values([...DEMO_PLACES]);
    const [car] = DEMO_VEHICLES;
    const [place] = DEMO_PLACES;
    if (!car || !place) throw new Error('the demo is empty');
    await open.db.insert(vehicles).values([{ ...car, customerId: null, knownSinceMs: 0 }]);
    const wash = plannedWash('w', 5, { vehicleId: car.id, placeId: place.id });
    await open.db.insert(washes).values([{ ...wash, status: 'done' }]);
    await backups.make();
    // What came after the copy is not in it.
    await open.db.delete(washes);
    expect(await backups.tryNewest()).toMatchObject({ vehicles: 1, washes: 1, customers: 0 });
    expect(await open.db.select().from(washes)).toEqual([]);
    expect(scratch()).toEqual(before);
  });

  it('of a copy that is broken says so, and leaves nothing behind', async () => {
    const before = scratch();
    mkdirSync(join(folder, 'backups'), { recursive: true });
    writeFileSync(join(folder, 'backups', 'keen-rinse-2999-01-01T00-00-00.db'), 'no database'.repeat(500));
    await expect(backups.tryNewest()).rejects.toThrow(/cannot be opened/);
    expect(scratch()).toEqual(before);
    expect(await open.db.select().from(gear)).toEqual([]);
  });
});
