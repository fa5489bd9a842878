import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house/index.js';
import { METHOD_IDS, shopMethod, WASH_STEP_IDS } from '../method/index.js';
import { VEHICLE } from '../testing/shop.js';
import {
  cleanOf,
  EMPTY_KIT,
  type Gear,
  kitWarnings,
  type Mix,
  mixesFor,
  type Product,
  productUse,
  STEP_PRODUCTS,
  washesLeft,
} from './index.js';

const product = (change: Partial<Product>): Product => ({
  id: change.role ?? 'p',
  name: change.role ?? 'p',
  role: 'shampoo',
  inUsePh: 7.5,
  usualParts: 400,
  fewestParts: 100,
  mostParts: 1000,
  capMl: null,
  dwell: null,
  lowestWorkC: null,
  lowestStoreC: null,
  keptIn: 'van',
  bottleMl: 1000,
  leftMl: 1000,
  lowMl: 200,
  priceMinor: 2000,
  notes: '',
  ...change,
});
const gear = (change: Partial<Gear>): Gear => ({
  id: change.kind ?? 'g',
  name: 'g',
  kind: 'foamer',
  count: 1,
  cleanCount: 0,
  volumeMl: null,
  outputLitresPerBottle: null,
  lifeLitres: null,
  litresUsed: 0,
  notes: '',
  ...change,
});

const RINSELESS = product({ role: 'rinseless', usualParts: 255, fewestParts: 15, mostParts: 320, capMl: 30 });
const FOAM = product({
  role: 'alkaline-pre-wash',
  inUsePh: 11,
  usualParts: 9,
  fewestParts: 4,
  mostParts: 20,
});
const STEPS = shopMethod('garage-rinseless', DEFAULT_HOUSE).steps;
const BAY_STEPS = shopMethod('bay-contact', DEFAULT_HOUSE).steps;

const mixes = (products: readonly Product[], change: object = {}, steps = STEPS): Mix[] =>
  mixesFor(steps, { vehicle: VEHICLE, kit: { products, gear: [] }, placeC: 14, ...change });
const mixOf = (all: readonly Mix[], step: Mix['step']): Mix => {
  const found = all.find((mix) => mix.step === step);
  if (!found) throw new Error(`no mix for ${step}`);
  return found;
};

