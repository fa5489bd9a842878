import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import {
  inWay,
  type Method,
  METHOD_IDS,
  methodOf,
  PLAIN_FITTINGS,
  shopMethod,
  sizeFactor,
  WASH_STEP_IDS,
  wayOf,
  waysOf,
} from '../method/index.js';
import { bottle, houseWith, methodWith, piece as gear, VEHICLE } from '../testing/shop.js';
import {
  bottlesFor,
  cleanOf,
  EMPTY_KIT,
  type Gear,
  kitWarnings,
  type Mix,
  mixesFor,
  type Product,
  productUse,
  shelfOf,
  withoutPrices,
  STEP_PRODUCTS,
  washesLeft,
  worstMeeting,
} from './index.js';

const RINSELESS = bottle({ role: 'rinseless', usualParts: 255, fewestParts: 15, mostParts: 320, capMl: 30 });
const FOAM = bottle({
  role: 'alkaline-pre-wash',
  inUsePh: 11,
  usualParts: 9,
  fewestParts: 4,
  mostParts: 20,
});
type Asked = NonNullable<Parameters<typeof methodWith>[1]> & {
  readonly methodId?: string;
  readonly placeC?: number;
};

const mixes = (
  products: readonly Product[],
  { methodId = 'garage-rinseless', placeC = 14, ...change }: Asked = {},
): Mix[] => {
  const { vehicle = VEHICLE } = change;
  const { steps } = methodWith(methodId, { products, ...change });
  return mixesFor(steps, { vehicle, kit: { products }, placeC });
};
const BAY = { methodId: 'bay-contact' } as const;
const NEAT = { usualParts: 0, fewestParts: 0, mostParts: 0 } as const;
const mixOf = (all: readonly Mix[], step: Mix['step']): Mix => {
  const found = all.find((mix) => mix.step === step);
  if (!found) throw new Error(`no mix for ${step}`);
  return found;
};

