import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE, type HouseRules } from '../house-rules/index.js';
import { chemicalClashes, EMPTY_KIT, type Kit, type Mix, notRinsed } from '../kit/index.js';
import {
  ACID_PH,
  ALKALI_PH,
  fittingsOf,
  inUsualWay,
  type Method,
  METHOD_IDS,
  shopMethod,
  type WashStepId,
} from '../method/index.js';
import type { Place } from '../place/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { SEASON_JOBS, withSeasonWork } from '../season/index.js';
import { CLEAN } from '../soil/index.js';
import { BAY, HEATED_UNIT, houseWith, methodWith, piece, VEHICLE } from '../testing/shop.js';
import { PlaceCalendar, PlaceWeather } from '../verdict/index.js';
import { BODY_CLASSES } from '../vehicle/index.js';
import { bucketCooling, startForArrival } from '../water/index.js';
import type { WeatherHour } from '../weather/index.js';
import {
  boundedDwell,
  dryingPlan,
  roundOf,
  meterRunOf,
  type RunSheet,
  runSheet,
  runSteps,
  type StepsAround,
  type WetEdge,
} from './index.js';

const FROM = Date.UTC(2026, 0, 14, 12);
const HOUR: WeatherHour = {
  atMs: FROM,
  airTempC: -3,
  dewPointC: -7,
  windMetresPerSecond: 3,
  gustMetresPerSecond: 6,
  windFromDeg: 290,
  cloudFraction: 0.8,
  precipMm: 0,
  precipKind: 'none',
  snowDepthCm: 20,
  pressureHpa: 1010,
};

function sheet(
  place: Place,
  methodId: string,
  weather: Partial<WeatherHour> = {},
  overnightC: number | null = -8,
  kit: Kit = EMPTY_KIT,
): RunSheet {
  const outdoors = { ...HOUR, ...weather };
  const hours = Array.from({ length: 48 }, (_, i) => ({ ...outdoors, atMs: FROM + (i - 36) * 3_600_000 }));
  const site = new PlaceWeather(new PlaceCalendar(place), { fromMs: FROM - 36 * 3_600_000, hours }).placeHour(
    FROM,
  );
  if (!site) throw new Error('an hour without weather');
  const method = inUsualWay(methodWith(methodId, { ...kit, fittings: fittingsOf(place) }));
  return runSheet({
    vehicle: VEHICLE,
    place,
    method,
    limits: DEFAULT_LIMITS,
    hours: [{ fromMinute: 0, site }],
    outdoors,
    isDark: false,
    overnightC,
    kit,
    house: DEFAULT_HOUSE,
    soil: CLEAN,
  });
}

const PLAIN_STEPS: StepsAround = {
  edges: new Map(),
  lowEdges: [],
  stopAfter: [],
  isRoofed: false,
  gapsFreeze: false,
  isGroundFreezing: false,
  mixes: [],
  forbids: [],
  hasNoDrain: false,
  hasNoGuard: false,
  lifts: true,
  glassC: 5,
  waterC: 8,
};

