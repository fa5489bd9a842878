import { beforeEach, describe, expect, it } from '@jest/globals';
import type { Gear, Product } from '@keen/core';
import { KitService } from './kit.service.js';
import type { CreateGearDto, CreateProductDto, UpdateGearDto, UpdateProductDto } from './kit.dto.js';

const NOW = Date.UTC(2026, 0, 14, 12);

const BOTTLE = {
  name: 'Plain shampoo',
  role: 'shampoo',
  inUsePh: 7,
  usualParts: 400,
  fewestParts: 100,
  mostParts: 600,
  keptIn: 'van',
  bottleMl: 1000,
  leftMl: 800,
  lowMl: 100,
  priceMinor: 1200,
} as CreateProductDto;
const TOWELS = { name: 'Towels', kind: 'folded-towel', count: 10, cleanCount: 10 } as CreateGearDto;

type Row = { id: string };
/** Rows as a repository keeps them. */
class Rows<R extends Row> {
  rows: R[] = [];
  removed: [string, number][] = [];
  insert = (row: R) => Promise.resolve(void this.rows.push(row));
  read = (id: string) => {
    const found = this.rows.find((row) => row.id === id);
    return found ? Promise.resolve(found) : Promise.reject(new Error(`no ${id}`));
  };
  update = (id: string, change: Partial<R>) => {
    this.rows = this.rows.map((row) => (row.id === id ? { ...row, ...change } : row));
    return Promise.resolve();
  };
  setRemoved = (id: string, atMs: number) => Promise.resolve(void this.removed.push([id, atMs]));
  restore = (id: string) => this.read(id);
}

let products: Rows<Product>;
let gear: Rows<Gear>;
let control: ({ airTempC: number } | null)[];

beforeEach(() => {
  products = new Rows();
  gear = new Rows();
  control = [];
});

function service(): KitService {
  const parts = [
    { products, gear, all: () => Promise.resolve({ products: products.rows, gear: gear.rows }) },
    { bundle: () => Promise.resolve({ control }) },
    { now: () => NOW },
  ];
  return new KitService(...(parts as unknown as ConstructorParameters<typeof KitService>));
}
const refused = async (work: Promise<unknown>, field: string): Promise<void> => {
  await expect(work).rejects.toMatchObject({ response: { error: { field } } });
};

describe('a bottle', () => {
  const make = (change: Partial<CreateProductDto> = {}) => service().createProduct({ ...BOTTLE, ...change });

  it('is kept with what its label does not say left open', async () => {
    const kept = await make();
    expect(kept).toEqual({
      ...BOTTLE,
      id: kept.id,
      capMl: null,
      carMl: null,
      dwell: null,
      lowestWorkC: null,
      lowestStoreC: null,
      notes: '',
      levels: [{ atMs: NOW, readMl: 800, expectedMl: 800 }],
    });
    expect(products.rows).toEqual([kept]);
    const said = {
      capMl: 30,
      carMl: 40,
      dwell: { minMinutes: 1, maxMinutes: 4 },
      lowestWorkC: 3,
      lowestStoreC: 0,
      notes: 'blue',
    };
    expect(await make(said)).toMatchObject(said);
  });

  it.each([
    { change: { fewestParts: 400 }, field: null },
    { change: { mostParts: 400 }, field: null },
    { change: { fewestParts: 401 }, field: 'usualParts' },
    { change: { mostParts: 399 }, field: 'usualParts' },
    { change: { fewestParts: 0, usualParts: 0, mostParts: 0 }, field: null },
    { change: { fewestParts: 1, usualParts: 1 }, field: null },
    { change: { fewestParts: 0.9 }, field: 'fewestParts' },
    { change: { fewestParts: 0, usualParts: 0.5 }, field: 'usualParts' },
    { change: { fewestParts: 0, usualParts: 0, mostParts: 0.5 }, field: 'mostParts' },
    { change: { dwell: { minMinutes: 2, maxMinutes: 2 } }, field: null },
    { change: { dwell: { minMinutes: 2.1, maxMinutes: 2 } }, field: 'dwell.maxMinutes' },
  ])('with $change is refused by $field', async ({ change, field }) => {
    if (field === null) await expect(make(change)).resolves.toBeDefined();
    else await refused(make(change), field);
    expect(products.rows).toHaveLength(field === null ? 1 : 0);
  });

  it('changes in what was sent, checked as a whole, and not over what changed meanwhile', async () => {
    const { id } = await make();
    const update = (dto: UpdateProductDto) => service().updateProduct(id, dto);
    expect(await update({ leftMl: 500 })).toMatchObject({ leftMl: 500, usualParts: 400 });
    expect(products.rows[0]?.leftMl).toBe(500);
    await refused(update({ mostParts: 399 }), 'usualParts');
    await refused(update({ leftMl: 400, was: { leftMl: 800 } }), 'leftMl');
    expect(products.rows[0]).toMatchObject({ leftMl: 500, mostParts: 600 });
  });

  it('keeps each level that is read off it beside what was expected, the last two dozen, and no other change', async () => {
    const { id } = await make();
    await service().updateProduct(id, { name: 'Other' });
    expect(products.rows[0]?.levels).toHaveLength(1);
    await service().updateProduct(id, { leftMl: 610 });
    expect(products.rows[0]?.levels?.at(-1)).toEqual({ atMs: NOW, readMl: 610, expectedMl: 800 });
    for (let ml = 600; ml > 570; ml -= 1) await service().updateProduct(id, { leftMl: ml });
    expect(products.rows[0]?.levels).toHaveLength(24);
    expect(products.rows[0]?.levels?.at(-1)).toEqual({ atMs: NOW, readMl: 571, expectedMl: 572 });
    products.rows = products.rows.map((row) => ({ ...row, levels: null }));
    await service().updateProduct(id, { leftMl: 500 });
    expect(products.rows[0]?.levels).toEqual([{ atMs: NOW, readMl: 500, expectedMl: 571 }]);
  });

  it('is taken away at its hour where there is one, and comes back', async () => {
    const { id } = await make();
    await service().removeProduct(id);
    expect(products.removed).toEqual([[id, NOW]]);
    await expect(service().removeProduct('none')).rejects.toThrow('no none');
    expect((await service().restoreProduct(id)).id).toBe(id);
  });
});