describe('the mixes of a wash', () => {
  it('are the amounts of the label, in mL, parts, percent and caps of that bottle', () => {
    const bucket = mixOf(mixes([RINSELESS]), 'rinseless');
    const litres = methodOf('garage-rinseless').steps.find(({ id }) => id === 'rinseless')?.litres ?? 0;
    expect(bucket.productMl).toBeCloseTo((litres * 1000) / 256, 6);
    expect(bucket.productMl + bucket.waterMl).toBeCloseTo(litres * 1000, 6);
    expect(bucket).toMatchObject({ parts: 255, into: 'bucket', because: 'only-one', faults: [] });
    expect(bucket.percent).toBeCloseTo(100 / 256, 9);
    expect(bucket.caps).toBeCloseTo(bucket.productMl / 30, 9);
  });

  it('keep the strength that a step wants within the label', () => {
    expect(mixOf(mixes([RINSELESS]), 'pre-soak').parts).toBe(15);
    expect(mixOf(mixes([{ ...RINSELESS, fewestParts: 32 }]), 'pre-soak').parts).toBe(32);
  });

  it('stand in the order to mix: the warm buckets last', () => {
    const order = mixes([RINSELESS, FOAM, bottle()], BAY).map(({ into }) => into);
    expect(order.at(-1)).toBe('bucket');
    expect(order.indexOf('foamer')).toBeLessThan(order.indexOf('bucket'));
  });

  it('take a neat product as it is', () => {
    const seal = bottle({ role: 'sealant', ...NEAT, capMl: 15 });
    const mix = mixOf(mixes([seal], { methodId: 'strip-reseal' }), 'seal');
    expect(mix).toMatchObject({ productMl: 60, waterMl: 0, percent: 100, caps: 4 });
  });

  it('take protection off without a fault where that is what the wash is for, and are reported where it is not', () => {
    const tar = bottle({ role: 'tar-remover', inUsePh: 7, ...NEAT });
    const house = {
      ...DEFAULT_HOUSE,
      variants: { 'garage-rinseless': { steps: [{ key: '+tar', minutes: 4, note: '' }], leftOut: [] } },
    };
    const vehicle = { ...VEHICLE, protection: 'wax' as const };
    const meets = (methodId: string) => mixOf(mixes([tar], { methodId, house, vehicle }), 'tar').faults;
    expect(meets('pre-coating')).toEqual([]);
    expect(meets('garage-rinseless')).toMatchObject([
      { kind: 'meets', finding: { kind: 're-protect', reason: 'dissolves' } },
    ]);
    const aid = bottle({ role: 'drying-aid' });
    const aided = (methodId: string) => mixes([aid], { methodId }).map(({ step }) => step);
    expect(aided('garage-rinseless')).toContain('towel');
    expect(aided('pre-coating')).not.toContain('towel');
  });

  it('meet nothing that is stripped off before, so that a sealant for bare paint has no fault there', () => {
    const foamed = bottle({ role: 'foaming-sealant', usualParts: 9, fewestParts: 4, mostParts: 15 });
    const vehicle = { ...VEHICLE, protection: 'wax' as const };
    expect(mixOf(mixes([foamed], { methodId: 'winter-strip', vehicle }), 'foam-seal').faults).toEqual([]);
    const house = {
      ...DEFAULT_HOUSE,
      variants: { 'garage-hose': { steps: [{ key: '+foam-seal', minutes: 3, note: '' }], leftOut: [] } },
    };
    expect(
      mixOf(mixes([foamed], { methodId: 'garage-hose', house, vehicle }), 'foam-seal').faults,
    ).toMatchObject([{ kind: 'meets', finding: { kind: 'warn', reason: 'will-not-bond' } }]);
  });

  it('take the kit’s own sealant where the place’s lance rinses it off, and the place’s foam where that is paid', () => {
    const own = bottle({ role: 'wet-sealant', ...NEAT });
    const house = {
      ...DEFAULT_HOUSE,
      variants: {
        'bay-touch-free': { steps: [{ key: '+wet-seal', minutes: 5, note: '' }], leftOut: [] },
      },
    };
    const mix = mixOf(mixes([own], { methodId: 'bay-touch-free', house }), 'wet-seal');
    expect(mix).toMatchObject({ role: 'wet-sealant', waterMl: 0, faults: [] });
    expect(mix.product?.id).toBe(own.id);
  });

  it('warn of dish soap only where wax would go with it', () => {
    const dish = bottle({
      role: 'household-soap',
      inUsePh: 8,
      usualParts: 500,
      fewestParts: 200,
      mostParts: 1000,
    });
    const taken = (protection: 'wax' | 'coating') =>
      worstMeeting(dish, ['upper'], {
        vehicle: { ...VEHICLE, protection, protections: [] },
        isToStrip: false,
      })?.finding ?? null;
    expect(taken('wax')).toMatchObject({ kind: 're-protect', reason: 'dissolves' });
    expect(taken('coating')).toBeNull();
    // Nobody takes it who did not ask for it.
    const method = methodWith('garage-hose', { shelf: shelfOf({ products: [dish], gear: [] }) });
    expect(method.steps.find(({ id }) => id === 'contact')?.product).toMatchObject({ from: 'typical' });
  });

  it('say what arrives on the panel where a foamer thins it further', () => {
    const foamer = gear({ kind: 'foamer', volumeMl: 1000, outputLitresPerBottle: 10 });
    const mix = mixOf(mixes([FOAM], { ...BAY, gear: [foamer] }), 'foam');
    expect(mix.percent).toBeCloseTo(10, 9);
    expect(mix.panelPercent).toBeCloseTo(1, 9);
    expect(mixOf(mixes([FOAM], BAY), 'foam').panelPercent).toBeNull();
  });

  it('are those of a typical label where nothing is owned, and say so where something is', () => {
    const typical = mixOf(mixes([]), 'rinseless');
    expect(typical).toMatchObject({ product: null, because: 'typical', parts: 255, faults: [] });
    expect(typical.productMl).toBeCloseTo(7000 / 256, 6);
    expect(mixOf(mixes([FOAM]), 'rinseless')).toMatchObject({
      product: null,
      because: 'typical',
      faults: [{ kind: 'none-in-kit' }],
    });
  });

  it('need no soap of the shop where the site’s own runs on the meter', () => {
    const site = houseWith({ baySoap: 'site' });
    const asked = { methodId: 'bay-touch-free', house: site };
    expect(mixes([FOAM], asked).map(({ step }) => step)).not.toContain('foam');
    const foam = methodWith('bay-touch-free', { house: site }).steps.find(({ id }) => id === 'foam');
    expect(foam?.product).toMatchObject({ from: 'site', inUsePh: 11.5, costMinor: 0 });
  });

  it('take off as much, and bite as hard, as the site’s soap does', () => {
    const of = (siteSoap: 'weak' | 'ordinary' | 'strong') => {
      const method = methodWith('bay-touch-free', {
        fittings: { ...PLAIN_FITTINGS, allowsOwnFoam: false, siteSoap },
      });
      return { method, foam: method.steps.find(({ id }) => id === 'foam') };
    };
    expect(of('weak').foam?.removes).toMatchObject({ upper: 0.25, lower: 0.225 });
    expect(of('ordinary').foam?.removes).toMatchObject({ upper: 0.5, lower: 0.45 });
    expect(of('weak').foam?.product?.inUsePh).toBeLessThan(of('ordinary').foam?.product?.inUsePh ?? 0);
    expect(of('strong').foam?.product?.inUsePh).toBeGreaterThan(11.5);
    expect(of('weak').method.removes.upper).toBeLessThan(of('ordinary').method.removes.upper);
    expect(of('strong').method.removes.upper).toBeGreaterThan(of('ordinary').method.removes.upper);
  });

  it('are batches for one car, larger for a larger body', () => {
    const van = { ...VEHICLE, bodyClass: 'van' as const };
    const foam = (vehicle: typeof VEHICLE) => mixOf(mixes([FOAM], { ...BAY, vehicle }), 'foam').productMl;
    expect(foam(van) / foam(VEHICLE)).toBeCloseTo(sizeFactor(DEFAULT_HOUSE, van), 9);
  });
});

