import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  type CellAnswer,
  type Gear,
  type Kit,
  type KitWarnings,
  type PlaceRecord,
  type Product,
  type VehicleRecord,
  type WashRecord,
  MS_PER_DAY,
  type ErrorBody,
  type RunAnswer,
} from '@keen/core';
import request from 'supertest';
import { doneWash, PLACE, startTestApp, type TestApp, VEHICLE, RINSELESS } from '../testing/test-app.js';

const NOW = Date.parse('2026-01-14T06:40:00-05:00');
const TOWELS = { name: 'Towels', kind: 'folded-towel', count: 30, cleanCount: 20 } as const;

let test: TestApp;
let car: VehicleRecord;
let unit: PlaceRecord;
let bottle: Product;
const api = () => request(test.app.getHttpServer());
const sent = async <T>(path: string, body: object): Promise<T> =>
  (await api().post(`/api/${path}`).send(body).expect(201)).body as T;
const kit = async (): Promise<Kit> => (await api().get('/api/kit').expect(200)).body as Kit;
const faultOf = (body: unknown) => (body as ErrorBody).error;

beforeAll(async () => {
  test = await startTestApp();
  unit = await sent<PlaceRecord>('places', PLACE);
  car = await sent<VehicleRecord>('vehicles', VEHICLE);
  bottle = await sent<Product>('kit/products', RINSELESS);
  await sent<Gear>('kit/gear', TOWELS);
}, 60_000);

afterAll(() => test.close());

describe('the kit', () => {
  it('is kept, changed, taken away and brought back', async () => {
    const changed = await api().patch(`/api/kit/products/${bottle.id}`).send({ lowMl: 200 }).expect(200);
    expect(changed.body).toMatchObject({ name: RINSELESS.name, lowMl: 200, dwell: null });
    await api().delete(`/api/kit/products/${bottle.id}`).expect(204);
    expect((await kit()).products).toEqual([]);
    await api().post(`/api/kit/products/${bottle.id}/restore`).expect(200);
    expect((await kit()).products).toHaveLength(1);
    await api().patch('/api/kit/products/none').send({ lowMl: 2 }).expect(404);
  });

  it.each([
    { change: { usualParts: 0.1, fewestParts: 0 }, field: 'usualParts', why: 'more product than water' },
    { change: { usualParts: 900 }, field: 'usualParts', why: 'weaker than the label' },
    {
      change: { dwell: { minMinutes: 5, maxMinutes: 2 } },
      field: 'dwell.maxMinutes',
      why: 'a dwell that ends first',
    },
    { change: { inUsePh: 15 }, field: 'inUsePh', why: 'a pH that is none' },
    { change: { role: 'potion' }, field: 'role', why: 'a role nobody knows' },
    { change: { name: '' }, field: 'name', why: 'no name' },
  ])('refuses $why, naming $field', async ({ change, field }) => {
    const answer = await api()
      .post('/api/kit/products')
      .send({ ...RINSELESS, ...change })
      .expect(400);
    expect(faultOf(answer.body).field).toBe(field);
    expect((await kit()).products).toHaveLength(1);
  });

  it('refuses more clean cloths than there are, and a lance that lets out less than it holds', async () => {
    const more = await api()
      .post('/api/kit/gear')
      .send({ ...TOWELS, cleanCount: 31 })
      .expect(400);
    expect(faultOf(more.body).field).toBe('cleanCount');
    const lance = { ...TOWELS, kind: 'lance', volumeMl: 1000, outputLitresPerBottle: 0.5 };
    const less = await api().post('/api/kit/gear').send(lance).expect(400);
    expect(faultOf(less.body).field).toBe('outputLitresPerBottle');
  });

  it('says what freezes in the van tonight and what is low', async () => {
    const read = async () => (await api().get('/api/kit/warnings').expect(200)).body as KitWarnings;
    const cold = await read();
    expect(cold.coldestC).toBeLessThan(0);
    expect(cold.freezing.map(({ id }) => id)).toEqual([bottle.id]);
    expect(cold.low).toEqual([]);
    await api().patch(`/api/kit/products/${bottle.id}`).send({ keptIn: 'indoors', leftMl: 200 }).expect(200);
    expect(await read()).toMatchObject({ freezing: [], low: [{ id: bottle.id }] });
    await api().patch(`/api/kit/products/${bottle.id}`).send({ leftMl: 1000 }).expect(200);
  });
});

