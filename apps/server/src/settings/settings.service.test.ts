import { beforeEach, describe, expect, it } from '@jest/globals';
import {
  DEFAULT_WORKERS,
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  DEFAULT_PRICES,
  DEFAULT_SEASON,
  HOUSE_NUMBERS,
  HOUSE_RULES,
  LIMITS,
  PRICES,
  SEASON_NUMBERS,
} from '@keen/core';
import { SettingsService } from './settings.service.js';
import type { UpdateSettingsDto } from './settings.dto.js';

/** Rows of the table, as a store in memory. */
let rows: Map<string, unknown>;
let batches: number;
const write = (key: string, value: unknown) => () => rows.set(key, value);

const db = {
  select: () => ({ from: () => Promise.resolve([...rows].map(([key, value]) => ({ key, value }))) }),
  insert: () => ({
    values: ({ key, value }: { key: string; value: unknown }) => ({
      onConflictDoUpdate: ({ set }: { set: { value: unknown } }) => {
        expect(set.value).toBe(value);
        return write(key, value);
      },
    }),
  }),
  batch: (writes: (() => void)[]) => {
    batches += 1;
    writes.forEach((one) => one());
    return Promise.resolve();
  },
};
const service = new SettingsService(db as unknown as ConstructorParameters<typeof SettingsService>[0]);

beforeEach(() => {
  rows = new Map();
  batches = 0;
});

const refused = async (change: object, field: string): Promise<void> => {
  await expect(service.update(change as UpdateSettingsDto)).rejects.toMatchObject({
    response: { error: { field } },
  });
  expect(batches).toBe(0);
};
const set = (change: object) => service.update(change);

describe('settings that nobody has made', () => {
  it('are those that ship', async () => {
    expect(await service.read()).toMatchObject({
      limits: DEFAULT_LIMITS,
      prices: DEFAULT_PRICES,
      house: { choices: DEFAULT_HOUSE.choices, numbers: DEFAULT_HOUSE.numbers, variants: {}, products: {} },
      workers: DEFAULT_WORKERS,
      drivesOn: 'right',
      season: DEFAULT_SEASON,
      weatherOrder: null,
      stock: {},
      templates: {},
      namedWays: [],
    });
    expect((await service.read()).timeZone).toBe(Intl.DateTimeFormat().resolvedOptions().timeZone);
  });

  it('stand beside those that are stored, field by field', async () => {
    const [limit] = LIMITS;
    const [rule] = HOUSE_RULES;
    const option = rule?.options[1]?.id;
    rows = new Map<string, unknown>([
      ['limits', { [limit?.id ?? '']: limit?.max }],
      ['house', { choices: { [rule?.id ?? '']: option } }],
      ['display', { temperature: 'F' }],
      ['drivesOn', 'left'],
      ['timeZone', 'Asia/Tokyo'],
    ]);
    const read = await service.read();
    expect(read.limits).toEqual({ ...DEFAULT_LIMITS, [limit?.id ?? '']: limit?.max });
    expect(read.house.choices).toEqual({ ...DEFAULT_HOUSE.choices, [rule?.id ?? '']: option });
    expect(read.house.numbers).toEqual(DEFAULT_HOUSE.numbers);
    expect(read).toMatchObject({ drivesOn: 'left', timeZone: 'Asia/Tokyo', display: { temperature: 'F' } });
  });
});

describe('a number that is changed', () => {
  const groups = [
    { group: 'limits', rows: LIMITS, as: (id: string, value: unknown) => ({ limits: { [id]: value } }) },
    { group: 'prices', rows: PRICES, as: (id: string, value: unknown) => ({ prices: { [id]: value } }) },
    {
      group: 'season',
      rows: SEASON_NUMBERS,
      as: (id: string, value: unknown) => ({ season: { [id]: value } }),
    },
    {
      group: 'house.numbers',
      rows: HOUSE_NUMBERS,
      as: (id: string, value: unknown) => ({ house: { numbers: { [id]: value } } }),
    },
  ].flatMap(({ group, rows: all, as }) =>
    all.map(({ id, min, max }) => ({ field: `${group}.${id}`, id, min, max, as })),
  );

  it.each(groups)(
    '$field is taken at its ends, and refused beyond them',
    async ({ field, id, min, max, as }) => {
      await set(as(id, min));
      await set(as(id, max));
      expect(JSON.stringify([...rows.values()])).toContain(String(max));
      batches = 0;
      for (const bad of [min - 1e-3, max + 1e-3, Number.NaN, Infinity, '1', null])
        await refused(as(id, bad), field);
    },
  );

  it.each(['limits', 'prices', 'season'])('is refused where %s have no such', async (group) => {
    await refused({ [group]: { nonsense: 1 } }, `${group}.nonsense`);
  });
});