describe('the steps of a wash', () => {
  const { steps, minutes } = sheet(BAY, 'bay-contact');

  it('follow each other without a gap and fit into the visit', () => {
    steps.forEach((step, i) => {
      const before = steps[i - 1];
      if (before) expect(step.fromMinute).toBeCloseTo(before.fromMinute + before.minutes, 9);
    });
    const last = steps.at(-1);
    expect((last?.fromMinute ?? 0) + (last?.minutes ?? 0)).toBeLessThanOrEqual(minutes + 1e-9);
  });

  it('let nothing dwell longer than the panel stays wet', () => {
    for (const { dwell } of sheet(BAY, 'bay-contact', { airTempC: 25, dewPointC: 2, windMetresPerSecond: 9 })
      .steps) {
      if (!dwell) continue;
      expect(dwell.cutBy === null || dwell.maxMinutes < 10).toBe(true);
    }
  });

  it.each([
    {
      why: 'the product’s own longest',
      edge: 30,
      dwell: { minMinutes: 3, maxMinutes: 8, labelMinutes: 8, cutBy: null, cutAs: null, isTooShort: false },
    },
    {
      why: 'at the edge',
      edge: 8,
      dwell: { minMinutes: 3, maxMinutes: 8, labelMinutes: 8, cutBy: null, cutAs: null, isTooShort: false },
    },
    {
      why: 'cut by the edge',
      edge: 5,
      dwell: {
        minMinutes: 3,
        maxMinutes: 5,
        labelMinutes: 8,
        cutBy: 'roof',
        cutAs: 'dries',
        isTooShort: false,
      },
    },
    {
      why: 'too short to work',
      edge: 2,
      dwell: {
        minMinutes: 3,
        maxMinutes: 2,
        labelMinutes: 8,
        cutBy: 'roof',
        cutAs: 'dries',
        isTooShort: true,
      },
    },
    {
      why: 'nothing dries',
      edge: null,
      dwell: { minMinutes: 3, maxMinutes: 8, labelMinutes: 8, cutBy: null, cutAs: null, isTooShort: false },
    },
  ] as const)('a dwell is $why', ({ edge, dwell }) => {
    const edges: WetEdge[] = [
      { panel: 'left', minutes: 40, ends: 'dries' },
      { panel: 'roof', minutes: edge, ends: edge === null ? 'lasts' : 'dries' },
    ];
    expect(boundedDwell({ minMinutes: 3, maxMinutes: 8 }, edges)).toEqual(dwell);
  });

  it('on the meter that follow each other are one run', () => {
    const on = (...flags: boolean[]) => meterRunOf(flags.map((onMeter) => ({ onMeter })));
    expect(on(false, true, true, false, true)).toEqual([null, 0, 0, null, 1]);
    expect(on(true, false)).toEqual([0, null]);
    expect(on()).toEqual([]);
  });

  it('stop the meter behind the last paid run, and before it where that is cheapest', () => {
    const method = methodWith('bay-contact');
    const stops = (stopAfter: readonly number[] | null) =>
      runSteps(method, { ...PLAIN_STEPS, stopAfter }).flatMap(({ stopsMeter }, i) => (stopsMeter ? [i] : []));
    const runs = meterRunOf(method.steps);
    const endOf = (run: number): number => runs.lastIndexOf(run);
    expect(Math.max(...runs.map((run) => run ?? -1))).toBe(1);
    expect(stops([])).toEqual([endOf(1)]);
    expect(stops([0])).toEqual([endOf(0), endOf(1)]);
    expect(stops(null)).toEqual([]);
  });

  it('warn of ice underfoot where water meets frost, and not in the warm', () => {
    const icy = (of: RunSheet) => of.steps.some(({ cautions }) => cautions.includes('ice-underfoot'));
    expect(icy(sheet(BAY, 'bay-contact'))).toBe(true);
    expect(icy(sheet(BAY, 'bay-contact', { airTempC: 4, dewPointC: 0 }))).toBe(false);
    expect(icy(sheet(HEATED_UNIT, 'garage-rinseless'))).toBe(false);
  });

  it('ask for a mop on a floor and for grit on ground', () => {
    const garage = { ...HEATED_UNIT, climate: { kind: 'unheated' } as const };
    const cautions = new Set(
      sheet(garage, 'garage-rinseless', { airTempC: -6 }).steps.flatMap((step) => step.cautions),
    );
    expect(cautions).toContain('ice-on-floor');
    expect(cautions).not.toContain('ice-underfoot');
  });

  it('speak of frost in the gaps only where there is some, then or in the night', () => {
    const wash = shopMethod('bay-contact', DEFAULT_HOUSE, VEHICLE);
    const reasonAt = (gapsFreeze: boolean) =>
      runSteps(wash, { ...PLAIN_STEPS, gapsFreeze }).find(({ id }) => id === 'shuts')?.reason;
    expect([reasonAt(true), reasonAt(false)]).toEqual(['gaps-freeze', 'gaps-hold-water']);
    const inWarmth = (overnightC: number | null) =>
      sheet(HEATED_UNIT, 'garage-rinseless', {}, overnightC).steps.find(({ id }) => id === 'shuts')?.reason;
    expect([inWarmth(4), inWarmth(-1), inWarmth(null)]).toEqual([
      'gaps-hold-water',
      'gaps-freeze',
      'gaps-freeze',
    ]);
  });

  it('tell how long what dwells stays wet there, and nothing where nothing dwells', () => {
    const edges = new Map([[1, [{ panel: 'roof', minutes: 14, ends: 'dries' } as const]]]);
    const laid = runSteps(shopMethod('bay-contact', DEFAULT_HOUSE, VEHICLE), { ...PLAIN_STEPS, edges });
    expect(laid[1]).toMatchObject({ id: 'foam', wetMinutes: 14 });
    expect(laid.find(({ id }) => id === 'wheels')?.wetMinutes).toBeNull();
    expect(laid.find(({ id }) => id === 'rinse')).not.toHaveProperty('wetMinutes');
  });

  it('go under a car with a word on jacks only where cars are lifted', () => {
    const under = (lifts: boolean) =>
      runSteps(shopMethod('bay-contact', DEFAULT_HOUSE, VEHICLE), { ...PLAIN_STEPS, lifts })
        .filter(({ id }) => id === 'underbody-ramps')
        .map(({ cautions }) => cautions.includes('never-under-a-jack'));
    expect(under(true)).toEqual([true]);
    expect(under(false)).toEqual([false]);
  });

  it('tell why the wheels stand where they stand', () => {
    const last = {
      choices: { ...DEFAULT_HOUSE.choices, wheels: 'last' as const },
      numbers: DEFAULT_HOUSE.numbers,
    };
    const reasonOf = (house: typeof DEFAULT_HOUSE) =>
      runSteps(shopMethod('bay-contact', house, VEHICLE), PLAIN_STEPS).find(({ id }) => id === 'wheels')
        ?.reason;
    expect(reasonOf(last)).toBe('dirtiest-last');
    const first = { ...last, choices: { ...last.choices, wheels: 'first' as const } };
    expect(reasonOf(first)).toBe('no-wet-paint-left-waiting');
  });
});