describe('a wash that is done', () => {
  it('takes product and towels out of the kit, and gives them back when it was not', async () => {
    const logged = await sent<WashRecord>('washes/done', doneWash(car.id, unit.id, NOW - 3 * MS_PER_DAY));
    const after = await kit();
    const left = after.products[0]?.leftMl ?? NaN;
    expect(left).toBeGreaterThan(800);
    expect(left).toBeLessThan(900);
    expect(after.gear[0]?.cleanCount).toBe(20 - (logged.found?.used?.foldedTowels ?? NaN));
    await api().delete(`/api/washes/${logged.id}`).expect(204);
    expect(await kit()).toMatchObject({ products: [{ leftMl: 1000 }], gear: [{ cleanCount: 20 }] });
    await api().post(`/api/washes/${logged.id}/restore`).expect(200);
    expect((await kit()).products[0]?.leftMl).toBeCloseTo(left, 6);
    await api().delete(`/api/washes/${logged.id}`).expect(204);
  });

  it('is not planned beyond what the bottles give', async () => {
    await api().patch(`/api/kit/products/${bottle.id}`).send({ leftMl: 20 }).expect(200);
    const { choices } = (await api().get('/api/plan').expect(200)).body as { choices: unknown[] };
    expect(choices).toEqual([]);
    await api().patch(`/api/kit/products/${bottle.id}`).send({ leftMl: 1000 }).expect(200);
  });
});

describe('the run sheet', () => {
  const sheetOf = async (): Promise<RunAnswer['pack']['sheet']> => {
    const plan = {
      vehicleId: car.id,
      placeId: unit.id,
      methodId: 'garage-rinseless',
      startMs: NOW + 4 * 3_600_000,
    };
    const wash = await sent<WashRecord>('washes', plan);
    const answer = (await api().get(`/api/runs/${wash.id}`).expect(200)).body as RunAnswer;
    await api().delete(`/api/washes/${wash.id}`).expect(204);
    return answer.pack.sheet;
  };

  it('says what to mix, in caps of that bottle', async () => {
    const { mixes, clean } = (await sheetOf()).preparation;
    expect(mixes.map(({ step }) => step)).toEqual(expect.arrayContaining(['pre-soak', 'rinseless']));
    const bucket = mixes.find(({ step }) => step === 'rinseless');
    expect(bucket?.product?.name).toBe(RINSELESS.name);
    expect(bucket?.caps).toBeCloseTo((bucket?.productMl ?? 0) / 30, 6);
    expect(clean.foldedTowels).toBe(20);
  });

  it('follows the shop’s own order of a method, which is checked', async () => {
    const shipped = (await sheetOf()).steps.map(({ id }) => id);
    const variant = {
      steps: [{ key: 'shuts-0', minutes: 8, note: 'first, while dry' }],
      leftOut: ['wheels-0'],
    };
    const save = (variants: object, status: number) =>
      api().patch('/api/settings').send({ house: { variants } }).expect(status);
    await save({ 'garage-rinseless': variant }, 200);
    const { steps } = await sheetOf();
    expect(steps.map(({ id }) => id)).not.toContain('wheels');
    expect(steps.find(({ id }) => id === 'shuts')).toMatchObject({ minutes: 8, note: 'first, while dry' });
    const twice = await save({ 'garage-rinseless': { ...variant, leftOut: ['shuts-0'] } }, 400);
    expect(faultOf(twice.body).field).toBe('house.variants.garage-rinseless.steps.0.key');
    const endless = { steps: [{ key: 'shuts-0', minutes: -1 }], leftOut: [] };
    const minutes = await save({ 'garage-rinseless': endless }, 400);
    expect(faultOf(minutes.body).field).toBe('house.variants.garage-rinseless.steps.0.minutes');
    await save({ 'no-method': variant }, 400);
    await save({ 'garage-rinseless': null }, 200);
    expect((await sheetOf()).steps.map(({ id }) => id)).toEqual(shipped);
  });
});