describe('the mixes of a wash', () => {
  it('are the amounts of the label, in mL, parts, percent and caps of that bottle', () => {
    const bucket = mixOf(mixes([RINSELESS]), 'rinseless');
    const litres = STEPS.find(({ id }) => id === 'rinseless')?.litres ?? 0;
    expect(bucket.productMl).toBeCloseTo((litres * 1000) / 256, 6);
    expect(bucket.productMl + bucket.waterMl).toBeCloseTo(litres * 1000, 6);
    expect(bucket).toMatchObject({ parts: 255, into: 'bucket', faults: [] });
    expect(bucket.percent).toBeCloseTo(100 / 256, 9);
    expect(bucket.caps).toBeCloseTo(bucket.productMl / 30, 9);
  });

  it('keep the strength that a step wants within the label', () => {
    expect(mixOf(mixes([RINSELESS]), 'pre-soak').parts).toBe(15);
    expect(mixOf(mixes([{ ...RINSELESS, fewestParts: 32 }]), 'pre-soak').parts).toBe(32);
  });

  it('stand in the order to mix: the warm buckets last', () => {
    const order = mixes([RINSELESS, FOAM, product({})], {}, BAY_STEPS).map(({ into }) => into);
    expect(order.at(-1)).toBe('bucket');
    expect(order.indexOf('foamer')).toBeLessThan(order.indexOf('bucket'));
  });

  it('take a neat product as it is', () => {
    const steps = shopMethod('strip-reseal', DEFAULT_HOUSE).steps;
    const seal = product({ role: 'sealant', usualParts: 0, fewestParts: 0, mostParts: 0, capMl: 15 });
    const mix = mixOf(mixes([seal], {}, steps), 'seal');
    expect(mix).toMatchObject({ productMl: 60, waterMl: 0, percent: 100, caps: 4 });
  });

  it('take protection off without a fault where that is what the wash is for, and are told where it is not', () => {
    const tar = product({ role: 'tar-remover', inUsePh: 7, usualParts: 0, fewestParts: 0, mostParts: 0 });
    const meets = (methodId: 'pre-coating' | 'garage-rinseless') => {
      const house = {
        ...DEFAULT_HOUSE,
        variants: { 'garage-rinseless': { steps: [{ key: '+tar', minutes: 4, note: '' }], leftOut: [] } },
      };
      const steps = shopMethod(methodId, house).steps;
      const vehicle = { ...VEHICLE, protection: 'wax' as const };
      return mixOf(mixesFor(steps, { vehicle, kit: { products: [tar], gear: [] }, placeC: 15 }), 'tar')
        .faults;
    };
    expect(meets('pre-coating')).toEqual([]);
    const aid = product({ role: 'drying-aid' });
    const aided = (methodId: string) =>
      mixes([aid], {}, shopMethod(methodId, DEFAULT_HOUSE).steps).map(({ step }) => step);
    expect(aided('garage-rinseless')).toContain('towel');
    expect(aided('pre-coating')).not.toContain('towel');
    expect(meets('garage-rinseless')).toMatchObject([
      { kind: 'meets', finding: { kind: 're-protect', reason: 'dissolves' } },
    ]);
  });

  it('say what arrives on the panel where a foamer thins it further', () => {
    const foamer = gear({ kind: 'foamer', volumeMl: 1000, outputLitresPerBottle: 10 });
    const kit = { products: [FOAM], gear: [foamer] };
    const mix = mixOf(mixesFor(BAY_STEPS, { vehicle: VEHICLE, kit, placeC: 5 }), 'foam');
    expect(mix.percent).toBeCloseTo(10, 9);
    expect(mix.panelPercent).toBeCloseTo(1, 9);
    expect(mixOf(mixes([FOAM], {}, BAY_STEPS), 'foam').panelPercent).toBeNull();
  });

  it('are none where nothing is owned, and tell of a step without its product where something is', () => {
    expect(mixes([])).toEqual([]);
    expect(mixOf(mixes([FOAM]), 'rinseless')).toMatchObject({
      product: null,
      faults: [{ kind: 'none-in-kit' }],
    });
  });

  it('need no soap of the shop where the site’s own runs on the meter', () => {
    const site = { ...DEFAULT_HOUSE, choices: { ...DEFAULT_HOUSE.choices, baySoap: 'site' as const } };
    const steps = shopMethod('bay-touch-free', site).steps;
    expect(mixes([FOAM], {}, steps).map(({ step }) => step)).not.toContain('foam');
  });

  it('take the product that harms least, then the fuller bottle', () => {
    const mild = product({
      id: 'mild',
      role: 'alkaline-pre-wash',
      inUsePh: 9,
      usualParts: 9,
      fewestParts: 4,
      mostParts: 20,
    });
    const waxed = { ...VEHICLE, protection: 'wax' as const };
    expect(mixOf(mixes([FOAM, mild], { vehicle: waxed }, BAY_STEPS), 'foam').product?.id).toBe('mild');
    const full = { ...FOAM, id: 'full', leftMl: 5000 };
    expect(mixOf(mixes([FOAM, full], {}, BAY_STEPS), 'foam').product?.id).toBe('full');
  });
});

describe('what stands against a mix', () => {
  it.each([
    { why: 'just enough', leftMl: 2000 / 16 + 7000 / 256, fault: null },
    { why: 'a little short of one step', leftMl: 20, fault: 'too-little' },
  ])('$why', ({ leftMl, fault }) => {
    const kinds = mixOf(mixes([{ ...RINSELESS, leftMl }]), 'rinseless').faults.map(({ kind }) => kind);
    expect(kinds).toEqual(fault === null ? [] : [fault]);
  });

  it.each([
    { placeC: 5, lowestWorkC: 5, fault: false },
    { placeC: 4.9, lowestWorkC: 5, fault: true },
    { placeC: -20, lowestWorkC: null, fault: false },
  ])('is cold at $placeC °C where the label says $lowestWorkC: $fault', ({ placeC, lowestWorkC, fault }) => {
    const { faults } = mixOf(mixes([{ ...RINSELESS, lowestWorkC }], { placeC }), 'rinseless');
    expect(faults).toEqual(fault ? [{ kind: 'too-cold', tempC: placeC, lowestC: lowestWorkC }] : []);
  });

  it('is what it does to what lies there, and on which zone', () => {
    const bonnetWaxed = {
      ...VEHICLE,
      protection: 'coating' as const,
      protections: [
        {
          zone: 'bonnet' as const,
          kind: 'wax' as const,
          appliedMs: null,
          claimedLifeDays: null,
          observed: null,
        },
      ],
    };
    const { faults } = mixOf(mixes([FOAM], { vehicle: bonnetWaxed }, BAY_STEPS), 'foam');
    expect(faults).toEqual([
      {
        kind: 'meets',
        zone: 'bonnet',
        finding: { kind: 're-protect', reason: 'too-alkaline', limitPh: 9.5 },
      },
    ]);
  });

  it('is acid on wheels of bare metal, which is a block', () => {
    const acid = product({ role: 'wheel-cleaner', inUsePh: 2, usualParts: 4, fewestParts: 1, mostParts: 10 });
    const vehicle = { ...VEHICLE, delicateWheels: true };
    const [fault] = mixOf(mixes([acid], { vehicle }, BAY_STEPS), 'wheels').faults;
    expect(fault).toMatchObject({ kind: 'meets', finding: { kind: 'block', reason: 'delicate-metal' } });
  });

  it('is no block for acid on the paint of a car whose wheels are of bare metal', () => {
    const acid = product({
      role: 'alkaline-pre-wash',
      inUsePh: 3,
      usualParts: 9,
      fewestParts: 4,
      mostParts: 20,
    });
    const vehicle = { ...VEHICLE, delicateWheels: true };
    const steps = BAY_STEPS.map((step) =>
      step.id === 'foam' ? { ...step, groups: ['upper' as const] } : step,
    );
    const { faults } = mixOf(mixes([acid], { vehicle }, steps), 'foam');
    expect(faults.filter((one) => one.kind === 'meets' && one.finding.kind === 'block')).toEqual([]);
  });
});

