import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE, HOUSE_RULES, type HouseRules } from '../house-rules/index.js';
import { gapWaterMl } from '../rules/index.js';
import { houseWith, methodWith, VEHICLE } from '../testing/shop.js';
import { BODY_CLASSES, type BodyClass, ZONE_GROUPS } from '../vehicle/index.js';
import {
  type Method,
  type MethodId,
  METHOD_IDS,
  methodOf,
  METHODS,
  reachOf,
  removedBy,
  shopMethod,
  type WashStepId,
} from './index.js';

const stepsOf = (methodId: MethodId, house: HouseRules, delicateWheels = false): WashStepId[] =>
  shopMethod(methodId, house, { delicateWheels }).steps.map(({ id }) => id);
const under = (choices: Partial<HouseRules['choices']>, numbers = {}) => houseWith(choices, numbers);

describe('the methods', () => {
  it('are all families, each once', () => {
    expect(METHODS.map(({ id }) => id)).toEqual([...METHOD_IDS]);
  });

  it.each(METHODS.map((method) => [method.id, method] as const))('%s is sound', (_, method) => {
    expect(method.minutes).toBeGreaterThan(method.handsMinutes - 1);
    expect(method.litres).toBeGreaterThan(0);
    for (const group of ZONE_GROUPS) {
      expect(method.removes[group]).toBeGreaterThanOrEqual(0);
      expect(method.removes[group]).toBeLessThanOrEqual(1);
      expect(method.ceilingGrade[group]).toBeLessThanOrEqual(5);
    }
  });

  it('do what the trade says of them', () => {
    expect(methodOf('bay-touch-free').removes.upper).toBeGreaterThan(0.9);
    expect(methodOf('garage-rinseless').removes.under).toBe(0);
    expect(methodOf('touchless-automatic').contact).toBe(false);
    expect(methodOf('salt-flush').scope).toBe('in-between');
    expect(methodOf('strip-reseal').strips).toBe(true);
    expect(methodOf('garage-rinseless').litres).toBeLessThanOrEqual(12);
  });

  it('leave paint bare before a coating, and only there', () => {
    expect(METHODS.filter(({ leavesBare }) => leavesBare).map(({ id }) => id)).toEqual([
      'pre-coating',
      'pre-coating-air',
    ]);
    const ids = methodOf('pre-coating').steps.map(({ id }) => id);
    // Decontaminated before it is stripped, checked when it is dry.
    expect(ids.indexOf('iron')).toBeLessThan(ids.indexOf('strip'));
    expect(ids.at(-1)).toBe('bare-check');
    const unsealed = { ...DEFAULT_HOUSE, variants: { 'strip-reseal': { steps: [], leftOut: ['seal-0'] } } };
    expect(shopMethod('strip-reseal', unsealed).leavesBare).toBe(true);
  });

  it('touch a towel-free wash with no towel, however the house dries', () => {
    for (const drying of ['blow-and-towel', 'towel', 'blower'] as const) {
      const house = { ...DEFAULT_HOUSE, choices: { ...DEFAULT_HOUSE.choices, drying } };
      const method = shopMethod('pre-coating-air', house);
      expect(method.steps.map(({ id }) => id)).not.toContain('towel');
      expect(method.steps.map(({ id }) => id)).toContain('blow');
      expect(method.drying).toEqual({ kind: 'wiped', by: 'blower' });
      expect(method.media).toMatchObject({ foldedTowels: 0, dryingTowels: 0 });
    }
  });

  it('take salt, film and the old protection off in a winter strip, each rinsed, and foam the sealant on bare paint', () => {
    const { steps, leavesBare, strips } = methodOf('winter-strip');
    const ids = steps.map(({ id }) => id);
    expect({ strips, leavesBare }).toEqual({ strips: true, leavesBare: false });
    const order = ['salt-neutraliser', 'film-remover', 'strip', 'water-test', 'foam-seal', 'blow', 'towel'];
    expect(ids.filter((id) => order.includes(id))).toEqual(order);
    for (const id of ['salt-neutraliser', 'film-remover', 'strip', 'foam-seal'] as const)
      expect(['rinse', 'final-rinse']).toContain(ids[ids.indexOf(id) + 1]);
  });

  it('soak the lowers twice where heavy soil meets no hose, which no single soak cleans', () => {
    const heavy = methodOf('rinseless-heavy');
    const soaked = heavy.steps.filter(({ id }) => id === 'pre-soak');
    expect(soaked.filter(({ groups }) => groups.includes('lower'))).toHaveLength(2);
    expect(heavy.ceilingGrade.lower).toBeGreaterThan(methodOf('garage-rinseless').ceilingGrade.lower);
    expect(heavy.ceilingGrade.upper).toBe(methodOf('garage-rinseless').ceilingGrade.upper);
  });

  it('throw water, drift a mist or do neither', () => {
    const reach = (id: WashStepId) => reachOf({ id });
    expect(['foam', 'rinse', 'machine-jets'].map((id) => reach(id as WashStepId))).toEqual([
      'flies',
      'flies',
      'flies',
    ]);
    expect(['blow', 'pre-soak', 'tar'].map((id) => reach(id as WashStepId))).toEqual([
      'drifts',
      'drifts',
      'drifts',
    ]);
    expect(['rinseless', 'towel', 'seal'].map((id) => reach(id as WashStepId))).toEqual([
      'stays',
      'stays',
      'stays',
    ]);
  });

  it('take off what their steps leave to one another', () => {
    const steps = [{ removes: { lower: 0.5 } }, { removes: { lower: 0.5, upper: 1 } }];
    expect(removedBy(steps, ['lower', 'upper'])).toEqual({ lower: 0.75, upper: 1 });
  });

  it('are named in the error for one that does not exist', () => {
    expect(() => methodOf('dry-ice')).toThrow(/dry-ice.*touchless-automatic/);
  });
});