describe('gear', () => {
  const make = (change: Partial<CreateGearDto> = {}) => service().createGear({ ...TOWELS, ...change });

  it('is kept with what it does not hold left open', async () => {
    const kept = await make();
    expect(kept).toEqual({
      ...TOWELS,
      id: kept.id,
      volumeMl: null,
      outputLitresPerBottle: null,
      lifeLitres: null,
      litresUsed: 0,
      notes: '',
    });
    const said = { volumeMl: 1000, outputLitresPerBottle: 9, lifeLitres: 500, litresUsed: 20, notes: 'n' };
    expect(await make(said)).toMatchObject(said);
  });

  it.each([
    { change: { cleanCount: 11 }, field: 'cleanCount' },
    { change: { volumeMl: 1000, outputLitresPerBottle: 1 }, field: null },
    { change: { volumeMl: 1001, outputLitresPerBottle: 1 }, field: 'outputLitresPerBottle' },
    { change: { outputLitresPerBottle: 0.1 }, field: null },
    { change: { volumeMl: 1000 }, field: null },
  ])('with $change is refused by $field', async ({ change, field }) => {
    if (field === null) await expect(make(change)).resolves.toBeDefined();
    else await refused(make(change), field);
  });

  it('changes in what was sent, checked as a whole', async () => {
    const { id } = await make();
    const update = (dto: UpdateGearDto) => service().updateGear(id, dto);
    expect(await update({ cleanCount: 4 })).toMatchObject({ cleanCount: 4, count: 10 });
    await refused(update({ count: 3 }), 'cleanCount');
    await refused(update({ cleanCount: 2, was: { cleanCount: 9 } }), 'cleanCount');
    expect(gear.rows[0]).toMatchObject({ count: 10, cleanCount: 4 });
    await service().removeGear(id);
    expect(gear.removed).toEqual([[id, NOW]]);
    await expect(service().removeGear('none')).rejects.toThrow('no none');
    expect((await service().restoreGear(id)).id).toBe(id);
  });
});

describe('what is to be seen to before tomorrow', () => {
  const hours = (...temps: (number | null)[]) =>
    temps.map((airTempC) => (airTempC === null ? null : { airTempC }));

  it('goes by the coldest of the next eighteen hours that anybody knows', async () => {
    control = hours(3, null, -4, ...Array.from({ length: 15 }, () => 2), -20);
    expect((await service().warnings()).coldestC).toBe(-4);
    control = hours(...Array.from({ length: 17 }, () => 2), -20);
    expect((await service().warnings()).coldestC).toBe(-20);
  });

  it('knows no cold where nobody knows the weather', async () => {
    control = hours(null, null);
    expect((await service().warnings()).coldestC).toBeNull();
  });
});
