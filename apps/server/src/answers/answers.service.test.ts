import { beforeEach, describe, expect, it } from '@jest/globals';
import { MS_PER_HOUR, type Question } from '@keen/core';
import { AnswersService } from './answers.service.js';
import { startOf } from './start-of.js';

const FROM = Date.UTC(2026, 0, 14, 6);
const HOUR = MS_PER_HOUR;
const START = { placeId: 'bay', methodId: 'bay-contact', startMs: FROM + 5 * HOUR };

let asked: Record<string, unknown>[];
let answers: Record<string, unknown>;
beforeEach(() => {
  asked = [];
  answers = {};
});

function service(): AnswersService {
  const weather = {
    stamp: String(Math.random()),
    fromMs: FROM,
    control: Array(48).fill({}),
    members: [1, 2, 3],
  };
  const facts = { nowMs: FROM, places: [{ latitudeDeg: 46.5, longitudeDeg: -84.3 }], weather };
  const origin = { source: 'made up', issuedMs: FROM - HOUR };
  const shop = {
    car: (id: string) =>
      Promise.resolve({ facts: { ...facts, car: { vehicle: { id } } }, origin, notes: { looks: ['seen'] } }),
    plan: () =>
      Promise.resolve({
        facts,
        origin,
        cars: [{ vehicle: { id: 'black' } }],
        notes: { workers: ['me'], fixed: [1], movable: [2] },
        planned: [
          { id: 'a', vehicleId: 'white', startMs: FROM, minutes: 60, status: 'planned', startedMs: null },
          { id: 'b', vehicleId: 'black', startMs: FROM, minutes: 60, status: 'planned', startedMs: null },
        ],
        booked: ['promise'],
      }),
    kit: () => Promise.resolve({ products: [], gear: [] }),
  };
  const parts = [
    {
      run: (question: Question) => {
        asked.push(question as unknown as Record<string, unknown>);
        return Promise.resolve(answers[question.kind] ?? { of: question.kind });
      },
    },
    shop,
    {
      read: (id: string) => (id === 'gone' ? Promise.reject(new Error('no place')) : Promise.resolve({ id })),
    },
  ];
  return new AnswersService(...(parts as unknown as ConstructorParameters<typeof AnswersService>));
}
const refused = (field: string) => ({ response: { error: { field } } });

describe('a start as it is asked about', () => {
  it('carries what was accepted of it, and nothing that was not said', () => {
    expect(startOf(START)).toEqual(START);
    expect(startOf({ ...START, wayId: 'whole', placeC: null, extras: ['underbody'] })).toEqual({
      ...START,
      wayId: 'whole',
      placeC: null,
      extras: ['underbody'],
    });
    expect(startOf({ ...START, extras: [] })).not.toHaveProperty('extras');
  });
});

describe('one start', () => {
  const query = { vehicleId: 'black', ...START };

  it('is asked with the facts of the shop, its car and what was accepted', async () => {
    const detail = await service().cell({ ...query, wayId: 'whole' });
    expect(detail).toMatchObject({ of: 'cell', issuedMs: FROM - HOUR });
    expect(asked[0]).toMatchObject({
      kind: 'cell',
      start: { ...START, wayId: 'whole' },
      car: { vehicle: { id: 'black' } },
    });
  });

  it.each([
    { startMs: FROM, reaches: true },
    { startMs: FROM - 1, reaches: false },
    { startMs: FROM + 48 * HOUR - 1, reaches: true },
    { startMs: FROM + 48 * HOUR, reaches: false },
  ])('at $startMs is within the forecast: $reaches', async ({ startMs, reaches }) => {
    const at = { ...query, startMs };
    expect((await service().cellIfForecast(at)) !== null).toBe(reaches);
    expect((await service().runPack(at)) !== null).toBe(reaches);
    for (const work of [
      () => service().cell(at),
      () => service().ways(at),
      () => service().flips(at),
      () => service().wash(at),
    ]) {
      if (reaches) await expect(work()).resolves.toBeDefined();
      else await expect(work()).rejects.toMatchObject(refused('startMs'));
    }
  });

  it('has no pack and no wash where nobody knows that hour', async () => {
    answers = { 'run-pack': null, wash: null };
    const asking = service();
    const none = { run: () => Promise.resolve(null) };
    Object.assign(asking, { pool: none });
    expect(await asking.runPack(query)).toBeNull();
    await expect(asking.wash(query)).rejects.toMatchObject(refused('startMs'));
  });

  it('is of a place that there is', async () => {
    await expect(service().cell({ ...query, placeId: 'gone' })).rejects.toThrow('no place');
  });

  it('has the kit in its pack, and where the weather is from', async () => {
    expect(await service().runPack(query)).toMatchObject({
      of: 'run-pack',
      source: 'made up',
      issuedMs: FROM - HOUR,
    });
    expect(asked.at(-1)).toMatchObject({ kit: { products: [], gear: [] } });
  });
});

