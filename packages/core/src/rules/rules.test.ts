import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { CLEAN } from '../soil/index.js';
import { DRIVE, houseWith, methodWith, VEHICLE, WATER } from '../testing/shop.js';
import { byGroup } from '../vehicle/index.js';
import type { WaterOutcome } from '../wash/index.js';
import {
  combine,
  DEFAULT_LIMITS,
  type Finding,
  judgeAll,
  LIMITS,
  RULES,
  type RuleId,
  ruleOf,
  type SiteWindow,
  type Situation,
  weatherFailure,
} from './index.js';

const MILD: SiteWindow = {
  open: { kind: 'open', minutesLeft: 600 },
  lightLeftMinutes: 120,
  lightAtStart: true,
  windChillC: 5,
  airTempC: 5,
  queueMinutes: 0,
  dryRoadHours: 24,
  mostPrecipMm: 0,
  coldestNearbyC: 4,
  coldestNext12hC: 4,
};

const CALM: WaterOutcome = {
  ice: { panel: 'roof', minutes: null, needed: 12, step: 'final-rinse' },
  dry: {
    panel: 'bonnet',
    minutes: 40,
    needed: 12,
    step: 'final-rinse',
    filmGramsPerM2: 100,
    warmestC: 12,
  },
  dryGlass: null,
  coldest: { panel: 'roof', tempC: 3 },
  product: { panel: 'roof', minutes: null, needed: 6, step: 'foam' },
  label: null,
  sun: { panel: 'left', brightestWm2: 100, dimmestWm2: 20 },
};

const situation = (change: Partial<Situation> = {}): Situation => ({
  vehicle: VEHICLE,
  place: DRIVE,
  method: methodWith('drive-hose'),
  limits: DEFAULT_LIMITS,
  house: DEFAULT_HOUSE,
  soil: CLEAN,
  overnightC: 2,
  site: MILD,
  water: CALM,
  ...change,
});

const found = (ruleId: RuleId, change: Partial<Situation> = {}): Finding =>
  ruleOf(ruleId).judge(situation(change));
const site = (change: Partial<SiteWindow>): Partial<Situation> => ({ site: { ...MILD, ...change } });
type Waits = { readonly [K in 'ice' | 'dry' | 'product']?: Partial<WaterOutcome[K]> };
const water = ({ ice, dry, product, ...change }: Waits & Partial<Omit<WaterOutcome, keyof Waits>>) => ({
  water: {
    ...CALM,
    ice: { ...CALM.ice, ...ice },
    dry: { ...CALM.dry, ...dry },
    product: { ...CALM.product, ...product },
    ...change,
  },
});

const NOTHING_FLIES = {
  ...methodWith('garage-rinseless'),
  steps: methodWith('garage-rinseless').steps.filter(({ id }) => id !== 'pre-soak'),
};
/** What waits 12 minutes for the towel has a third of them in hand. */
const IN_TIME = 12 * 1.33;
const OFF_IN_TIME = 6 * 1.33;

