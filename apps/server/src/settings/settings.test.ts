import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  DEFAULT_DISPLAY,
  DEFAULT_WORKERS,
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  DEFAULT_PRICES,
  DEFAULT_SEASON,
  EMPTY_PRICE_LIST,
  LIMITS,
  type Settings,
} from '@keen/core';
import { DATABASE } from '../db/database.module.js';
import type { Database } from '../db/database.js';
import { settings } from '../db/schema.js';
import { faultOf, startTestApp, type TestApp, testCalls } from '../testing/test-app.js';

let test: TestApp;
const { api, get } = testCalls(() => test);
const read = (): Promise<Settings> => get('settings');
const set = async (change: object): Promise<Settings> =>
  (await api().patch('/api/settings').send(change).expect(200)).body as Settings;
const refused = async (change: object, status = 400) =>
  faultOf((await api().patch('/api/settings').send(change).expect(status)).body);

beforeAll(async () => {
  test = await startTestApp();
}, 60_000);

afterAll(() => test.close());

describe('settings', () => {
  it('leave aside what an older version kept of the season, and keep the rest', async () => {
    const db = test.app.get<Database>(DATABASE);
    const value = { 'underbody.minutes': 25, 'underbody.productMinor': 700 };
    await db.insert(settings).values({ key: 'season', value });
    expect((await read()).season).toEqual({ ...DEFAULT_SEASON, 'underbody.minutes': 25 });
    await db.delete(settings);
  });

  it('ship with defaults', async () => {
    expect(await read()).toMatchObject({
      limits: DEFAULT_LIMITS,
      prices: DEFAULT_PRICES,
      display: DEFAULT_DISPLAY,
      house: { choices: DEFAULT_HOUSE.choices, numbers: DEFAULT_HOUSE.numbers },
      workers: DEFAULT_WORKERS,
      season: DEFAULT_SEASON,
      priceList: EMPTY_PRICE_LIST,
      drivesOn: 'right',
      stock: {},
      templates: {},
      namedWays: [],
    });
  });

  it('change in what was sent alone, and nothing else moves', async () => {
    const before = await read();
    const after = await set({ display: { temperature: 'F' }, drivesOn: 'left' });
    expect(after).toEqual({
      ...before,
      display: { ...before.display, temperature: 'F' },
      drivesOn: 'left',
    });
    expect(await set({})).toEqual(after);
    expect(await read()).toEqual(after);
    expect(await set({ display: { temperature: before.display.temperature }, drivesOn: 'right' })).toEqual(
      before,
    );
  });

  it('do not overwrite what another screen changed meanwhile', async () => {
    const { drivesOn } = await read();
    await set({ drivesOn: 'left' });
    expect(await refused({ drivesOn: 'right', was: { drivesOn } }, 409)).toMatchObject({
      code: 'changed-meanwhile',
      field: 'drivesOn',
    });
    expect((await read()).drivesOn).toBe('left');
    await set({ drivesOn: 'right', was: { drivesOn: 'left' } });
  });

  it.each(LIMITS.map(({ id, min, max, unit }) => ({ id, min, max, unit })))(
    'hold $id between $min and $max $unit, ends included',
    async ({ id, min, max }) => {
      const out = (max - min) / 1000;
      const field = `limits.${id}`;
      expect((await refused({ limits: { [id]: min - out } })).field).toBe(field);
      expect((await refused({ limits: { [id]: max + out } })).field).toBe(field);
      expect((await refused({ limits: { [id]: '1' } })).field).toBe(field);
      expect((await set({ limits: { [id]: min } })).limits).toMatchObject({ [id]: min });
      expect((await set({ limits: { [id]: max } })).limits).toMatchObject({ [id]: max });
      await set({ limits: { [id]: DEFAULT_LIMITS[id] } });
    },
  );

  it.each([
    { change: { limits: { nonsense: 1 } }, field: 'limits.nonsense' },
    { change: { prices: { nonsense: 1 } }, field: 'prices.nonsense' },
    { change: { house: { choices: { nonsense: 'x' } } }, field: 'house.choices.nonsense' },
    { change: { house: { numbers: { nonsense: 1 } } }, field: 'house.numbers.nonsense' },
    { change: { season: { nonsense: 1 } }, field: 'season.nonsense' },
    { change: { stock: { nonsense: 1 } }, field: 'stock.nonsense' },
    { change: { stock: { 'garage-rinseless': -1 } }, field: 'stock.garage-rinseless' },
    { change: { stock: { 'garage-rinseless': 0.5 } }, field: 'stock.garage-rinseless' },
    { change: { stock: { 'garage-rinseless': 100_001 } }, field: 'stock.garage-rinseless' },
    { change: { templates: { nonsense: 'x' } }, field: 'templates.nonsense' },
    { change: { templates: { booked: 'x'.repeat(2001) } }, field: 'templates.booked' },
    { change: { display: { currency: 'cad' } }, field: 'display.currency' },
    { change: { display: { wind: 'knots' } }, field: 'display.wind' },
    { change: { timeZone: 'Nowhere/Town' }, field: 'timeZone' },
    { change: { workers: [] }, field: 'workers' },
    { change: { drivesOn: 'both' }, field: 'drivesOn' },
  ])('refuse $field', async ({ change, field }) => {
    const before = await read();
    expect((await refused(change)).field).toBe(field);
    expect(await read()).toEqual(before);
  });

  it('hold each pair of hands once, with nights that end the next day', async () => {
    const closed = Array.from({ length: 6 }, () => null);
    const night = { id: 'night', name: 'Night', hours: [{ openMinute: 1320, closeMinute: 360 }, ...closed] };
    expect((await set({ workers: [night] })).workers).toEqual([night]);
    expect((await refused({ workers: [night, night] })).field).toBe('workers.1.id');
    const none = { ...night, hours: [{ openMinute: 480, closeMinute: 480 }, ...closed] };
    expect((await refused({ workers: [none] })).field).toBe('workers.0.hours.0.closeMinute');
    await set({ workers: DEFAULT_WORKERS });
  });

  it('merge rows by name: one that is not named stays, null takes it out', async () => {
    await set({ stock: { 'garage-rinseless': 3, 'garage-hose': 5 } });
    expect((await set({ stock: { 'garage-rinseless': 2 } })).stock).toEqual({
      'garage-rinseless': 2,
      'garage-hose': 5,
    });
    expect((await set({ stock: { 'garage-rinseless': null } })).stock).toEqual({ 'garage-hose': 5 });
    expect((await set({ stock: { 'garage-hose': null } })).stock).toEqual({});
  });

  it('keep the shop’s own words, and go back to what ships where they are empty', async () => {
    expect((await set({ templates: { booked: 'Hello' } })).templates).toEqual({ booked: 'Hello' });
    expect((await set({ templates: { moved: 'Moved' } })).templates).toEqual({
      booked: 'Hello',
      moved: 'Moved',
    });
    expect((await set({ templates: { booked: ' ' } })).templates).toEqual({ moved: 'Moved' });
    await set({ templates: { moved: '' } });
  });
});
