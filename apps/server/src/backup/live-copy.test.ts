import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { createClient } from '@libsql/client';
import { openDatabase, type OpenDatabase } from '../db/database.js';
import { settings } from '../db/schema.js';
import { backupCommand } from './backup-shop.js';
import { LiveCopyService } from './live-copy.service.js';
import { copyAddress, litestreamFile, secondsOf, shownAddress } from './litestream.js';

const MIGRATIONS = resolve(import.meta.dirname, '../../drizzle');
const ROWS = 60;
/** A copy that is not there by then never comes. */
const GIVEN_UP_MS = 40_000;

describe('addresses and times of a live copy', () => {
  it('are a folder by its path or a store by its address, shown without what lets in', () => {
    expect(copyAddress('/mnt/live copy')).toBe('file:///mnt/live%20copy');
    expect(copyAddress('s3://shop/live')).toBe('s3://shop/live');
    expect(shownAddress('s3://key:secret@store/live')).toBe('s3://store/live');
  });

  it.each([
    ['1m3s', 63],
    ['-250ms', 0.25],
    ['0s', 0],
    ['2h0m1.5s', 7201.5],
    ['never', null],
  ])('%s is %s s', (text, seconds) => {
    expect(secondsOf(text)).toBe(seconds);
  });
});

describe('a live copy', () => {
  let folder: string;
  let open: OpenDatabase;
  let service: LiveCopyService;
  const copy = (): string => join(folder, 'live');
  const made = (liveCopyTo: string | null, databaseUrl = `file:${join(folder, 'keen-rinse.db')}`) =>
    new LiveCopyService({ dataFolder: folder, databaseUrl, liveCopyTo });

  beforeEach(async () => {
    folder = mkdtempSync(join(tmpdir(), 'keen-live-'));
    open = await openDatabase({
      dataFolder: folder,
      databaseUrl: `file:${join(folder, 'keen-rinse.db')}`,
      migrationsFolder: MIGRATIONS,
    });
  });
  afterEach(async () => {
    await service.onModuleDestroy();
    await open.close();
    rmSync(folder, { recursive: true, force: true });
  });

  const takeover = (to: string): Promise<string> =>
    backupCommand({ dataFolder: to, migrationsFolder: MIGRATIONS }, ['takeover', copy()]);
  const rowsIn = async (data: string): Promise<number> => {
    const client = createClient({ url: `file:${join(data, 'keen-rinse.db')}` });
    const { rows } = await client.execute("select count(*) as n from setting where key like 'row %'");
    client.close();
    return Number(rows[0]?.n);
  };

  it('holds every write soon after, and another machine takes over from it', async () => {
    expect(litestreamFile()).not.toBeNull();
    service = made(copy());
    service.onApplicationBootstrap();
    for (let n = 0; n < ROWS; n += 1) await open.db.insert(settings).values({ key: `row ${n}`, value: n });
    // Until the copy tells that it is there; how long that takes is the machine's matter.
    const other = join(folder, 'other');
    const until = performance.now() + GIVEN_UP_MS;
    let kept = 0;
    while (kept < ROWS && performance.now() < until) {
      rmSync(other, { recursive: true, force: true });
      const isTaken = existsSync(copy()) && (await takeover(other).then(Boolean, () => false));
      if (isTaken) kept = await rowsIn(other);
      await new Promise(setImmediate);
    }
    expect(kept).toBe(ROWS);
    expect(await service.view()).toMatchObject({ isRunning: true, failure: null });
    expect((await service.view())?.to).toBe(copy());
    expect(await takeover(other)).toMatch(/^Restored from .*live\. What was there before is kept/);
    expect(readdirSync(other).some((name) => name.includes('.before-restore-'))).toBe(true);
  }, 60_000);

  it('is none where nobody asked for one, and says why where it cannot be', async () => {
    service = made(null);
    service.onApplicationBootstrap();
    expect(await service.view()).toBeNull();
    service = made(copy(), 'libsql://elsewhere');
    service.onApplicationBootstrap();
    expect(await service.view()).toMatchObject({
      isRunning: false,
      failure: expect.stringMatching(/another server/) as unknown,
    });
  });
});