describe('each rule at, below and above its limit', () => {
  it.each<{ ruleId: RuleId; change: Partial<Situation>; level: Finding['level']; why: string }>([
    {
      ruleId: 'ice-on-car',
      change: water({ ice: { minutes: IN_TIME + 0.1 } }),
      level: 'clear',
      why: 'the whole car is wiped in time',
    },
    {
      ruleId: 'ice-on-car',
      change: water({ ice: { minutes: IN_TIME } }),
      level: 'clear',
      why: 'ice as the last panel is wiped, with what is kept in hand',
    },
    {
      ruleId: 'ice-on-car',
      change: water({ ice: { minutes: IN_TIME - 0.01 } }),
      level: 'block',
      why: 'ice before it is wiped',
    },
    {
      ruleId: 'ice-on-car',
      change: water({ ice: { minutes: 0, needed: 0.5 } }),
      level: 'block',
      why: 'it freezes as it lands',
    },
    {
      ruleId: 'ice-on-car',
      change: water({ ice: { minutes: null } }),
      level: 'clear',
      why: 'never freezes',
    },
    {
      ruleId: 'spots',
      change: water({ dry: { minutes: IN_TIME - 0.01, filmGramsPerM2: 2000 } }),
      level: 'block',
      why: 'dries before it is wiped, and even demineralised water would show',
    },
    {
      ruleId: 'spots',
      change: water({ dry: { minutes: IN_TIME - 0.01 } }),
      level: 'condition',
      why: 'a demineralised last rinse makes it go',
    },
    {
      ruleId: 'spots',
      change: water({ dry: { minutes: IN_TIME } }),
      level: 'clear',
      why: 'is wiped before it dries',
    },
    {
      ruleId: 'spots',
      change: water({ dry: { minutes: 1, filmGramsPerM2: 39 } }),
      level: 'clear',
      why: '11.7 mg/m² does not show on black',
    },
    {
      ruleId: 'spots',
      change: water({ dry: { minutes: 1, filmGramsPerM2: 41 } }),
      level: 'condition',
      why: '12.3 mg/m² shows on black; demineralised water would not',
    },
    {
      ruleId: 'spots',
      change: water({ dry: { minutes: 1, filmGramsPerM2: 39, warmestC: 41 } }),
      level: 'condition',
      why: 'on hot paint half as much is tolerated',
    },
    {
      ruleId: 'spots',
      change: {
        ...water({ dry: { minutes: 1, filmGramsPerM2: 90 } }),
        vehicle: { ...VEHICLE, paintTone: 'white' },
      },
      level: 'clear',
      why: '27 mg/m² does not show on white',
    },
    {
      ruleId: 'spots',
      change: {
        ...water({ dry: { minutes: 1 } }),
        place: { ...DRIVE, finalRinse: { ...WATER, tdsMgPerLitre: 20 } },
      },
      level: 'clear',
      why: 'the last rinse is demineralised',
    },
    {
      ruleId: 'tap-frost',
      change: site({ coldestNearbyC: 0 }),
      level: 'clear',
      why: 'at the limit the tap is live',
    },
    {
      ruleId: 'tap-frost',
      change: site({ coldestNearbyC: -0.1 }),
      level: 'block',
      why: 'a freezing night shuts it',
    },
    {
      ruleId: 'tap-frost',
      change: { ...site({ coldestNearbyC: -9 }), place: { ...DRIVE, tap: 'always' } },
      level: 'clear',
      why: 'a tap that stays live',
    },
    { ruleId: 'tap-frost', change: { place: { ...DRIVE, tap: 'none' } }, level: 'block', why: 'no tap' },
    {
      ruleId: 'open-hours',
      change: site({ open: { kind: 'open', minutesLeft: 90 } }),
      level: 'clear',
      why: 'closes as one is done',
    },
    {
      ruleId: 'open-hours',
      change: site({ open: { kind: 'open', minutesLeft: 89 } }),
      level: 'block',
      why: 'closes a minute before',
    },
    { ruleId: 'open-hours', change: site({ open: { kind: 'closed' } }), level: 'block', why: 'closed' },
    { ruleId: 'daylight', change: site({ lightLeftMinutes: 0 }), level: 'clear', why: 'ends at sunset' },
    { ruleId: 'daylight', change: site({ lightLeftMinutes: -1 }), level: 'block', why: 'ends in the dark' },
    { ruleId: 'daylight', change: site({ lightAtStart: false }), level: 'block', why: 'begins in the dark' },
    {
      ruleId: 'daylight',
      change: { ...site({ lightAtStart: false }), place: { ...DRIVE, hasLight: true } },
      level: 'clear',
      why: 'lamps',
    },
    { ruleId: 'falling', change: site({ mostPrecipMm: 0.2 }), level: 'clear', why: 'a few flakes' },
    { ruleId: 'falling', change: site({ mostPrecipMm: 0.21 }), level: 'block', why: 'snow on a drying car' },
    { ruleId: 'cold-hands', change: site({ windChillC: -19.9 }), level: 'clear', why: 'cold, but bearable' },
    { ruleId: 'cold-hands', change: site({ windChillC: -20 }), level: 'condition', why: 'lined gloves' },
    { ruleId: 'cold-hands', change: site({ windChillC: -28 }), level: 'block', why: 'skin freezes' },
    {
      ruleId: 'ice-on-ground',
      change: site({ coldestNext12hC: 0 }),
      level: 'clear',
      why: 'run-off stays liquid',
    },
    {
      ruleId: 'ice-on-ground',
      change: site({ coldestNext12hC: -0.1 }),
      level: 'condition',
      why: 'grit the run-off',
    },
    {
      ruleId: 'ice-on-ground',
      change: { ...site({ coldestNext12hC: -9 }), place: { ...DRIVE, hasDrain: true } },
      level: 'clear',
      why: 'it drains',
    },
    {
      ruleId: 'method-offered',
      change: { method: methodWith('bay-touch-free') },
      level: 'block',
      why: 'no bay on a drive',
    },
    {
      ruleId: 'floor-drain',
      change: { place: { ...DRIVE, shelter: { kind: 'indoors' } } },
      level: 'block',
      why: '140 L on an indoor floor without a drain',
    },
    { ruleId: 'floor-drain', change: {}, level: 'clear', why: 'outdoors it runs off' },
    {
      ruleId: 'wear',
      change: { vehicle: { ...VEHICLE, protection: 'wax' }, method: methodWith('touchless-automatic') },
      level: 'condition',
      why: 'strong soap on wax',
    },
    {
      ruleId: 'wear',
      change: { vehicle: { ...VEHICLE, protection: 'coating' }, method: methodWith('touchless-automatic') },
      level: 'clear',
      why: 'a coating stands it',
    },
    {
      ruleId: 'forecast-agrees',
      change: { failedFraction: 0.2 },
      level: 'clear',
      why: 'as many fail as is tolerable',
    },
    { ruleId: 'forecast-agrees', change: { failedFraction: 0.25 }, level: 'condition', why: 'more fail' },
  ])('$ruleId: $why', ({ ruleId, change, level }) => {
    expect(found(ruleId, change).level).toBe(level);
  });
});

