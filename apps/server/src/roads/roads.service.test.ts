import { afterAll, beforeEach, describe, expect, it } from '@jest/globals';
import { type KeptBulletin, MS_PER_HOUR, seasonStartMs, type Treatment } from '@keen/core';
import { FileReader } from '../imports/file-reader.js';
import { RoadsService } from './roads.service.js';

const NOW = Date.UTC(2026, 0, 14, 12, 25);
const HOUR = MS_PER_HOUR;
const ON_THE_HOUR = Date.UTC(2026, 0, 14, 12);

const round = (atMs: number, change: Partial<Treatment> = {}): Treatment => ({
  atMs,
  roadClass: 'main',
  agent: 'NaCl',
  gramsPerM2: 12,
  ...change,
});

let kept: KeptBulletin[];
let asked: [number, number][];
let nowMs: number;
let answer: () => Promise<Treatment[]>;

beforeEach(() => {
  kept = [];
  asked = [];
  nowMs = NOW;
  answer = () => Promise.resolve([]);
});

const reader = new FileReader();
afterAll(() => reader.onModuleDestroy());

function service(): RoadsService {
  const repository = {
    newestMs: (source: string) => {
      const own = kept.filter((one) => one.source === source);
      return Promise.resolve(own.length === 0 ? null : Math.max(...own.map(({ atMs }) => atMs)));
    },
    since: (fromMs: number) => Promise.resolve(kept.filter(({ atMs }) => atMs >= fromMs)),
    insertAll: (source: string, rows: Treatment[], passesOver: boolean) => {
      const added = rows.map((row, i) => ({
        ...row,
        id: `${source}-${kept.length + i}`,
        source,
        passesOver,
      }));
      kept.push(...(added as unknown as KeptBulletin[]));
      return Promise.resolve(added);
    },
    setRemoved: (id: string) => Promise.resolve(kept.some((one) => one.id === id)),
  };
  const authority = {
    name: 'the authority',
    bulletins: (fromMs: number, toMs: number) => {
      asked.push([fromMs, toMs]);
      return answer();
    },
  };
  const parts = [repository, { now: () => nowMs }, authority, reader];
  return new RoadsService(...(parts as unknown as ConstructorParameters<typeof RoadsService>));
}
const refused = async (work: Promise<unknown>, field: string): Promise<void> => {
  await expect(work).rejects.toMatchObject({ response: { error: { field } } });
};

describe('the bulletins of the authority', () => {
  it('are fetched from the season’s beginning, and then from the newest on, up to the hour', async () => {
    answer = () => Promise.resolve([round(ON_THE_HOUR - 5 * HOUR)]);
    const roads = service();
    const { authority, treatments } = await roads.bulletins();
    expect([authority, treatments.length]).toEqual(['the authority', 1]);
    await roads.bulletins();
    expect(asked).toEqual([
      [seasonStartMs(ON_THE_HOUR), ON_THE_HOUR],
      [ON_THE_HOUR - 5 * HOUR + 1, ON_THE_HOUR],
    ]);
    expect(kept[0]).toMatchObject({ passesOver: true });
  });

  it('are not asked for where the newest is of this hour', async () => {
    kept = [{ ...round(ON_THE_HOUR - 1), id: 'a', source: 'the authority' } as KeptBulletin];
    await service().bulletins();
    expect(asked).toEqual([]);
    kept = [{ ...round(ON_THE_HOUR - 2), id: 'a', source: 'the authority' } as KeptBulletin];
    await service().bulletins();
    expect(asked).toHaveLength(1);
  });

  it('are asked for one call after the other, and again after one that failed', async () => {
    let running = 0;
    let most = 0;
    answer = async () => {
      running += 1;
      most = Math.max(most, running);
      await Promise.resolve();
      running -= 1;
      return [];
    };
    const roads = service();
    await Promise.all([roads.bulletins(), roads.bulletins()]);
    expect(most).toBe(1);
    answer = () => Promise.reject(new Error('no line'));
    await expect(roads.bulletins()).rejects.toThrow('no line');
    answer = () => Promise.resolve([round(ON_THE_HOUR - HOUR)]);
    expect((await roads.bulletins()).treatments).toHaveLength(1);
  });
});

describe('a bulletin that somebody enters', () => {
  it('is kept by its hour, and is late where that is past', async () => {
    const roads = service();
    const late = await roads.add(round(NOW - 3 * HOUR));
    expect(late).toMatchObject({ atMs: ON_THE_HOUR - 3 * HOUR, source: 'entered', isLate: true });
    expect(kept.at(-1)).toMatchObject({ passesOver: false });
    expect(await roads.add(round(NOW))).toMatchObject({ atMs: ON_THE_HOUR, isLate: false });
    expect(await roads.add(round(NOW + 10 * HOUR))).toMatchObject({ isLate: false });
  });

  it('is refused where that hour, road and salt is there already, by whom and how much', async () => {
    kept = [{ ...round(ON_THE_HOUR, { gramsPerM2: 7 }), id: 'a', source: 'the authority' } as KeptBulletin];
    const roads = service();
    await expect(roads.add(round(NOW))).rejects.toMatchObject({
      response: { error: { field: 'atMs', message: expect.stringContaining('7 g/m² by the authority') } },
    });
    await expect(roads.add(round(NOW, { roadClass: 'town' }))).resolves.toBeDefined();
    await expect(roads.add(round(NOW, { agent: 'CaCl2' }))).resolves.toBeDefined();
  });

  it.each([
    [71.9, null],
    [72.1, 'atMs'],
  ])('is taken up to three days ahead: %p h, refused by %p', async (hours, field) => {
    const added = service().add(round(NOW + hours * HOUR));
    if (field === null) await expect(added).resolves.toBeDefined();
    else await expect(added).rejects.toMatchObject({ field });
  });
});

describe('a table of bulletins', () => {
  const table = (...lines: string[]) => ['at,roadClass,agent,gramsPerM2', ...lines].join('\n');
  const good = '2026-01-13T04:40:00Z,town,CaCl2,9';
  const bad = '2026-01-13T05:00:00Z,town,sand,9';

  it.each([
    { mode: 'look', text: table(good), kept: false, count: 0 },
    { mode: 'good-lines', text: table(good, bad), kept: true, count: 1 },
    { mode: 'all-or-nothing', text: table(good, bad), kept: false, count: 0 },
    { mode: 'all-or-nothing', text: table(good), kept: true, count: 1 },
  ] as const)('read as $mode keeps $count', async ({ mode, text, kept: isKept, count }) => {
    const report = await service().importTable({ text, mode });
    expect(report.kept).toBe(isKept);
    expect(report.good).toMatchObject([
      { atMs: Date.UTC(2026, 0, 13, 4), roadClass: 'town', agent: 'CaCl2', gramsPerM2: 9 },
    ]);
    expect(kept.filter(({ source }) => source === 'imported')).toHaveLength(count);
  });

  it('tells nothing twice', async () => {
    const roads = service();
    await roads.importTable({ text: table(good), mode: 'good-lines' });
    const again = await roads.importTable({ text: table(good), mode: 'good-lines' });
    expect([again.good, again.faults.length]).toEqual([[], 1]);
  });
});

describe('a bulletin that is taken away or brought back', () => {
  it('is one that there is', async () => {
    kept = [{ ...round(NOW), id: 'a', source: 'entered' } as KeptBulletin];
    await expect(service().remove('a')).resolves.toBeUndefined();
    await expect(service().restore('a')).resolves.toBeUndefined();
    await refused(service().remove('none'), 'bulletin');
    await refused(service().restore('none'), 'bulletin');
  });
});