describe('a strong product', () => {
  const wheelCautions = (inUsePh: number | null): readonly string[] => {
    const { steps, setUpMinutes } = methodWith('garage-rinseless');
    const product =
      inUsePh === null ? undefined : { ...steps.find(({ id }) => id === 'wheels')?.product, inUsePh };
    const own = steps.map((step) => (step.id === 'wheels' ? { ...step, product } : step)) as Method['steps'];
    return (
      runSteps({ steps: own, setUpMinutes }, PLAIN_STEPS).find(({ id }) => id === 'wheels')?.cautions ?? []
    );
  };

  it.each([
    { inUsePh: 1.5, strong: true },
    { inUsePh: ACID_PH, strong: true },
    { inUsePh: ACID_PH + 0.1, strong: false },
    { inUsePh: 7, strong: false },
    { inUsePh: ALKALI_PH - 0.1, strong: false },
    { inUsePh: ALKALI_PH, strong: true },
    { inUsePh: null, strong: false },
  ])('asks for gloves and no mixing at pH $inUsePh: $strong', ({ inUsePh, strong }) => {
    const cautions = wheelCautions(inUsePh);
    expect(cautions.filter((one) => ['gloves-and-goggles', 'never-acid-over-alkali'].includes(one))).toEqual(
      strong ? ['gloves-and-goggles', 'never-acid-over-alkali'] : [],
    );
    expect(cautions).toContain('data-sheet');
  });
});

