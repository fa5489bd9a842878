import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { MS_PER_DAY, MS_PER_HOUR } from '@keen/core';
import { BackupsService } from './backups.service.js';

const NOW = Date.UTC(2026, 0, 14, 12);
let folder: string;
let copied: string[];
let fails: string | null;

beforeEach(() => {
  jest.useFakeTimers({ now: NOW, doNotFake: ['nextTick', 'setImmediate', 'queueMicrotask'] });
  folder = mkdtempSync(join(tmpdir(), 'keen-copies-'));
  copied = [];
  fails = null;
});
afterEach(() => {
  jest.useRealTimers();
  rmSync(folder, { recursive: true, force: true });
});

const service = (isDemo = false, secondBackupFolder: string | null = null): BackupsService =>
  new BackupsService(
    {
      dataFolder: folder,
      databaseUrl: `file:${folder}/keen-rinse.db`,
      isDemo,
      migrationsFolder: resolve(import.meta.dirname, '../../drizzle'),
      secondBackupFolder,
    },
    {
      copyTo: (file: string) => {
        copied.push(file);
        writeFileSync(file, 'copy');
        return fails === null ? Promise.resolve() : Promise.reject(new Error(fails));
      },
    },
  );
const settled = async (made: BackupsService): Promise<void> => {
  await made.onModuleDestroy();
};

describe('copies of the data', () => {
  it('are made at the start where there is none of today, and by the hour once a day has passed', async () => {
    const made = service();
    made.onApplicationBootstrap();
    await settled(made);
    expect(made.view()).toMatchObject({
      isDaily: true,
      copies: [{ atMs: NOW, bytes: 4 }],
      nextMs: NOW + MS_PER_DAY,
      failure: null,
    });
    const again = service();
    again.onApplicationBootstrap();
    await jest.advanceTimersByTimeAsync(23 * MS_PER_HOUR);
    expect(copied).toHaveLength(1);
    await jest.advanceTimersByTimeAsync(MS_PER_HOUR);
    await settled(again);
    expect(copied).toHaveLength(2);
    expect(again.view().copies.map(({ atMs }) => atMs)).toEqual([NOW + MS_PER_DAY, NOW]);
  });

  it('are thinned as they grow older', async () => {
    for (let day = 0; day < 60; day += 1) {
      jest.setSystemTime(NOW + day * MS_PER_DAY);
      await service().make();
    }
    const { copies } = service().view();
    expect(copies.length).toBeLessThan(7 + 4 + 3);
    expect(readdirSync(join(folder, 'backups'))).toHaveLength(copies.length);
  });

  it('say why one failed, leave nothing of it behind, and forget that with the next that is sound', async () => {
    fails = 'no room';
    const made = service();
    await expect(made.make()).rejects.toThrow('no room');
    expect(made.view()).toMatchObject({ copies: [], failure: 'no room' });
    expect(readdirSync(join(folder, 'backups'))).toEqual([]);
    fails = null;
    await made.make();
    expect(made.view()).toMatchObject({ failure: null });
  });

  it('are not made of made-up data unless somebody asks', async () => {
    const made = service(true);
    made.onApplicationBootstrap();
    await settled(made);
    expect(existsSync(join(folder, 'backups'))).toBe(false);
    expect(made.view()).toMatchObject({ isDaily: false, nextMs: null });
    await made.make();
    expect(made.view().copies).toHaveLength(1);
  });

  it('do not count what else lies in their folder', async () => {
    const made = service();
    await made.make();
    writeFileSync(join(folder, 'backups', 'before-0001_judgement.db'), 'x');
    writeFileSync(join(folder, 'backups', 'notes.txt'), 'x');
    expect(made.view().copies).toHaveLength(1);
  });

  it('go to a second folder as well, where one was given', async () => {
    const second = join(folder, 'elsewhere');
    const made = service(false, second);
    await made.make();
    expect(readdirSync(second)).toEqual(readdirSync(join(folder, 'backups')));
    expect(made.view()).toMatchObject({ secondFolder: second, failure: null });
    // A folder that cannot be made is reported as a failure, and the first copy stays.
    writeFileSync(join(folder, 'in-the-way'), '');
    const blocked = service(false, join(folder, 'in-the-way', 'below'));
    jest.setSystemTime(NOW + MS_PER_DAY);
    await expect(blocked.make()).rejects.toThrow();
    expect(blocked.view().failure).toMatch(/ENOTDIR|EEXIST/);
    expect(blocked.view().copies).toHaveLength(2);
  });

  it('say what is left on the disk', () => {
    const { freeBytes, isRoomLow } = service().view();
    expect(freeBytes).toBeGreaterThan(0);
    expect(isRoomLow).toBe((freeBytes ?? 0) < 500_000_000);
  });
});