describe('house rules', () => {
  it('leave the methods as they ship where the house is as it ships', () => {
    const shop = shopMethod('bay-contact', DEFAULT_HOUSE);
    const { productMinor: _a, steps: _b, ...rest } = shop;
    const { productMinor: _c, steps: _d, ...shipped } = methodOf('bay-contact');
    expect(rest).toEqual(shipped);
    expect(shop.steps.map(({ id }) => id)).toEqual(methodOf('bay-contact').steps.map(({ id }) => id));
  });

  it('have two sides or more, the first as shipped, and say what they move', () => {
    for (const { id, options, moves } of HOUSE_RULES) {
      expect(DEFAULT_HOUSE.choices[id]).toBe(options[0].id);
      expect(options.length).toBeGreaterThanOrEqual(2);
      expect(new Set(options.map((option) => option.id)).size).toBe(options.length);
      expect(moves.length).toBeGreaterThan(5);
    }
  });

  it('wheels: first or last', () => {
    expect(stepsOf('garage-rinseless', under({ wheels: 'first' }))[0]).toBe('wheels');
    const last = stepsOf('bay-contact', under({ wheels: 'last' }));
    expect(last.indexOf('wheels')).toBeGreaterThan(last.indexOf('contact'));
    expect(last.indexOf('wheels')).toBeLessThan(last.indexOf('towel'));
  });

  it('foam: from the top it clings and dwells longer', () => {
    const foam = (house: HouseRules) =>
      shopMethod('bay-touch-free', house).steps.find(({ id }) => id === 'foam');
    expect(foam(under({ foam: 'bottom-up' }))).toMatchObject({
      direction: 'bottom-up',
      dwell: { minMinutes: 3, maxMinutes: 8 },
    });
    expect(foam(under({ foam: 'top-down' }))).toMatchObject({
      direction: 'top-down',
      dwell: { minMinutes: 4, maxMinutes: 9 },
    });
  });

  it('buckets: one saves water and wants a mitt for each panel; by kit it follows the mitts owned', () => {
    const two = shopMethod('drive-hose', under({ buckets: 'two' }));
    const one = shopMethod('drive-hose', under({ buckets: 'one' }));
    expect(one.litres).toBe(two.litres - 10);
    expect(one.media.mitts).toBe(7);
    expect(shopMethod('drive-hose', under({ buckets: 'by-kit' }, { mittsOwned: 8 })).media.mitts).toBe(7);
    expect(shopMethod('drive-hose', under({ buckets: 'by-kit' }, { mittsOwned: 6 })).media.mitts).toBe(2);
  });

  it('soap in the rinse bucket: costs shampoo, and only where there is such a bucket', () => {
    const cost = (choices: Partial<HouseRules['choices']>): number =>
      methodWith('bay-contact', { house: under(choices) }).productMinor;
    expect(cost({ rinseBucketSoap: 'yes' })).toBeGreaterThan(cost({ rinseBucketSoap: 'no' }));
    expect(cost({ rinseBucketSoap: 'yes', buckets: 'one' })).toBe(
      cost({ rinseBucketSoap: 'no', buckets: 'one' }),
    );
  });

  it('rinseless: towels, or a mitt and two buckets', () => {
    const towels = shopMethod('garage-rinseless', under({ rinselessBy: 'towels' }));
    const mitt = shopMethod('garage-rinseless', under({ rinselessBy: 'mitt' }));
    expect(mitt.litres).toBeGreaterThan(towels.litres);
    expect(mitt.media).toMatchObject({ mitts: 2, foldedTowels: 2 });
    const few = under({ rinselessBy: 'by-kit' }, { foldedTowelsOwned: 4 });
    expect(shopMethod('garage-rinseless', few).media.mitts).toBe(2);
  });

  it('drying: a towel leaves water in the gaps, a blower minerals on the paint', () => {
    const towel = shopMethod('bay-touch-free', under({ drying: 'towel' }));
    const blower = shopMethod('bay-touch-free', under({ drying: 'blower' }));
    expect(towel.steps.some(({ id }) => id === 'blow')).toBe(false);
    expect(blower.steps.some(({ id }) => id === 'towel')).toBe(false);
    expect(gapWaterMl(towel)).toBe(60);
    expect(gapWaterMl(blower)).toBe(6);
    expect(blower.drying).toMatchObject({ by: 'blower' });
    // What was put on by mitt is wiped whatever the house says.
    expect(shopMethod('garage-rinseless', under({ drying: 'blower' })).drying).toMatchObject({
      by: 'blow-and-towel',
    });
  });

  it('strip: adds steps, minutes and a need for warmth to contact washes only', () => {
    const kept = shopMethod('garage-hose', under({ strip: 'keep' }));
    const stripped = methodWith('garage-hose', { house: under({ strip: 'strip' }) });
    expect(stripped.minutes).toBe(kept.minutes + 37);
    expect(stripped).toMatchObject({ strips: true, warmestNeedC: 10 });
    expect(stripped.steps.at(-1)?.id).toBe('seal');
    expect(shopMethod('bay-touch-free', under({ strip: 'strip' })).strips).toBe(false);
  });

  it('underbody: bounce, ramps or both', () => {
    const both = methodOf('bay-touch-free').removes.under;
    const bounce = shopMethod('bay-touch-free', under({ underbody: 'bounce' }));
    const ramps = shopMethod('bay-touch-free', under({ underbody: 'ramps' }));
    expect(bounce.removes.under).toBeCloseTo(0.6, 9);
    expect(ramps.removes.under).toBeCloseTo(0.5, 9);
    expect(both).toBeCloseTo(0.8, 9);
    expect(bounce.meterSeconds).toBeLessThan(methodOf('bay-touch-free').meterSeconds);
  });

  it('bay soap: the site’s own runs on the meter', () => {
    const own = shopMethod('bay-touch-free', under({ baySoap: 'own-foam' }));
    const site = shopMethod('bay-touch-free', under({ baySoap: 'site' }));
    expect(site.meterSeconds).toBe(own.meterSeconds + 240);
    expect(site.needs).not.toContain('own-foam');
  });

  it('wheels before any rinse: off the meter, unless they are delicate or one rinses first', () => {
    const off = under({ wheelsBeforeRinse: 'off-meter' });
    expect(stepsOf('bay-touch-free', off)[0]).toBe('wheels');
    expect(stepsOf('bay-touch-free', off, true)[0]).toBe('rinse');
    expect(stepsOf('bay-touch-free', under({ wheelsBeforeRinse: 'rinse-first' }))[0]).toBe('rinse');
    expect(stepsOf('garage-rinseless', under({ wheelsBeforeRinse: 'rinse-first' }))[0]).toBe('pre-soak');
  });
});

