import { afterAll, beforeEach, describe, expect, it } from '@jest/globals';
import { type Drive, type DriveRecord, MS_PER_HOUR } from '@keen/core';
import { FileReader } from '../imports/file-reader.js';
import { DrivesService } from './drives.service.js';

const NOW = Date.UTC(2026, 0, 14, 12, 25);
const HOUR = MS_PER_HOUR;
const SINCE = NOW - 100 * HOUR;
const ofHour = (atMs: number): number => Math.floor(atMs / HOUR) * HOUR;

let kept: DriveRecord[];
beforeEach(() => {
  kept = [];
});

const reader = new FileReader();
afterAll(() => reader.onModuleDestroy());

function service(): DrivesService {
  const parts = [
    {
      list: () => Promise.resolve(kept),
      insert: (rows: DriveRecord[]) => Promise.resolve(void kept.push(...rows)),
      setRemoved: ({ id }: { id: string }, removedMs: number | null) => {
        expect([null, NOW]).toContain(removedMs);
        return Promise.resolve(kept.some((one) => one.id === id));
      },
    },
    {
      read: (id: string) =>
        id === 'gone' ? Promise.reject(new Error('no car')) : Promise.resolve({ id, knownSinceMs: SINCE }),
    },
    { now: () => NOW },
    reader,
  ];
  return new DrivesService(...(parts as unknown as ConstructorParameters<typeof DrivesService>));
}
const drive = (hourMs: number, change: Partial<Drive> = {}): Drive => ({
  hourMs,
  roadClass: 'main',
  km: 20,
  meanKmh: 60,
  ...change,
});
const field = (name: string) => ({ response: { error: { field: name } } });

describe('a drive that somebody enters', () => {
  it('is kept by its hour, as entered', async () => {
    const record = await service().add('black', drive(NOW - 2 * HOUR));
    expect(record).toMatchObject({ vehicleId: 'black', origin: 'entered', hourMs: ofHour(NOW - 2 * HOUR) });
    expect(kept).toEqual([record]);
    expect(await service().list('black')).toEqual([record]);
    await expect(service().list('gone')).rejects.toThrow('no car');
  });

  it.each([
    { why: 'this hour', hourMs: NOW, refused: false },
    { why: 'the next hour', hourMs: ofHour(NOW) + HOUR, refused: true },
    { why: 'the hour in which the record begins', hourMs: SINCE, refused: false },
    { why: 'the hour before it', hourMs: SINCE - HOUR, refused: true },
  ])('of $why: refused $refused', async ({ hourMs, refused }) => {
    const added = service().add('black', drive(hourMs));
    if (refused) await expect(added).rejects.toMatchObject(field('hourMs'));
    else await expect(added).resolves.toBeDefined();
  });

  it('is there once an hour on each kind of road', async () => {
    await service().add('black', drive(NOW));
    await expect(service().add('black', drive(NOW - 60_000))).rejects.toMatchObject(field('hourMs'));
    await expect(service().add('black', drive(NOW, { roadClass: 'town' }))).resolves.toBeDefined();
    await expect(service().add('black', drive(NOW - HOUR))).resolves.toBeDefined();
    expect(kept).toHaveLength(3);
  });

  it('is refused where its figures cannot be', async () => {
    await expect(service().add('black', drive(NOW, { km: -1 }))).rejects.toMatchObject({ field: 'km' });
    expect(kept).toEqual([]);
  });

  it('is taken away and brought back where it is there', async () => {
    const { id } = await service().add('black', drive(NOW));
    const of = { vehicleId: 'black', id };
    await expect(service().setRemoved(of, true)).resolves.toBeUndefined();
    await expect(service().setRemoved(of, false)).resolves.toBeUndefined();
    await expect(service().setRemoved({ ...of, id: 'none' }, true)).rejects.toMatchObject(field('drive'));
  });
});

describe('a way that was recorded', () => {
  /** One point a minute, due north at 60 km/h. */
  const track = (fromMs: number, minutes: number): string =>
    [
      '<gpx><trk><trkseg>',
      ...Array.from(
        { length: minutes + 1 },
        (_, i) =>
          `<trkpt lat="${(46.5 + i / 111.2).toFixed(6)}" lon="-84.3"><time>${new Date(fromMs + i * 60_000).toISOString()}</time></trkpt>`,
      ),
      '</trkseg></trk></gpx>',
    ].join('\n');
  const start = ofHour(NOW) - 4 * HOUR;

  it('is kept hour by hour, as a track', async () => {
    const report = await service().importTrack('black', {
      text: track(start + 30 * 60_000, 60),
      mode: 'all-or-nothing',
      roadClass: 'main',
    });
    expect(report).toMatchObject({ kept: true, faults: [] });
    expect(report.good.map(({ hourMs }) => hourMs)).toEqual([start, start + HOUR]);
    expect(report.good.map(({ km }) => Math.round(km))).toEqual([30, 30]);
    expect(kept.map(({ origin, vehicleId }) => [origin, vehicleId])).toEqual([
      ['track', 'black'],
      ['track', 'black'],
    ]);
  });

  it('is only looked at where that is asked', async () => {
    const report = await service().importTrack('black', {
      text: track(start, 30),
      mode: 'look',
      roadClass: 'main',
    });
    expect([report.good.length, report.kept, kept.length]).toEqual([1, false, 0]);
  });

  it.each([
    { why: 'in the future', fromMs: ofHour(NOW) + 2 * HOUR, says: 'in the future' },
    { why: 'before the record begins', fromMs: ofHour(SINCE) - 3 * HOUR, says: 'record begins' },
  ])('keeps no hour $why, and says from which line on', async ({ fromMs, says }) => {
    const report = await service().importTrack('black', {
      text: track(fromMs, 30),
      mode: 'good-lines',
      roadClass: 'main',
    });
    expect(report.good).toEqual([]);
    expect(report.faults).toMatchObject([{ field: 'time', line: 2 }]);
    expect(report.faults[0]?.message).toContain(says);
  });

  it('keeps no hour twice', async () => {
    const dto = { text: track(start, 30), mode: 'good-lines', roadClass: 'main' } as const;
    await service().importTrack('black', dto);
    const again = await service().importTrack('black', dto);
    expect(again.faults[0]?.message).toContain('kept already');
    expect(kept).toHaveLength(1);
  });
});