describe('a bottle that is chosen for one wash', () => {
  const at = { methodId: 'garage-rinseless', startMs: NOW + 5 * 3_600_000 };
  const change = (id: string, body: object, status = 200) =>
    api().patch(`/api/washes/${id}`).send(body).expect(status);
  const mixesOf = async ({ id }: WashRecord): Promise<(string | undefined)[]> => {
    const { pack } = (await api().get(`/api/runs/${id}`).expect(200)).body as RunAnswer;
    return pack.sheet.preparation.mixes.map(({ step, product }) => `${step} ${product?.name}`);
  };

  it('is in its sheet and its stock alone, holds when it is moved, and is given up for the house’s own', async () => {
    const other = await sent<Product>('kit/products', { ...RINSELESS, name: 'Stronger', inUsePh: 8.5 });
    const leftOf = async (id: string) => (await kit()).products.find((one) => one.id === id)?.leftMl ?? NaN;
    const wash = await sent<WashRecord>('washes', { ...at, vehicleId: car.id, placeId: unit.id });
    expect(await mixesOf(wash)).toContain(`rinseless ${RINSELESS.name}`);
    const chosen = (await change(wash.id, { products: { rinseless: other.id } })).body as WashRecord;
    expect(chosen.predicted?.products).toEqual({ rinseless: other.id });
    expect(await mixesOf(wash)).toContain('rinseless Stronger');
    await change(wash.id, { startMs: at.startMs + 3_600_000 });
    expect(await mixesOf(wash)).toContain('rinseless Stronger');
    const before = [await leftOf(bottle.id), await leftOf(other.id)];
    const { startMs: _start, ...done } = doneWash(car.id, unit.id, NOW - 7_200_000) as { startMs: number };
    await api()
      .post(`/api/washes/${wash.id}/done`)
      .send({ ...done, vehicleId: undefined, placeId: undefined, startMs: NOW - 7_200_000 })
      .expect(200);
    const after = [await leftOf(bottle.id), await leftOf(other.id)];
    expect(after[1]).toBeLessThan(before[1] ?? NaN);
    // What the pre-soak takes still comes out of the house's own.
    const next = await sent<WashRecord>('washes', { ...at, vehicleId: car.id, placeId: unit.id });
    expect(await mixesOf(next)).toContain(`rinseless ${RINSELESS.name}`);
    await change(next.id, { products: { rinseless: other.id } });
    const back = (await change(next.id, { products: { rinseless: null } })).body as WashRecord;
    expect(back.predicted?.products).toBeUndefined();
    expect(await mixesOf(next)).toContain(`rinseless ${RINSELESS.name}`);
  });

  it('is refused for a step that there is not, and where it is no bottle', async () => {
    const [wash] = (await api().get('/api/washes?status=planned').expect(200)).body as WashRecord[];
    if (!wash) throw new Error('no wash is planned');
    const sand = await change(wash.id, { products: { sand: 'x' } }, 400);
    expect(faultOf(sand.body).field).toBe('products.sand');
    const none = await change(wash.id, { products: { foam: '' } }, 400);
    expect(faultOf(none.body).field).toBe('products.foam');
  });

  it('can be asked about before it is chosen', async () => {
    const { id: otherId } = (await kit()).products.find(({ name }) => name === 'Stronger') ?? { id: '' };
    const start = `vehicleId=${car.id}&placeId=${unit.id}&methodId=${at.methodId}&startMs=${at.startMs}`;
    const money = async (products: string): Promise<number> => {
      const { body } = await api().get(`/api/verdicts/cell?${start}${products}`).expect(200);
      return (body as CellAnswer).wash.moneyMinor;
    };
    await api().patch(`/api/kit/products/${otherId}`).send({ priceMinor: 9600 }).expect(200);
    expect(await money(`&products=rinseless:${otherId}`)).toBeGreaterThan(await money(''));
    await api().get(`/api/verdicts/cell?${start}&products=sand:x`).expect(400);
  });
});