describe('what is wrong with a step', () => {
  const faultsAt = (around: Partial<StepsAround>, methodId = 'bay-contact') =>
    runSteps(methodWith(methodId), { ...PLAIN_STEPS, ...around }).flatMap(({ id, faults }) =>
      faults.map((fault) => ({ id, ...fault })),
    );

  it.each([
    { why: 'frozen glass and warm water', glassC: -0.1, waterC: 25, count: 1 },
    { why: 'glass that is not frozen', glassC: 0, waterC: 40, count: 0 },
    { why: 'cold water', glassC: -8, waterC: 24.9, count: 0 },
  ])('is hot water on frozen glass, at the first water only: $why', ({ glassC, waterC, count }) => {
    const found = faultsAt({ glassC, waterC });
    expect(found).toHaveLength(count);
    if (count > 0)
      expect(found[0]).toMatchObject({ id: 'foam', kind: 'hot-on-frozen-glass', glassC, waterC });
  });

  it('is what the place forbids, at the step that needs it', () => {
    expect(faultsAt({ forbids: ['no-own-bucket', 'no-own-foam'] })).toEqual([
      { id: 'foam', kind: 'forbidden', rule: 'no-own-foam' },
      { id: 'contact', kind: 'forbidden', rule: 'no-own-bucket' },
    ]);
    const touched = faultsAt({ forbids: ['no-contact'] }).map(({ id }) => id);
    expect(touched).toEqual(['contact', 'shuts']);
  });

  it('is a jet, hose or foam where another car stands close, and a mist is held back', () => {
    const forbids: Place['forbids'] = ['neighbour-close'];
    const hosed = faultsAt({ forbids }, 'garage-hose').map(({ id }) => id);
    expect(hosed).toEqual(['rinse', 'foam', 'final-rinse']);
    const close = sheet({ ...HEATED_UNIT, forbids }, 'garage-rinseless');
    const cautionsOf = (id: WashStepId) => close.steps.find((step) => step.id === id)?.cautions;
    expect(close.steps.flatMap(({ faults }) => faults).map(({ kind }) => kind)).not.toContain('forbidden');
    expect(cautionsOf('pre-soak')).toContain('spray-at-the-cloth');
    expect(cautionsOf('shuts')).toEqual(['one-door-at-a-time']);
    expect(close.preparation.pack).toEqual(expect.arrayContaining(['dust-sheet', 'drip-mat']));
    const coating = sheet({ ...HEATED_UNIT, forbids }, 'pre-coating').steps;
    expect(sheet(HEATED_UNIT, 'pre-coating').preparation.pack).not.toContain('drying-aid');
    expect(coating.find(({ id }) => id === 'blow')?.cautions).toContain('blow-away-from-neighbour');
    const alone = sheet(HEATED_UNIT, 'garage-rinseless');
    expect(alone.steps.flatMap(({ cautions }) => cautions)).not.toContain('spray-at-the-cloth');
    expect(alone.preparation.pack).not.toContain('dust-sheet');
  });

  it('warns of what holds the car up where cars are lifted, and not in a bay', () => {
    const under = withSeasonWork(
      methodWith('garage-hose'),
      SEASON_JOBS.filter(({ id }) => id === 'anti-corrosion'),
    );
    const warned = (lifts: boolean): WashStepId[] =>
      runSteps(under, { ...PLAIN_STEPS, lifts })
        .filter(({ cautions }) => cautions.includes('never-under-a-jack'))
        .map(({ id }) => id);
    expect(warned(true)).toEqual(['underbody-flush', 'underbody-foam', 'underbody-flush']);
    expect(warned(false)).toEqual([]);
  });

  it('is a floor without a drain, where more than a puddle falls', () => {
    const ids = faultsAt({ hasNoDrain: true }, 'garage-rinseless').map(({ id }) => id);
    expect(ids).toEqual(['rinseless']);
  });

  it('is acid over alkali, until the alkali is rinsed off', () => {
    const mix = (step: WashStepId, inUsePh: number): Mix => ({
      step,
      role: 'shampoo',
      into: 'sprayer',
      product: { id: step, name: step, inUsePh, dwell: null },
      productMl: 1,
      waterMl: 9,
      parts: 9,
      percent: 10,
      caps: null,
      panelPercent: null,
      faults: [],
    });
    const clash = (foamPh: number, wheelsPh: number, first: 'foam' | 'wheels') => {
      const steps = [
        { id: 'foam' as const, groups: ['wheels' as const] },
        { id: 'wheels' as const, groups: ['wheels' as const] },
      ];
      const ordered = first === 'foam' ? steps : steps.toReversed();
      return chemicalClashes(
        ordered.map((one) => ({ ...one, inUsePh: one.id === 'foam' ? foamPh : wheelsPh })),
      );
    };
    expect(clash(11, 2, 'foam')).toEqual([{ kind: 'acid-over-alkali', over: 1, under: 0 }]);
    expect(clash(11, 2, 'wheels')).toEqual([{ kind: 'alkali-over-acid', over: 1, under: 0 }]);
    expect(clash(9.4, 2, 'foam')).toEqual([]);
    expect(clash(11, 5.1, 'foam')).toEqual([]);
    const rinsed = chemicalClashes([
      { id: 'foam', groups: ['upper', 'wheels'], inUsePh: 12 },
      { id: 'rinse', groups: ['upper', 'wheels'], inUsePh: null },
      { id: 'wheels', groups: ['wheels'], inUsePh: 2 },
    ]);
    expect(rinsed).toEqual([]);
    const method = shopMethod('bay-contact', {
      ...DEFAULT_HOUSE,
      choices: { ...DEFAULT_HOUSE.choices, wheels: 'last' },
    });
    const found = runSteps(method, { ...PLAIN_STEPS, mixes: [mix('foam', 11), mix('wheels', 2)] });
    expect(found.flatMap(({ faults }) => faults)).toEqual([]);
    const steps = [
      method.steps.find(({ id }) => id === 'foam')!,
      method.steps.find(({ id }) => id === 'wheels')!,
    ];
    const unrinsed = runSteps(
      { ...method, steps },
      { ...PLAIN_STEPS, mixes: [mix('foam', 11), mix('wheels', 2)] },
    );
    expect(unrinsed[1]?.faults).toEqual([
      { kind: 'acid-over-alkali', alkali: 'foam' },
      { kind: 'not-rinsed', groups: ['wheels'] },
    ]);
  });

  it('is a product that nothing behind it rinses off', () => {
    const stays = (methodId: string, change: Partial<HouseRules['choices']> = {}) =>
      runSteps(methodWith(methodId, { house: houseWith(change) }), PLAIN_STEPS).flatMap(({ id, faults }) =>
        faults.flatMap((fault) => (fault.kind === 'not-rinsed' ? [[id, fault.groups]] : [])),
      );
    for (const methodId of METHOD_IDS) expect(stays(methodId)).toEqual([]);
    expect(stays('garage-rinseless', { strip: 'strip' })).toEqual([]);
    const coating = methodWith('pre-coating')
      .steps.filter(({ id }) => id !== 'rinse')
      .map((step) => ({ ...step, inUsePh: step.product?.inUsePh ?? null }));
    const unrinsed = notRinsed(coating);
    expect(
      unrinsed.map((groups, i) => [coating[i]?.id, groups]).filter(([, groups]) => groups?.length),
    ).toEqual([
      ['iron', ['wheels']],
      ['strip', ['upper', 'lower']],
    ]);
  });
});