describe('which bottle is taken', () => {
  const mild = bottle({ ...FOAM, id: 'mild', inUsePh: 9 });
  const waxed = { ...VEHICLE, protection: 'wax' as const };
  const taken = (products: readonly Product[], asked: Asked = BAY, step: Mix['step'] = 'foam') => {
    const { product, because } = mixOf(mixes(products, asked), step);
    return [product?.id ?? null, because];
  };

  it('is the one that harms least, then the mildest, however full', () => {
    expect(taken([FOAM, mild], { ...BAY, vehicle: waxed })).toEqual(['mild', 'mildest']);
    expect(taken([{ ...FOAM, leftMl: 5000 }, mild])).toEqual(['mild', 'mildest']);
    expect(taken([FOAM, { ...mild, leftMl: 0 }])).toEqual([FOAM.id, 'mildest']);
  });

  it('of the same pH the one that works in more cold, then the cheaper', () => {
    const other = { ...FOAM, id: 'other' };
    expect(
      taken([
        { ...FOAM, lowestWorkC: 5 },
        { ...other, lowestWorkC: -5 },
      ])[0],
    ).toBe('other');
    expect(taken([FOAM, { ...other, priceMinor: 1999 }])[0]).toBe('other');
    expect(taken([FOAM, { ...other, priceMinor: 3000, bottleMl: 2000 }])[0]).toBe('other');
  });

  it('foams with soap for the mitt where no rinse comes between, and with a pre-wash where one does', () => {
    const soap = bottle();
    expect(taken([FOAM, soap])[0]).toBe(FOAM.id);
    expect(taken([FOAM, soap], { methodId: 'drive-hose' })[0]).toBe(soap.id);
  });

  it('is never acid unless the shop asks for it', () => {
    const acid = bottle({ id: 'acid', role: 'wheel-cleaner', inUsePh: 2.5, usualParts: 4, fewestParts: 1 });
    const strong = bottle({ id: 'strong', role: 'wheel-acid', inUsePh: 1.5, usualParts: 4, fewestParts: 1 });
    expect(taken([acid, strong, bottle()], BAY, 'wheels')).toEqual(['shampoo', 'gentler']);
    expect(taken([acid, strong], BAY, 'wheels')).toEqual([null, 'typical']);
    const house = { ...DEFAULT_HOUSE, products: { wheels: 'strong' } };
    expect(taken([acid, strong], { ...BAY, house }, 'wheels')).toEqual(['strong', 'chosen']);
  });

  it('is the shop’s choice as long as the bottle is there and is for that step', () => {
    const house = (id: string) => ({ ...DEFAULT_HOUSE, products: { foam: id } });
    expect(taken([FOAM, mild], { ...BAY, house: house(FOAM.id) })).toEqual([FOAM.id, 'chosen']);
    expect(taken([FOAM, mild], { ...BAY, house: house('gone') })).toEqual(['mild', 'mildest']);
    expect(taken([FOAM, mild, RINSELESS], { ...BAY, house: house('rinseless') })).toEqual([
      'mild',
      'mildest',
    ]);
  });

  it('says why: made for the step, or gentler than what is', () => {
    expect(taken([FOAM, bottle()])).toEqual([FOAM.id, 'meant']);
    expect(taken([FOAM, bottle()], { ...BAY, vehicle: waxed })).toEqual(['shampoo', 'gentler']);
    expect(taken([FOAM])).toEqual([FOAM.id, 'only-one']);
  });

  it('stands in for one that the kit does not hold, and says so', () => {
    expect(taken([bottle()], BAY)).toEqual(['shampoo', 'stand-in']);
  });

  it('is offered with those that are taken only when asked', () => {
    const acid = bottle({ role: 'wheel-acid' });
    expect(bottlesFor('wheels', [acid, FOAM, bottle()]).map(({ role }) => role)).toEqual([
      'wheel-acid',
      'shampoo',
    ]);
    expect(bottlesFor('blow', [acid])).toEqual([]);
  });
});