describe('the plan', () => {
  it('is asked once, and worded again from the same question', async () => {
    answers = { plan: { horizonMs: FROM + 72 * HOUR } };
    const found = await service().plan();
    expect(found).toMatchObject({
      fromMs: FROM,
      memberCount: 3,
      workers: ['me'],
      bookings: ['promise'],
      source: 'made up',
    });
    expect(found.days.length).toBe(4);
    expect(found.days.every(({ sunriseMs, sunsetMs }) => sunriseMs < sunsetMs)).toBe(true);
    await found.tell([1, 2]);
    expect(asked.at(-1)).toMatchObject({ kind: 'plan-tell', chosen: [1, 2], cars: [{}] });
  });

  it('leaves every other wash where it is while one is moved', async () => {
    await service().moves('black', 'b');
    expect(asked.at(-1)).toMatchObject({
      kind: 'moves',
      facts: { movable: [{ vehicleId: 'black' }], fixed: [{ vehicleId: 'white' }] },
    });
    await service().moves('black', null);
    expect((asked.at(-1) as { facts: { fixed: unknown[] } }).facts.fixed).toHaveLength(2);
    await expect(service().moves('gone', null)).rejects.toMatchObject(refused('vehicle'));
  });

  it('is asked for what limits are worth', async () => {
    await service().reliefs();
    expect(asked.at(-1)).toMatchObject({ kind: 'reliefs', cars: [{}] });
  });
});

describe('a car', () => {
  it('has its week, its salt, its condition and its cadences', async () => {
    answers = { week: { bands: [1], hours: [2] }, condition: { soil: [] } };
    expect(await service().windows('black')).toMatchObject({
      vehicleId: 'black',
      fromMs: FROM,
      hourCount: 168,
      bands: [1],
      hours: [2],
      source: 'made up',
    });
    expect(await service().condition('black')).toEqual({ soil: [], looks: ['seen'] });
    expect(await service().salt('black')).toEqual({ of: 'salt' });
    await service().cadence('black', [[{ methodId: 'bay-contact', everyDays: 9 }]]);
    expect(asked.at(-1)).toMatchObject({ kind: 'cadence', plans: [[{ everyDays: 9 }]] });
  });

  it.each([
    { atMs: FROM + 10 * 60_000, hourMs: FROM },
    { atMs: FROM + 168 * HOUR - 1, hourMs: FROM + 167 * HOUR },
    { atMs: FROM - 1, hourMs: null },
    { atMs: FROM + 168 * HOUR, hourMs: null },
  ])('is weighed in an hour of its week: $atMs', async ({ atMs, hourMs }) => {
    answers = { balance: ['row'] };
    if (hourMs === null)
      await expect(service().balance('black', atMs)).rejects.toMatchObject(refused('atMs'));
    else expect(await service().balance('black', atMs)).toMatchObject({ atMs: hourMs, rows: ['row'] });
  });
});