describe('the wet edge after the last rinse', () => {
  it('stands in the order in which panels dry or freeze', () => {
    const { edges } = sheet(BAY, 'bay-contact');
    const minutes = edges.map((edge) => edge.minutes ?? Infinity);
    expect([...minutes].sort((a, b) => a - b)).toEqual(minutes);
    expect(new Set(edges.map(({ panel }) => panel)).size).toBe(8);
  });

  it('freezes first what the sky cools', () => {
    const [first] = sheet(BAY, 'bay-contact', {
      airTempC: -12,
      dewPointC: -18,
      windMetresPerSecond: 8,
    }).edges;
    expect(first?.ends).toBe('freezes');
  });
});

describe('what is prepared', () => {
  it('is packed by what the steps and the place ask for', () => {
    const bay = sheet(BAY, 'bay-contact').preparation;
    expect(bay.pack).toEqual(
      expect.arrayContaining(['lidded-buckets', 'foamer', 'mitts', 'blower', 'lined-gloves', 'grit']),
    );
    expect(bay.pack).not.toContain('floor-squeegee');
    const indoors = sheet(HEATED_UNIT, 'garage-rinseless').preparation;
    expect(indoors.pack).toEqual(expect.arrayContaining(['folded-towels', 'floor-squeegee']));
    expect(indoors.pack).not.toContain('grit');
  });

  it('minds the grit where the bucket has no guard, and says nothing where it has one or nobody knows', () => {
    const bucket = (hasGuard: boolean | null) => ({
      products: [],
      gear: [
        {
          id: 'b',
          name: 'Buckets',
          kind: 'bucket' as const,
          count: 2,
          cleanCount: 0,
          volumeMl: 12_000,
          outputLitresPerBottle: null,
          lifeLitres: null,
          litresUsed: 0,
          notes: '',
          hasGuard,
        },
      ],
    });
    const cautionsOf = (kit: Kit): readonly string[] =>
      sheet(BAY, 'bay-contact', {}, null, kit).steps.find(({ id }) => id === 'contact')?.cautions ?? [];
    expect(cautionsOf(bucket(false))).toContain('grit-in-the-bucket');
    expect(cautionsOf(bucket(true))).not.toContain('grit-in-the-bucket');
    expect(cautionsOf(bucket(null))).not.toContain('grit-in-the-bucket');
    expect(sheet(BAY, 'bay-contact', {}, null, bucket(true)).preparation.water?.buckets).toEqual({
      count: 2,
      volumeMl: 12_000,
    });
  });

  it('is drawn from the gun where buckets are filled there, and empty ones are packed', () => {
    const gun = sheet({ ...BAY, bucketWater: 'gun' }, 'bay-contact');
    expect(gun.preparation.pack).toContain('empty-buckets');
    expect(gun.preparation.pack).not.toContain('lidded-buckets');
    expect(gun.preparation.water).toMatchObject({
      isFilledThere: true,
      startC: BAY.washWater.tempC,
      mix: null,
    });
    const brought = sheet(BAY, 'bay-contact');
    expect(gun.minutes).toBeGreaterThan(brought.minutes);
    expect(gun.preparation.money.meterMinor).toBeGreaterThanOrEqual(brought.preparation.money.meterMinor);
  });

  it('has water that leaves so hot that it arrives as wanted', () => {
    const { water } = sheet({ ...BAY, travelMinutes: 20 }, 'bay-contact').preparation;
    if (!water) throw new Error('no water for the buckets');
    const { litres, startC, wantedC, mix } = water;
    const cooled = bucketCooling({ litres, startC, ambientC: HOUR.airTempC, uaWattsPerK: 1.8, minutes: 20 });
    expect(cooled.tempC).toBeCloseTo(wantedC, 9);
    expect((mix?.hotLitres ?? 0) + (mix?.coldLitres ?? 0)).toBeCloseTo(litres, 9);
  });

  it('says where a tap does not give it so hot', () => {
    const { water } = sheet({ ...BAY, travelMinutes: 600 }, 'bay-contact', {
      airTempC: -30,
      dewPointC: -33,
    }).preparation;
    expect(water).toMatchObject({ mix: null, isHotForHands: true });
  });

  it('needs no bucket where nothing is dipped into one', () => {
    expect(sheet(BAY, 'bay-touch-free').preparation.water).toBeNull();
  });

  it('cools by what is between: the start rises with the way and falls with the litres', () => {
    const start = (minutes: number, litres = 10) =>
      startForArrival({ litres, wantedC: 35, ambientC: -10, uaWattsPerK: 1.8, minutes });
    expect(start(0)).toBeCloseTo(35, 9);
    expect(start(40)).toBeGreaterThan(start(20));
    expect(start(20, 20)).toBeLessThan(start(20));
  });
});