describe('a house rule', () => {
  it('is one of its schools', async () => {
    for (const { id, options } of HOUSE_RULES)
      for (const option of options) {
        const after = await set({ house: { choices: { [id]: option.id } } });
        expect((after.house.choices as unknown as Record<string, string>)[id]).toBe(option.id);
      }
    batches = 0;
    const [rule] = HOUSE_RULES;
    await refused({ house: { choices: { [rule?.id ?? '']: 'nonsense' } } }, `house.choices.${rule?.id}`);
    await refused({ house: { choices: { [rule?.id ?? '']: 7 } } }, `house.choices.${rule?.id}`);
    await refused({ house: { choices: { nonsense: 'x' } } }, 'house.choices.nonsense');
  });
});

describe('workers', () => {
  const hours = (openMinute: number, closeMinute: number) =>
    Array.from({ length: 7 }, (_, day) => (day === 2 ? { openMinute, closeMinute } : null));

  it('are each there once, on days that have a length', async () => {
    const owner = { id: 'owner', name: 'Owner', hours: hours(480, 1020) };
    expect((await set({ workers: [owner] })).workers).toEqual([owner]);
    expect((await set({ workers: [{ ...owner, hours: hours(1320, 300) }] })).workers[0]?.hours[2]).toEqual({
      openMinute: 1320,
      closeMinute: 300,
    });
    batches = 0;
    await refused({ workers: [owner, { ...owner, name: 'Again' }] }, 'workers.1.id');
    await refused({ workers: [{ ...owner, hours: hours(600, 600) }] }, 'workers.0.hours.2.closeMinute');
  });
});

describe('what is written', () => {
  it('is written at once, and is what is read', async () => {
    const after = await set({ timeZone: 'Europe/Oslo', drivesOn: 'left', display: { wind: 'mph' } });
    expect(after).toMatchObject({ timeZone: 'Europe/Oslo', drivesOn: 'left', display: { wind: 'mph' } });
    expect(batches).toBe(1);
    const again = await set({ limits: {} });
    expect(again).toEqual(after);
  });

  it('is nothing where somebody changed it meanwhile', async () => {
    await refused({ timeZone: 'Europe/Oslo', was: { timeZone: 'Asia/Tokyo' } }, 'timeZone');
    const { timeZone } = await service.read();
    await set({ timeZone: 'Europe/Oslo', was: { timeZone } });
    expect((await service.read()).timeZone).toBe('Europe/Oslo');
  });

  it('counts washes of a method down to nothing, gives them back, and counts none that is not counted', async () => {
    await set({ stock: { waterless: 1 } });
    const count = async (sign: 1 | -1): Promise<unknown> => {
      for (const one of await service.stockChanges([{ methodId: 'waterless', sign }]))
        (one as unknown as () => void)();
      return (await service.read()).stock;
    };
    expect(await count(1)).toEqual({ waterless: 0 });
    expect(await count(1)).toEqual({ waterless: 0 });
    expect(await count(-1)).toEqual({ waterless: 1 });
    expect(await service.stockChanges([{ methodId: 'bay-contact', sign: 1 }])).toEqual([]);
  });

  it('is the order of the weather sources alone, where that is set', async () => {
    await service.setWeatherOrder(['b', 'a']);
    expect([...rows.keys()]).toEqual(['weatherOrder']);
    expect((await service.read()).weatherOrder).toEqual(['b', 'a']);
  });
});