describe('a larger body', () => {
  const onBody = (methodId: MethodId, bodyClass: BodyClass, house = DEFAULT_HOUSE) =>
    methodWith(methodId, { house, vehicle: { ...VEHICLE, bodyClass } });
  const minutesOf = (methodId: MethodId, bodyClass: BodyClass, step: WashStepId): number | undefined =>
    onBody(methodId, bodyClass).steps.find(({ id }) => id === step)?.minutes;

  it('takes longer where the body is gone over, and the same at the wheels', () => {
    const contact = BODY_CLASSES.map((bodyClass) => minutesOf('bay-contact', bodyClass, 'contact'));
    expect(contact).toEqual([18, 19.4, 16.2, 21.6, 20.7, 28.8]);
    expect(minutesOf('bay-contact', 'van', 'wheels')).toBe(minutesOf('bay-contact', 'saloon', 'wheels'));
  });

  it('costs more of the meter, water and product, and stands wet for longer', () => {
    const [saloon, van] = [onBody('bay-touch-free', 'saloon'), onBody('bay-touch-free', 'van')];
    expect(van.meterSeconds).toBeCloseTo(saloon.meterSeconds + 60 * 0.6 * (4 + 1), 6);
    expect(van.litres).toBeGreaterThan(saloon.litres);
    // All but the wheel cleaner goes by the body.
    const wheelsMinor = 120;
    expect((van.productMinor - wheelsMinor) / (saloon.productMinor - wheelsMinor)).toBeCloseTo(1.6, 1);
    const dryingOf = ({ steps }: Method): number =>
      steps.reduce((sum, { id, minutes }) => (id === 'blow' || id === 'towel' ? sum + minutes : sum), 0);
    expect(dryingOf(van) / dryingOf(saloon)).toBeCloseTo(1.6, 6);
  });

  it('is described in figures that can be read', () => {
    const ragged = BODY_CLASSES.flatMap((bodyClass) =>
      METHOD_IDS.flatMap((id) => {
        const { minutes, litres, meterSeconds, handsMinutes } = onBody(id, bodyClass);
        return [minutes, litres, meterSeconds, handsMinutes].filter((figure) => String(figure).length > 5);
      }),
    );
    expect(ragged).toEqual([]);
  });

  it('takes a machine as long as any other', () => {
    expect(onBody('touchless-automatic', 'van').minutes).toBe(onBody('touchless-automatic', 'hatch').minutes);
  });

  it('counts as the house has it, in the shop’s own minutes too', () => {
    const half = { ...DEFAULT_HOUSE, numbers: { ...DEFAULT_HOUSE.numbers, sizeCountsPercent: 50 } };
    const none = { ...DEFAULT_HOUSE, numbers: { ...DEFAULT_HOUSE.numbers, sizeCountsPercent: 0 } };
    expect(onBody('bay-contact', 'van', none)).toEqual(onBody('bay-contact', 'saloon', none));
    const own = {
      ...half,
      variants: { 'bay-contact': { steps: [{ key: 'contact-0', minutes: 10, note: '' }], leftOut: [] } },
    };
    expect(onBody('bay-contact', 'van', own).steps.find(({ id }) => id === 'contact')?.minutes).toBe(13);
  });
});