const dirty = (upper: number, lower = upper): Partial<Situation> => ({
  soil: { ...byGroup(() => 0), upper, lower },
});
const FLAT = { behaviour: 'flat', atMs: 1 } as const;
const WAX = { zone: 'rear', kind: 'wax', appliedMs: null, claimedLifeDays: null, observed: null } as const;

describe('rules of soil, site, sun and the night', () => {
  it.each<{ ruleId: RuleId; change: Partial<Situation>; level: Finding['level']; why: string }>([
    {
      ruleId: 'soil-ceiling',
      change: { ...dirty(3), method: methodWith('garage-rinseless') },
      level: 'clear',
      why: 'at its ceiling',
    },
    {
      ruleId: 'soil-ceiling',
      change: { ...dirty(3.5), method: methodWith('garage-rinseless') },
      level: 'block',
      why: 'beyond it on bare paint',
    },
    {
      ruleId: 'soil-ceiling',
      change: {
        ...dirty(4),
        method: methodWith('garage-rinseless'),
        vehicle: { ...VEHICLE, protection: 'coating' },
      },
      level: 'condition',
      why: 'a grade beyond, if it is protected and soaked hot',
    },
    {
      ruleId: 'soil-ceiling',
      change: {
        ...dirty(4.5),
        method: methodWith('garage-rinseless'),
        vehicle: { ...VEHICLE, protection: 'coating' },
      },
      level: 'block',
      why: 'more than a grade beyond',
    },
    {
      ruleId: 'soil-ceiling',
      change: { ...dirty(5), method: methodWith('salt-flush') },
      level: 'clear',
      why: 'a flush does not go on the body above',
    },
    {
      ruleId: 'scratch',
      change: { ...dirty(5), method: methodWith('bay-touch-free') },
      level: 'clear',
      why: 'nothing rubs',
    },
    {
      ruleId: 'scratch',
      change: { ...dirty(5), method: methodWith('bay-contact') },
      level: 'clear',
      why: 'rinsed before it is rubbed',
    },
    {
      ruleId: 'scratch',
      change: { ...dirty(2.5), method: methodWith('waterless') },
      level: 'clear',
      why: 'at the limit',
    },
    {
      ruleId: 'scratch',
      change: { ...dirty(2.6), method: methodWith('waterless') },
      level: 'condition',
      why: 'rinse the grit off first',
    },
    {
      ruleId: 'scratch',
      change: { ...dirty(3.6), method: methodWith('waterless') },
      level: 'block',
      why: 'grit would mark it',
    },
    { ruleId: 'seals-overnight', change: { overnightC: -9 }, level: 'clear', why: 'gaps are blown out' },
    {
      ruleId: 'seals-overnight',
      change: { overnightC: -9, method: methodWith('touchless-automatic') },
      level: 'condition',
      why: 'the machine leaves 15 mL in them',
    },
    {
      ruleId: 'seals-overnight',
      change: { overnightC: 0, method: methodWith('touchless-automatic') },
      level: 'clear',
      why: 'a night at freezing point',
    },
    {
      ruleId: 'seals-overnight',
      change: { overnightC: null, method: methodWith('touchless-automatic') },
      level: 'unknown',
      why: 'the night is not in the forecast',
    },
    {
      ruleId: 'dry-on',
      change: water({ product: { minutes: null } }),
      level: 'clear',
      why: 'stays wet',
    },
    {
      ruleId: 'dry-on',
      change: water({ product: { minutes: OFF_IN_TIME } }),
      level: 'clear',
      why: 'wet until it is rinsed off',
    },
    {
      ruleId: 'dry-on',
      change: water({ product: { minutes: OFF_IN_TIME - 0.01 } }),
      level: 'block',
      why: 'dries before it is rinsed off',
    },
    {
      ruleId: 'dry-on',
      change: { ...water({ product: { minutes: 1 } }), method: methodWith('salt-flush') },
      level: 'clear',
      why: 'nothing dwells',
    },
    {
      ruleId: 'open-hours',
      change: site({ open: { kind: 'open', minutesLeft: 100 }, queueMinutes: 10 }),
      level: 'clear',
      why: 'the queue fits',
    },
    {
      ruleId: 'open-hours',
      change: site({ open: { kind: 'open', minutesLeft: 100 }, queueMinutes: 11 }),
      level: 'block',
      why: 'the queue does not',
    },
    {
      ruleId: 're-soiling',
      change: site({ dryRoadHours: 0 }),
      level: 'clear',
      why: 'weighed, not forbidden',
    },
    {
      ruleId: 're-soiling',
      change: { ...site({ dryRoadHours: 5 }), house: houseWith({ afterSnow: 'dry-roads' }) },
      level: 'block',
      why: 'the house waits for dry roads',
    },
    {
      ruleId: 're-soiling',
      change: { ...site({ dryRoadHours: 6 }), house: houseWith({ afterSnow: 'dry-roads' }) },
      level: 'clear',
      why: 'dry for as long as it wants',
    },
    {
      ruleId: 're-soiling',
      change: { ...site({ dryRoadHours: null }), house: houseWith({ afterSnow: 'dry-roads' }) },
      level: 'unknown',
      why: 'the road is not known',
    },
    {
      ruleId: 'direct-sun',
      change: water({ sun: { panel: 'left', brightestWm2: 700, dimmestWm2: 600 } }),
      level: 'clear',
      why: 'the wet-edge sums decide',
    },
    {
      ruleId: 'direct-sun',
      change: {
        ...water({ sun: { panel: 'left', brightestWm2: 251, dimmestWm2: 10 } }),
        house: houseWith({ sun: 'never' }),
      },
      level: 'block',
      why: 'the house never washes in sun',
    },
    {
      ruleId: 'direct-sun',
      change: {
        ...water({ sun: { panel: 'left', brightestWm2: 250, dimmestWm2: 10 } }),
        house: houseWith({ sun: 'never' }),
      },
      level: 'clear',
      why: 'not sunny enough to count',
    },
    {
      ruleId: 'direct-sun',
      change: {
        ...water({ sun: { panel: 'left', brightestWm2: 700, dimmestWm2: 10 } }),
        house: houseWith({ halfSun: 'shade-only' }),
      },
      level: 'block',
      why: 'half in the sun, and the house waits for shade',
    },
    {
      ruleId: 'direct-sun',
      change: {
        ...water({ sun: { panel: 'left', brightestWm2: 700, dimmestWm2: 300 } }),
        house: houseWith({ halfSun: 'shade-only' }),
      },
      level: 'clear',
      why: 'all in the sun is another question',
    },
    {
      ruleId: 'working-warmth',
      change: { ...site({ airTempC: 9.9 }), method: methodWith('strip-reseal') },
      level: 'block',
      why: 'sealant wants 10 °C',
    },
    {
      ruleId: 'working-warmth',
      change: { ...site({ airTempC: 10 }), method: methodWith('strip-reseal') },
      level: 'clear',
      why: 'just warm enough',
    },
    {
      ruleId: 'working-warmth',
      change: site({ airTempC: -20 }),
      level: 'clear',
      why: 'shampoo takes the cold',
    },
    {
      ruleId: 'wear',
      change: {
        vehicle: { ...VEHICLE, protection: 'coating', protections: [WAX] },
        method: methodWith('touchless-automatic'),
      },
      level: 'condition',
      why: 'one waxed zone on a coated car',
    },
    {
      ruleId: 'wear',
      change: { vehicle: { ...VEHICLE, protection: 'wax' }, method: methodWith('strip-reseal') },
      level: 'condition',
      why: 'it strips a live wax, which somebody has to want',
    },
    {
      ruleId: 'wear',
      change: {
        vehicle: { ...VEHICLE, protection: 'coating', protections: [{ ...WAX, observed: FLAT }] },
        method: methodWith('strip-reseal'),
      },
      level: 'clear',
      why: 'the wax is gone already, and a coating stays',
    },
    {
      ruleId: 'wear',
      change: { vehicle: { ...VEHICLE, protection: 'bare' }, method: methodWith('winter-strip') },
      level: 'clear',
      why: 'nothing is there to be stripped',
    },
    {
      ruleId: 'site-rule',
      change: {
        place: { ...DRIVE, mostMinutes: methodWith('waterless').minutes },
        method: methodWith('waterless'),
      },
      level: 'clear',
      why: 'just as long as one may stay',
    },
    {
      ruleId: 'site-rule',
      change: {
        place: { ...DRIVE, mostMinutes: methodWith('waterless').minutes - 1 },
        method: methodWith('waterless'),
      },
      level: 'block',
      why: 'a minute longer than one may stay',
    },
    {
      ruleId: 'site-rule',
      change: { place: { ...DRIVE, forbids: ['no-own-bucket'] }, method: methodWith('bay-contact') },
      level: 'block',
      why: 'no buckets',
    },
    {
      ruleId: 'site-rule',
      change: { place: { ...DRIVE, forbids: ['no-own-foam'] }, method: methodWith('bay-touch-free') },
      level: 'condition',
      why: 'the site’s soap will do',
    },
    {
      ruleId: 'site-rule',
      change: { place: { ...DRIVE, forbids: ['no-contact'] } },
      level: 'block',
      why: 'no washing by hand',
    },
    {
      ruleId: 'site-rule',
      change: { place: { ...DRIVE, forbids: ['neighbour-close'] }, method: methodWith('garage-hose') },
      level: 'block',
      why: 'a hose lands on the next car',
    },
    {
      ruleId: 'site-rule',
      change: { place: { ...DRIVE, forbids: ['neighbour-close'] }, method: methodWith('garage-rinseless') },
      level: 'condition',
      why: 'a mist is held back',
    },
    {
      ruleId: 'site-rule',
      change: { place: { ...DRIVE, forbids: ['neighbour-close'] }, method: NOTHING_FLIES },
      level: 'clear',
      why: 'nothing flies',
    },
    {
      ruleId: 'site-rule',
      change: { place: { ...DRIVE, forbids: ['no-run-off'] } },
      level: 'block',
      why: 'no run-off',
    },
    {
      ruleId: 'site-rule',
      change: { place: { ...DRIVE, forbids: ['no-run-off'], hasDrain: true } },
      level: 'clear',
      why: 'it drains',
    },
    {
      ruleId: 'site-rule',
      change: { ...site({ airTempC: -0.1 }), place: { ...DRIVE, forbids: ['no-washing-in-frost'] } },
      level: 'block',
      why: 'frost',
    },
    {
      ruleId: 'site-rule',
      change: { ...site({ airTempC: 0 }), place: { ...DRIVE, forbids: ['no-washing-in-frost'] } },
      level: 'clear',
      why: 'no frost',
    },
    {
      ruleId: 'site-rule',
      change: { site: null, place: { ...DRIVE, forbids: ['no-washing-in-frost'] } },
      level: 'unknown',
      why: 'no weather to tell frost by',
    },
  ])('$ruleId: $why', ({ ruleId, change, level }) => {
    expect(found(ruleId, change).level).toBe(level);
  });

  it('name the waxed zone that strong soap would wear', () => {
    const vehicle = { ...VEHICLE, protection: 'coating' as const, protections: [WAX] };
    expect(found('wear', { vehicle, method: methodWith('touchless-automatic') }).zone).toBe('rear');
  });

  it('judge what a blower leaves by its minerals', () => {
    const drying = { kind: 'wiped', by: 'blower' } as const;
    const method = { ...methodWith('drive-hose'), drying };
    // A tenth of 500 g/m² at 300 mg/L is 15 mg/m²: shows on black, and demineralised water would not.
    const wet = water({ dry: { minutes: null, filmGramsPerM2: 500 } });
    expect(found('spots', { ...wet, method })).toMatchObject({ level: 'condition', remedy: 'demin-rinse' });
    expect(found('spots', wet).level).toBe('clear');
  });

  it('looks at glass by its own limit, which pale paint does not have', () => {
    const vehicle = { ...VEHICLE, paintTone: 'white' as const };
    const dryGlass = { ...CALM.dry, panel: 'windscreen' as const, minutes: 1, filmGramsPerM2: 60 };
    // 18 mg/m²: under what shows on white, over what shows on glass.
    const wet = { ...water({ dry: { minutes: 1, filmGramsPerM2: 60 }, dryGlass }), vehicle };
    expect(found('spots', wet)).toMatchObject({
      level: 'condition',
      panel: 'windscreen',
      remedy: 'demin-rinse',
    });
    expect(found('spots', { ...wet, ...water({ dry: { minutes: 1, filmGramsPerM2: 60 } }) }).level).toBe(
      'clear',
    );
  });

  // 12 mg/m² show on black; half of that is left on hot paint where the water is hard, and straight between.
  it.each([
    { hardness: 0, warmestC: 41, limit: 12 },
    { hardness: 90, warmestC: 41, limit: 9 },
    { hardness: 180, warmestC: 41, limit: 6 },
    { hardness: 400, warmestC: 41, limit: 6 },
    { hardness: 180, warmestC: 40, limit: 12 },
  ])(
    'tolerate $limit mg/m² of water of $hardness mg/L on paint at $warmestC °C',
    ({ hardness, warmestC, limit }) => {
      const place = { ...DRIVE, finalRinse: null, washWater: { ...WATER, hardnessMgPerLitre: hardness } };
      const dried = water({ dry: { minutes: 1, filmGramsPerM2: 10, warmestC } });
      expect(found('spots', { ...dried, place }).limit).toBeCloseTo(limit, 9);
    },
  );

  it('fail in a member only by what the weather does', () => {
    expect(weatherFailure(situation())).toBeNull();
    expect(weatherFailure(situation(site({ open: { kind: 'closed' } })))).toBeNull();
    expect(weatherFailure(situation(site({ mostPrecipMm: 2 })))).toBe('falls');
    expect(weatherFailure(situation({ water: null }))).toBe('freezes');
  });
});

