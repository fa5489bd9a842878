import { afterAll, beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import {
  type Gear,
  type Kit,
  type PlaceRecord,
  type Product,
  type Settings,
  type VehicleRecord,
  type WashRecord,
  MS_PER_DAY,
  MS_PER_HOUR,
} from '@keen/core';
import request from 'supertest';
import type { FinishedWash } from './finished-wash.js';
import { WashesService } from './washes.service.js';
import { doneWash, PLACE, RINSELESS, startTestApp, type TestApp, VEHICLE } from '../testing/test-app.js';

const NOW = Date.parse('2026-01-14T06:40:00-05:00');
const METHOD = 'garage-rinseless';
const BOTTLE = { ...RINSELESS, keptIn: 'indoors' } as const;

let test: TestApp;
let car: VehicleRecord;
let unit: PlaceRecord;
let bottle: Product;
let towels: Gear;
let filters: readonly Gear[];

const api = () => request(test.app.getHttpServer());
const sent = async <T>(path: string, body: object, status = 201): Promise<T> =>
  (await api().post(`/api/${path}`).send(body).expect(status)).body as T;
const kit = async (): Promise<Kit> => (await api().get('/api/kit').expect(200)).body as Kit;
const leftMl = async (): Promise<number> =>
  (await kit()).products.find(({ id }) => id === bottle.id)?.leftMl ?? NaN;
const gearOf = async (id: string): Promise<Gear | undefined> =>
  (await kit()).gear.find((row) => row.id === id);
const stock = async (): Promise<Settings['stock']> =>
  ((await api().get('/api/settings').expect(200)).body as Settings).stock;
const logged = (): Promise<WashRecord> =>
  sent('washes/done', doneWash(car.id, unit.id, NOW - 2 * MS_PER_DAY));
const remove = (id: string) => api().delete(`/api/washes/${id}`).expect(204);
const restore = (id: string) => api().post(`/api/washes/${id}/restore`).expect(200);

beforeAll(async () => {
  test = await startTestApp();
  unit = await sent<PlaceRecord>('places', PLACE);
  car = await sent<VehicleRecord>('vehicles', VEHICLE);
  bottle = await sent<Product>('kit/products', BOTTLE);
  towels = await sent<Gear>('kit/gear', { name: 'Towels', kind: 'folded-towel', count: 30, cleanCount: 30 });
  const filter = { kind: 'inline-filter', count: 1, cleanCount: 1, lifeLitres: 500, litresUsed: 0 };
  filters = [
    await sent<Gear>('kit/gear', { ...filter, name: 'Filter A' }),
    await sent<Gear>('kit/gear', { ...filter, name: 'Filter B' }),
  ];
}, 60_000);

afterAll(() => test.close());

beforeEach(async () => {
  await api().patch(`/api/kit/products/${bottle.id}`).send({ leftMl: 1000 }).expect(200);
  await api().patch(`/api/kit/gear/${towels.id}`).send({ cleanCount: 30 }).expect(200);
  for (const { id } of filters) await api().patch(`/api/kit/gear/${id}`).send({ litresUsed: 0 }).expect(200);
  await api()
    .patch('/api/settings')
    .send({ stock: { [METHOD]: 3 } })
    .expect(200);
});

describe('what a wash takes and gives back', () => {
  it('is the same, where there is plenty', async () => {
    const wash = await logged();
    const used = 1000 - (await leftMl());
    expect(used).toBeGreaterThan(20);
    expect((await gearOf(towels.id))?.cleanCount).toBeLessThan(30);
    expect(await stock()).toEqual({ [METHOD]: 2 });
    await remove(wash.id);
    expect(await leftMl()).toBeCloseTo(1000, 6);
    expect((await gearOf(towels.id))?.cleanCount).toBe(30);
    expect(await stock()).toEqual({ [METHOD]: 3 });
    await restore(wash.id);
    expect(await leftMl()).toBeCloseTo(1000 - used, 6);
    await remove(wash.id);
  });

  it.each([
    { leftMl: 0, why: 'an empty bottle' },
    { leftMl: 5, why: 'a bottle with too little' },
  ])('$why gives back no more than was in it', async ({ leftMl: left }) => {
    await api().patch(`/api/kit/products/${bottle.id}`).send({ leftMl: left }).expect(200);
    const wash = await logged();
    expect(await leftMl()).toBe(0);
    await remove(wash.id);
    expect(await leftMl()).toBe(left);
  });

  it('of which more is known later is measured against the whole kit, and no wash is counted twice', async () => {
    await api().patch(`/api/kit/products/${bottle.id}`).send({ leftMl: 40 }).expect(200);
    const wash = await logged();
    expect(await leftMl()).toBe(0);
    const used = (ml: number) => ({
      products: [{ productId: bottle.id, ml }],
      foldedTowels: 4,
      dryingTowels: 0,
      mitts: 0,
      tapLitres: 0,
      resinLitres: 0,
    });
    const amended = (methodId: string, ml: number) => {
      const { startMs, minutes, costMinor, workerId } = wash;
      const found = { ...wash.found, used: used(ml) } as NonNullable<WashRecord['found']>;
      return test.app.get(WashesService).amend(wash.id, {
        startMs,
        minutes,
        costMinor,
        workerId,
        extras: [],
        methodId,
        found,
      } as FinishedWash);
    };
    await amended(METHOD, 25);
    expect(await leftMl()).toBeCloseTo(15, 6);
    expect((await gearOf(towels.id))?.cleanCount).toBe(26);
    expect(await stock()).toEqual({ [METHOD]: 2 });
    await amended('garage-hose', 60);
    expect(await leftMl()).toBe(0);
    expect(await stock()).toEqual({ [METHOD]: 3 });
    await remove(wash.id);
    expect(await leftMl()).toBeCloseTo(40, 6);
    expect((await gearOf(towels.id))?.cleanCount).toBe(30);
  });

  it('is of today’s kit up to a fortnight later', async () => {
    const fortnight = 14 * MS_PER_DAY;
    for (const [agoMs, counted] of [
      [fortnight - MS_PER_HOUR, 2],
      [fortnight + MS_PER_HOUR, 3],
    ] as const) {
      const wash = await sent<WashRecord>('washes/done', doneWash(car.id, unit.id, NOW - agoMs));
      expect(await stock()).toEqual({ [METHOD]: counted });
      await remove(wash.id);
    }
  });

  it('is nothing of a wash of last month, which is accepted though its car was entered since', async () => {
    const wash = await sent<WashRecord>('washes/done', doneWash(car.id, unit.id, NOW - 120 * MS_PER_DAY));
    expect(wash.found?.used?.foldedTowels).toBeGreaterThan(0);
    expect(await leftMl()).toBe(1000);
    expect((await gearOf(towels.id))?.cleanCount).toBe(30);
    expect(await stock()).toEqual({ [METHOD]: 3 });
    await remove(wash.id);
    expect(await leftMl()).toBe(1000);
    await restore(wash.id);
    expect(await stock()).toEqual({ [METHOD]: 3 });
    await remove(wash.id);
  });

  it('brings no counted wash and no clean towel out of nothing', async () => {
    await api()
      .patch('/api/settings')
      .send({ stock: { [METHOD]: 0 } })
      .expect(200);
    await api().patch(`/api/kit/gear/${towels.id}`).send({ cleanCount: 2 }).expect(200);
    const wash = await logged();
    expect(await stock()).toEqual({ [METHOD]: 0 });
    expect((await gearOf(towels.id))?.cleanCount).toBe(0);
    await remove(wash.id);
    expect(await stock()).toEqual({ [METHOD]: 0 });
    expect((await gearOf(towels.id))?.cleanCount).toBe(2);
  });

  it('goes through one filter of a kind, and through the next once that is spent', async () => {
    const [a, b] = filters;
    const usedOf = async (filter: Gear | undefined) => (await gearOf(filter?.id ?? ''))?.litresUsed ?? NaN;
    const wash = await logged();
    const litres = await usedOf(a);
    expect(litres).toBeGreaterThan(5);
    expect(await usedOf(b)).toBe(0);
    await remove(wash.id);
    expect(await usedOf(a)).toBeCloseTo(0, 6);
    await api().patch(`/api/kit/gear/${a?.id}`).send({ litresUsed: 500 }).expect(200);
    await logged();
    expect(await usedOf(a)).toBe(500);
    expect(await usedOf(b)).toBeCloseTo(litres, 6);
  });
});

describe('a planned wash that is marked done and opened again', () => {
  it('has its start, minutes, method and season work of the plan', async () => {
    const plan = await sent<WashRecord>('washes', {
      vehicleId: car.id,
      placeId: unit.id,
      methodId: METHOD,
      startMs: NOW + 3 * MS_PER_HOUR + 20 * 60_000,
      extras: ['top-up'],
    });
    await sent(
      `washes/${plan.id}/done`,
      {
        startMs: NOW - MS_PER_HOUR,
        minutes: 12,
        methodId: 'waterless',
        extras: [],
        costMinor: 100,
        found: { icePanels: [], spots: 'few', leftovers: '', note: '' },
      },
      200,
    );
    const opened = await sent<WashRecord>(`washes/${plan.id}/reopen`, {}, 200);
    expect(opened).toEqual(plan);
    expect((await api().get(`/api/washes/${plan.id}`)).body).toEqual(plan);
    await remove(plan.id);
  });

  it('keeps what was accepted of it: the forecast’s members are asked as the ribbon asks them', async () => {
    const start = { vehicleId: car.id, placeId: unit.id, methodId: METHOD };
    const { body } = await api().get(`/api/verdicts/windows/${car.id}`).expect(200);
    const { bands } = body as { bands: { placeId: string; methodId: string; cells: WindowCell[] }[] };
    const band = bands.find(({ placeId, methodId }) => placeId === unit.id && methodId === METHOD);
    const going = (band?.cells ?? []).filter(
      ({ startMs, delayMinutes, verdict }) =>
        delayMinutes === 0 && (verdict === 'go' || verdict === 'go-if') && startMs > NOW + MS_PER_HOUR,
    );
    expect(going.length).toBeGreaterThan(3);
    for (const cell of going.slice(0, 12)) {
      const plan = await sent<WashRecord>('washes', { ...start, startMs: cell.startMs });
      expect(plan.predicted).toMatchObject({
        verdict: cell.verdict,
        limiting: { ruleId: cell.limiting.ruleId },
      });
      await remove(plan.id);
    }
  }, 60_000);
});

interface WindowCell {
  readonly startMs: number;
  readonly delayMinutes: number;
  readonly verdict: string;
  readonly limiting: { readonly ruleId: string };
}

describe('two at the same moment', () => {
  it('plan one wash in one place and hour, however often it is tried', async () => {
    for (let pair = 0; pair < 10; pair += 1) {
      const other = await sent<VehicleRecord>('vehicles', { ...VEHICLE, name: `Other ${pair}` });
      const startMs = NOW + 2 * MS_PER_DAY + pair * 6 * MS_PER_HOUR;
      const answers = await Promise.all(
        [car.id, other.id].map((vehicleId) =>
          api().post('/api/washes').send({ vehicleId, placeId: unit.id, methodId: METHOD, startMs }),
        ),
      );
      expect(answers.map(({ status }) => status).sort()).toEqual([201, 409]);
      for (const { status, body } of answers) if (status === 201) await remove((body as WashRecord).id);
    }
  }, 60_000);

  it('close one wash and take from the kit once', async () => {
    const { id } = await sent<WashRecord>('washes', {
      vehicleId: car.id,
      placeId: unit.id,
      methodId: METHOD,
      startMs: NOW + MS_PER_DAY,
    });
    const { methodId, startMs, minutes, costMinor, found } = doneWash(car.id, unit.id, NOW - MS_PER_HOUR);
    const done = { methodId, startMs, minutes, costMinor, found };
    const answers = await Promise.all([1, 2, 3].map(() => api().post(`/api/washes/${id}/done`).send(done)));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
    expect(await stock()).toEqual({ [METHOD]: 2 });
    await remove(id);
    expect(await stock()).toEqual({ [METHOD]: 3 });
  }, 60_000);
});