describe('drying', () => {
  const grams = (
    methodId: string,
    drying: 'blow-and-towel' | 'towel' | 'blower',
    vehicle = VEHICLE,
    place: Place = BAY,
    kit: Pick<Kit, 'gear'> = EMPTY_KIT,
  ) => {
    const house = { ...DEFAULT_HOUSE, choices: { ...DEFAULT_HOUSE.choices, drying } };
    return dryingPlan(vehicle, shopMethod(methodId, house), { house, limits: DEFAULT_LIMITS, place, kit });
  };

  it('counts towels until they smear: fewer after blowing, none where nothing is wiped', () => {
    const toweled = grams('bay-contact', 'towel');
    const blown = grams('bay-contact', 'blow-and-towel');
    expect(toweled?.towelGrams).toBe(toweled?.waterGrams);
    // No step of it blows.
    expect(grams('garage-rinseless', 'blow-and-towel')).toMatchObject({ by: 'towel' });
    expect(blown?.towelGrams).toBeCloseTo((blown?.waterGrams ?? 0) * 0.1, 9);
    expect(toweled?.towels).toBe(Math.ceil((toweled?.waterGrams ?? 0) / 350));
    expect(blown?.towels).toBe(1);
    expect(grams('bay-contact', 'blower')?.towels).toBe(0);
    expect(grams('touchless-automatic', 'towel')).toBeNull();
  });

  it('takes fewer towels of a deep pile, as the shop weighed one, and says that it did', () => {
    const towels = (holdsGrams: number | null) =>
      grams('bay-contact', 'towel', VEHICLE, BAY, { gear: [piece({ kind: 'drying-towel', holdsGrams })] });
    const plain = grams('bay-contact', 'towel');
    expect(plain?.towelHolds).toEqual({ grams: 350, isWeighed: false });
    expect(towels(null)).toEqual(plain);
    const deep = towels(1200);
    expect(deep?.towelHolds).toEqual({ grams: 1200, isWeighed: true });
    expect(deep?.towels).toBe(Math.ceil((plain?.waterGrams ?? 0) / 1200));
    expect(deep?.towels).toBeLessThan(plain?.towels ?? 0);
  });

  it('is more water on flat paint than on beading, and on a van than on a hatch', () => {
    const on = (change: object) =>
      grams('bay-contact', 'towel', { ...VEHICLE, ...change })?.waterGrams ?? NaN;
    expect(on({ waterBehaviour: 'flat' })).toBeGreaterThan(on({ waterBehaviour: 'beading' }));
    expect(on({ bodyClass: 'van' })).toBeGreaterThan(on({ bodyClass: 'hatch' }));
  });

  it('names where water hides on each body, mirrors on all of them', () => {
    const traps = BODY_CLASSES.map(
      (bodyClass) => grams('bay-contact', 'towel', { ...VEHICLE, bodyClass })?.traps ?? [],
    );
    expect(traps.every((of) => of.includes('mirrors') && new Set(of).size === of.length)).toBe(true);
    expect(new Set(traps.map(String)).size).toBe(BODY_CLASSES.length);
  });

  it('may be left to the air only where pure water runs off', () => {
    const pure = { ...BAY, finalRinse: { ...BAY.washWater, tdsMgPerLitre: 30 } };
    const left = (vehicle: object, place: Place, methodId = 'bay-contact') =>
      grams(methodId, 'blow-and-towel', { ...VEHICLE, protections: [], ...vehicle }, place)?.mayBeLeft;
    expect(left({ waterBehaviour: 'beading' }, pure)).toBe(true);
    expect(left({ waterBehaviour: 'flat' }, pure)).toBe(false);
    const hard = { ...BAY, finalRinse: { ...BAY.washWater, tdsMgPerLitre: 31 } };
    expect(left({ waterBehaviour: 'beading' }, hard)).toBe(false);
    // What is put on by mitt is wiped.
    expect(left({ waterBehaviour: 'beading' }, pure, 'bay-rinse-rinseless')).toBe(false);
  });
});