describe('what the bottle decides of a method', () => {
  const minutesOf = (method: Method, id: string): number =>
    method.steps.find((step) => step.id === id)?.minutes ?? NaN;

  it('is its dwell, which takes longer or shorter by so much', () => {
    const plain = methodWith('bay-touch-free');
    const slow = methodWith('bay-touch-free', {
      products: [{ ...FOAM, dwell: { minMinutes: 5, maxMinutes: 10 } }],
    });
    expect(minutesOf(slow, 'foam')).toBe(minutesOf(plain, 'foam') + 2);
    expect(slow.minutes).toBe(plain.minutes + 2);
    expect(slow.steps.find(({ id }) => id === 'foam')?.dwell).toEqual({ minMinutes: 5, maxMinutes: 10 });
    const quick = methodWith('bay-touch-free', {
      products: [{ ...FOAM, dwell: { minMinutes: 0, maxMinutes: 2 } }],
    });
    expect(minutesOf(quick, 'foam')).toBe(1);
  });

  it('is not its dwell where the shop says how long the step takes', () => {
    const house = {
      ...DEFAULT_HOUSE,
      variants: { 'bay-touch-free': { steps: [{ key: 'foam-0', minutes: 7, note: '' }], leftOut: [] } },
    };
    const products = [{ ...FOAM, dwell: { minMinutes: 5, maxMinutes: 10 } }];
    expect(minutesOf(methodWith('bay-touch-free', { house, products }), 'foam')).toBe(7);
  });

  it('is the money: mL by the price of the bottle, in every way alike', () => {
    const products = [{ ...FOAM, priceMinor: 5000, bottleMl: 5000 }];
    const method = methodWith('bay-touch-free', { products });
    const foam = method.steps.find(({ id }) => id === 'foam')?.product;
    expect(foam).toMatchObject({ productMl: 100, costMinor: 100 });
    const dearer = methodWith('bay-touch-free', {
      products: [{ ...FOAM, priceMinor: 9000, bottleMl: 5000 }],
    });
    expect(dearer.productMinor - method.productMinor).toBeCloseTo(80, 9);
    const contact = methodWith('bay-contact', { products });
    for (const way of waysOf(contact).filter(({ only }) => only === null))
      expect(inWay(contact, way).productMinor).toBeCloseTo(contact.productMinor, 2);
  });

  it('is the warmth that is needed by what cannot be left out', () => {
    const cold = { ...FOAM, lowestWorkC: -5 };
    const wheels = bottle({ role: 'wheel-cleaner', lowestWorkC: 8 });
    expect(methodWith('bay-touch-free', { products: [cold, wheels] }).warmestNeedC).toBe(-5);
    expect(methodWith('bay-touch-free').warmestNeedC).toBeNull();
    expect(methodWith('strip-reseal').warmestNeedC).toBe(10);
  });

  it('is what one car takes, as the shop found', () => {
    const own = { ...FOAM, carMl: 60 };
    const mix = mixOf(mixes([own], BAY), 'foam');
    expect(mix.productMl).toBe(60);
    expect(mix.waterMl).toBe(540);
    // In a bucket the water is given: more soap makes it stronger.
    const soap = bottle({ carMl: 100, fewestParts: 100 });
    const bucket = mixOf(mixes([soap], BAY), 'contact');
    expect(bucket).toMatchObject({ productMl: 100, parts: 199, faults: [] });
    const strong = mixOf(mixes([{ ...soap, carMl: 400 }], BAY), 'contact');
    expect(strong.faults).toEqual([{ kind: 'too-strong', parts: 49, fewestParts: 100 }]);
  });

  it('is the time that it needs on every part of the car, however small', () => {
    const dwell = { minMinutes: 3, maxMinutes: 8 };
    const whole = methodWith('bay-contact', { products: [{ ...FOAM, dwell }] });
    const parts = inWay(whole, wayOf(whole, 'soap-two-panels'));
    const foams = parts.steps.filter(({ id }) => id === 'foam');
    const foam = minutesOf(whole, 'foam');
    expect(Math.min(...foams.map(({ minutes }) => minutes))).toBeGreaterThan(3);
    // One minute of putting on is shared by the parts, and the changes from one to the next come to it.
    const changes = parts.steps.filter(({ part }) => part).length > 0 ? foams.length * 0.2 * 0.8 : 0;
    expect(foams.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(
      foam - 3 + 3 * foams.length + changes,
      6,
    );
    // What works as it is rubbed in, or has no label and is mild, does not wait.
    const plain = methodWith('garage-rinseless');
    const soak = inWay(plain, wayOf(plain, 'touch-two-panels')).steps.filter(({ id }) => id === 'pre-soak');
    expect(soak.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(minutesOf(plain, 'pre-soak'), 6);
  });

  it('is the water of what is sprayed on: the mix, or all that a lance puts out with it', () => {
    const litres = (gears: readonly Gear[]) =>
      methodWith('bay-touch-free', { products: [FOAM], gear: gears }).steps.find(({ id }) => id === 'foam')
        ?.litres;
    expect(litres([])).toBe(1);
    expect(litres([gear({ kind: 'lance', volumeMl: 1000, outputLitresPerBottle: 11 })])).toBe(11);
    // What rinses the wheels one by one is no mix.
    expect(methodWith('bay-touch-free').steps.find(({ id }) => id === 'wheels')?.litres).toBe(4);
  });

  it('is soap strong enough to foam: ten times that of a bucket, or what a lance thins', () => {
    const soap = bottle({ usualParts: 499 });
    expect(mixOf(mixes([soap], BAY), 'foam').parts).toBe(49);
    expect(mixOf(mixes([soap], BAY), 'wheels').parts).toBe(49);
    expect(mixOf(mixes([soap], BAY), 'contact').parts).toBe(499);
    const lance = gear({ kind: 'lance', volumeMl: 1000, outputLitresPerBottle: 25 });
    expect(mixOf(mixes([soap], { ...BAY, gear: [lance] }), 'foam').parts).toBe(19);
  });

  it.each([
    { volumeMl: 3800, count: 1 },
    { volumeMl: 1000, count: 1 },
    { volumeMl: 999, count: 2 },
    { volumeMl: 300, count: 4 },
  ])('is mixed in the foamer that there is: $volumeMl mL, $count fills', ({ volumeMl, count }) => {
    const foamer = gear({ kind: 'foamer', volumeMl });
    expect(mixOf(mixes([FOAM], { ...BAY, gear: [foamer] }), 'foam').fills).toEqual({
      count,
      vesselMl: volumeMl,
    });
    expect(mixOf(mixes([FOAM], BAY), 'foam').fills).toBeUndefined();
  });
});

describe('what is wrong with a mix', () => {
  it.each([
    { why: 'just enough', leftMl: 7000 / 256 + 0.01, fault: null },
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
    expect(mixOf(mixes([FOAM], { ...BAY, vehicle: bonnetWaxed }), 'foam').faults).toEqual([
      {
        kind: 'meets',
        zone: 'bonnet',
        finding: { kind: 're-protect', reason: 'too-alkaline', limitPh: 9.5 },
      },
    ]);
  });

  it('is acid on wheels of bare metal, which is a block', () => {
    const acid = bottle({ role: 'wheel-acid', inUsePh: 2, usualParts: 4, fewestParts: 1, mostParts: 10 });
    const vehicle = { ...VEHICLE, delicateWheels: true };
    const house = { ...DEFAULT_HOUSE, products: { wheels: acid.id } };
    const [fault] = mixOf(mixes([acid], { ...BAY, vehicle, house }), 'wheels').faults;
    expect(fault).toMatchObject({ kind: 'meets', finding: { kind: 'block', reason: 'delicate-metal' } });
  });

  it('is no block for acid on the paint of a car whose wheels are of bare metal', () => {
    const vehicle = { ...VEHICLE, delicateWheels: true };
    const acid = { role: 'mineral-acid', inUsePh: 3 } as const;
    expect(worstMeeting(acid, ['upper'], { vehicle, isToStrip: false })?.finding.kind).not.toBe('block');
    expect(worstMeeting(acid, ['wheels'], { vehicle, isToStrip: false })?.finding.kind).toBe('block');
  });
});

describe('what is left', () => {
  const { steps } = methodWith('garage-rinseless', { products: [RINSELESS] });

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
    const of = (leftMl: number) => washesLeft(steps, { products: [{ ...RINSELESS, leftMl }] });
    const each = productUse(mixes([RINSELESS]))[0]?.ml ?? NaN;
    expect([of(each * 3), of(each * 3 - 0.1), of(0)]).toEqual([3, 2, 0]);
    expect(washesLeft(methodWith('garage-rinseless').steps, EMPTY_KIT)).toBeNull();
    const wheels = bottle({ role: 'wheel-cleaner', usualParts: 3, fewestParts: 1, mostParts: 6, leftMl: 0 });
    const plenty = { ...FOAM, leftMl: 1e6 };
    const products = [wheels, plenty];
    expect(washesLeft(methodWith('bay-contact', { products }).steps, { products })).toBe(10_000);
  });
});