describe('a film that is left to the machine', () => {
  const left = { method: methodWith('touchless-automatic') };

  it.each([
    { tempC: -7.9, level: 'condition', why: 'a thin skin; wipe the gaps' },
    { tempC: -8.1, level: 'block', why: 'too cold to leave wet' },
  ])('at $tempC °C: $why', ({ tempC, level }) => {
    const ice = {
      ...water({ ice: { minutes: 4 }, coldest: { panel: 'roof', tempC } }),
      ...left,
    };
    expect(found('ice-on-car', ice).level).toBe(level);
  });

  it('is clear where it dries before it freezes', () => {
    expect(found('ice-on-car', { ...water({}), ...left }).level).toBe('clear');
  });
});

describe('combining', () => {
  it('is go when all is clear, with the tightest margin as its reason', () => {
    const judgement = judgeAll(situation(water({ ice: { minutes: IN_TIME + 0.5 } })));
    expect(judgement.standing).toBe('go');
    expect(judgement.limiting.ruleId).toBe('ice-on-car');
  });

  it('never takes unknown for clear', () => {
    const judgement = judgeAll(situation({ site: null, water: null }));
    expect(judgement.standing).toBe('unknown');
  });

  it('lets a block outweigh what is unknown', () => {
    expect(
      judgeAll(situation({ site: null, water: null, method: methodWith('bay-touch-free') })).standing,
    ).toBe('no');
  });

  it('runs every rule, whatever the first one says', () => {
    expect(judgeAll(situation({ method: methodWith('bay-touch-free') })).findings).toHaveLength(RULES.length);
  });

  it('needs something to combine', () => {
    expect(() => combine([])).toThrow(/findings is empty/);
  });
});

describe('limits', () => {
  it.each(LIMITS.map((row) => [row.id, row] as const))(
    '%s lies within its own range and names its source',
    (_, row) => {
      expect(row.value).toBeGreaterThanOrEqual(row.min);
      expect(row.value).toBeLessThanOrEqual(row.max);
      expect(row.source.length).toBeGreaterThan(3);
      expect(row.unit.length).toBeGreaterThan(0);
    },
  );

  it('that are moved move the verdict', () => {
    const cold = site({ windChillC: -15 });
    expect(found('cold-hands', cold).level).toBe('clear');
    expect(found('cold-hands', { ...cold, limits: { ...DEFAULT_LIMITS, coldHandsC: -10 } }).level).toBe(
      'condition',
    );
  });
});