describe('the buckets of a wash by hand', () => {
  const contact = (choices: Partial<HouseRules['choices']>) =>
    shopMethod('bay-contact', under(choices), { delicateWheels: false }).steps.find(
      ({ id }) => id === 'contact',
    );
  const litres = methodOf('bay-contact').steps.find(({ id }) => id === 'contact')?.litres ?? NaN;

  it.each([
    { buckets: 'two', rinseBucketSoap: 'no', water: 1, mixed: 0.5, why: 'soap in one of two' },
    { buckets: 'two', rinseBucketSoap: 'yes', water: 1, mixed: 1, why: 'soap in both' },
    { buckets: 'one', rinseBucketSoap: 'no', water: 0.5, mixed: 0.5, why: 'one bucket, all of it soap' },
    { buckets: 'one', rinseBucketSoap: 'yes', water: 0.5, mixed: 0.5, why: 'one bucket has no other' },
  ] as const)(
    '$why: $water of the water, soap in $mixed of it',
    ({ buckets, rinseBucketSoap, water, mixed }) => {
      const step = contact({ buckets, rinseBucketSoap });
      expect(step?.litres).toBeCloseTo(litres * water, 6);
      expect(step?.mixLitres).toBeCloseTo(litres * mixed, 6);
    },
  );
});