describe('a round of several washes', () => {
  const foam = {
    id: 'foam',
    name: 'Foam',
    role: 'alkaline-pre-wash',
    inUsePh: 11,
    usualParts: 9,
    fewestParts: 4,
    mostParts: 20,
    capMl: 50,
    carMl: null,
    dwell: null,
    lowestWorkC: null,
    lowestStoreC: null,
    keptIn: 'van',
    bottleMl: 5000,
    leftMl: 5000,
    lowMl: 500,
    priceMinor: 4000,
    notes: '',
  } as const;
  const kit: Kit = { products: [foam], gear: [] };
  const bay = sheet(BAY, 'bay-contact', {}, -8, kit).preparation;
  const other = sheet(BAY, 'bay-touch-free', {}, -8, kit).preparation;

  it('mixes the same product once, and sums cloths, water and money', () => {
    const round = roundOf([bay, other, bay]);
    const mix = round.mixes.find((one) => one.mix.product?.id === 'foam');
    expect(mix).toMatchObject({ count: 3 });
    expect(mix?.productMl).toBeCloseTo(300, 6);
    expect(mix?.caps).toBeCloseTo(6, 6);
    expect(round.media.mitts).toBe(2 * bay.media.mitts + other.media.mitts);
    expect(round.bucketLitres).toBe(2 * (bay.water?.litres ?? NaN));
    const toPay = ({ money }: typeof bay) => money.visitMinor + money.meterMinor;
    expect(round.moneyMinor).toBe(2 * toPay(bay) + toPay(other));
  });

  it('packs what any of them wants, once, and tells the coldest', () => {
    const round = roundOf([other, bay]);
    expect(new Set(round.pack).size).toBe(round.pack.length);
    expect(round.pack).toEqual(expect.arrayContaining([...bay.pack, ...other.pack]));
    expect(round.windChillC).toBe(bay.cold.windChill.windChillC);
  });

  it('of none is nothing', () => {
    expect(roundOf([])).toMatchObject({ mixes: [], pack: [], moneyMinor: 0, windChillC: null });
  });
});

describe('freeze care after it', () => {
  it('is for this night alone', () => {
    const ids = (overnightC: number | null) =>
      sheet(BAY, 'bay-contact', {}, overnightC).freezeCare.map(({ id }) => id);
    expect(ids(3)).toEqual([]);
    expect(ids(-0.5)).toHaveLength(4);
    expect(ids(-9)).toHaveLength(7);
    expect(ids(null)).toHaveLength(7);
  });
});