describe('what is left', () => {
  it('is used by all steps that take the same bottle', () => {
    const all = mixes([RINSELESS]);
    const [use] = productUse(all);
    const wanted = all.filter(({ product: of }) => of?.id === 'rinseless');
    expect(wanted.length).toBeGreaterThan(1);
    expect(use?.ml).toBeCloseTo(
      wanted.reduce((sum, { productMl }) => sum + productMl, 0),
      9,
    );
  });

  it('is for as many washes as the scarcest bottle gives', () => {
    const of = (leftMl: number) =>
      washesLeft(STEPS, {
        vehicle: VEHICLE,
        kit: { products: [{ ...RINSELESS, leftMl }], gear: [] },
        placeC: 14,
      });
    const each = productUse(mixes([RINSELESS]))[0]?.ml ?? NaN;
    expect([of(each * 3), of(each * 3 - 0.1), of(0)]).toEqual([3, 2, 0]);
    expect(washesLeft(STEPS, { vehicle: VEHICLE, kit: EMPTY_KIT, placeC: 14 })).toBeNull();
    const wheels = product({ role: 'wheel-cleaner', usualParts: 3, fewestParts: 1, mostParts: 6, leftMl: 0 });
    const plenty = { ...FOAM, leftMl: 1e6 };
    const kit = { products: [wheels, plenty], gear: [] };
    expect(washesLeft(BAY_STEPS, { vehicle: VEHICLE, kit, placeC: 14 })).toBe(10_000);
  });
});

describe('what is told in the evening', () => {
  const freezes = product({ id: 'water-based', lowestStoreC: 1 });
  it.each([
    { why: 'at its limit', coldestC: 1, count: 0 },
    { why: 'below it', coldestC: 0.9, count: 1 },
    { why: 'of a night that nobody knows', coldestC: null, count: 0 },
  ])('freezing in the van $why: $count', ({ coldestC, count }) => {
    const products = [
      freezes,
      { ...freezes, id: 'in', keptIn: 'indoors' as const },
      { ...freezes, id: 'empty', leftMl: 0 },
    ];
    const found = kitWarnings({ products, gear: [] }, coldestC).freezing;
    expect(found.map(({ id }) => id)).toEqual(count ? ['water-based'] : []);
  });

  it('low stock, spent filters and laundry', () => {
    const found = kitWarnings(
      {
        products: [product({ leftMl: 200 }), product({ id: 'more', leftMl: 201 })],
        gear: [
          gear({ id: 'resin', kind: 'resin', lifeLitres: 300, litresUsed: 280 }),
          gear({ id: 'fresh', kind: 'resin', lifeLitres: 300, litresUsed: 20 }),
          gear({ id: 'towels', kind: 'folded-towel', count: 20, cleanCount: 9 }),
          gear({ id: 'mitts', kind: 'mitt', count: 4, cleanCount: 2 }),
        ],
      },
      null,
    );
    expect(found.low.map(({ id }) => id)).toEqual(['p']);
    expect(found.spent).toMatchObject([{ gear: { id: 'resin' }, litresLeft: 20 }]);
    expect(found.laundry.map(({ id }) => id)).toEqual(['towels']);
  });

  it('counts clean cloths over all of a kind, and knows when there are none to count', () => {
    const towels = [gear({ kind: 'mitt', cleanCount: 2 }), gear({ kind: 'mitt', cleanCount: 3 })];
    expect(cleanOf({ gear: towels }, 'mitt')).toBe(5);
    expect(cleanOf({ gear: [] }, 'mitt')).toBeNull();
  });
});

it('the table of steps names steps that are there, each once, within the methods', () => {
  const steps = STEP_PRODUCTS.map(({ step }) => step);
  expect(new Set(steps).size).toBe(steps.length);
  for (const step of steps) expect(WASH_STEP_IDS).toContain(step);
  const used = new Set(
    METHOD_IDS.flatMap((id) => shopMethod(id, DEFAULT_HOUSE).steps.map((step) => step.id)),
  );
  expect(steps.filter((step) => used.has(step)).length).toBeGreaterThan(7);
});