describe('what a wash reads of the kit', () => {
  it('does not change with what is in a bottle, until it is empty', () => {
    const shelf = (leftMl: number) => shelfOf({ products: [{ ...FOAM, leftMl }], gear: [] });
    expect(shelf(10)).toEqual(shelf(900));
    expect(shelf(0)).not.toEqual(shelf(900));
  });

  it('takes the same bottle by the rank of what they cost alone', () => {
    const alike = (id: string, priceMinor: number, bottleMl = 500) =>
      bottle({ ...FOAM, id, priceMinor, bottleMl });
    const products = [
      alike('dear', 900),
      alike('fair', 700),
      alike('as fair', 1400, 1000),
      alike('odd', 333, 1000 / 3),
    ];
    const shelf = shelfOf({ products, gear: [] });
    const takenFrom = (of: typeof shelf) =>
      methodWith('bay-contact', { shelf: of }).steps.map(({ product }) => product?.id);
    expect(takenFrom(withoutPrices(shelf))).toEqual(takenFrom(shelf));
    const twice = products.map((one) => ({ ...one, priceMinor: 2 * one.priceMinor }));
    expect(withoutPrices(shelfOf({ products: twice, gear: [] }))).toEqual(withoutPrices(shelf));
    const dearest = products.map((one) => (one.id === 'odd' ? { ...one, priceMinor: 9000 } : one));
    expect(withoutPrices(shelfOf({ products: dearest, gear: [] }))).not.toEqual(withoutPrices(shelf));
  });

  it('knows the sizes of foamer, sprayer and bucket; a lance foams where there is no foamer', () => {
    const { vessels } = shelfOf({
      products: [],
      gear: [
        gear({ kind: 'lance', volumeMl: 1000, outputLitresPerBottle: 11 }),
        gear({ kind: 'bucket', volumeMl: 15_000 }),
      ],
    });
    expect(vessels).toEqual({
      foamer: { volumeMl: 1000, outputLitres: 11 },
      sprayer: null,
      bucket: { volumeMl: 15_000, outputLitres: null },
    });
  });
});

describe('the reminder in the evening', () => {
  const freezes = bottle({ id: 'water-based', lowestStoreC: 1 });
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

  it('household towels and dish soap where nothing better is owned, and not beside it', () => {
    const bath = gear({ id: 'bath', kind: 'household-towel', count: 4 });
    const dish = bottle({ id: 'dish', role: 'household-soap' });
    const bad = kitWarnings({ products: [dish], gear: [bath] }, null);
    expect([bad.scratching, bad.stripping]).toEqual([[bath], [dish]]);
    const good = kitWarnings(
      {
        products: [dish, bottle({ id: 'soap', role: 'shampoo' })],
        gear: [bath, gear({ id: 'towels', kind: 'drying-towel' })],
      },
      null,
    );
    expect([good.scratching, good.stripping]).toEqual([[], []]);
  });

  it('low stock, spent filters and laundry', () => {
    const found = kitWarnings(
      {
        products: [bottle({ leftMl: 200 }), bottle({ id: 'more', leftMl: 201 })],
        gear: [
          gear({ id: 'resin', kind: 'resin', lifeLitres: 300, litresUsed: 280 }),
          gear({ id: 'fresh', kind: 'resin', lifeLitres: 300, litresUsed: 20 }),
          gear({ id: 'towels', kind: 'folded-towel', count: 20, cleanCount: 9 }),
          gear({ id: 'mitts', kind: 'mitt', count: 4, cleanCount: 2 }),
        ],
      },
      null,
    );
    expect(found.low.map(({ id }) => id)).toEqual(['shampoo']);
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
