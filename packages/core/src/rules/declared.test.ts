import { describe, expect, it } from '@jest/globals';
import { inUsualWay, METHODS } from '../method/index.js';
import { SITE_RULES } from '../place/index.js';
import { BAY, DRIVE, HEATED_UNIT, houseWith, methodWith, VEHICLE, WATER } from '../testing/shop.js';
import { byGroup, CAR_ZONE_IDS, PROTECTIONS } from '../vehicle/index.js';
import type { WaterOutcome } from '../wash/index.js';
import { hashUnit } from '../weather/index.js';
import {
  DEFAULT_LIMITS,
  type Finding,
  type FindingLevel,
  judgeAll,
  type LimitId,
  LIMITS,
  type Rule,
  RULES,
  type SiteWindow,
  type Situation,
  weatherFailure,
} from './index.js';

const HOW_MANY = 3000;
/** Decides through the water that is worked through with it, before any rule is asked. */
const IN_THE_WATER: LimitId = 'productGramsPerM2';

/** Dice that fall the same in every run. */
function dice(seed: number) {
  let n = 0;
  const next = (): number => hashUnit(seed, (n += 1));
  const within = (from: number, to: number): number => from + (to - from) * next();
  const some = (share: number): boolean => next() < share;
  const oneOf = <T>(values: readonly T[]): T => {
    const value = values[Math.floor(next() * values.length)];
    if (value === undefined) throw new Error('nothing to choose from');
    return value;
  };
  return { within, some, oneOf };
}

function anySite({ within, some, oneOf }: ReturnType<typeof dice>): SiteWindow {
  const airTempC = within(-25, 15);
  return {
    open: some(0.9) ? { kind: 'open', minutesLeft: within(0, 400) } : { kind: 'closed' },
    lightLeftMinutes: some(0.9) ? within(-60, 300) : null,
    lightAtStart: some(0.8),
    queueMinutes: oneOf([0, 5, 25]),
    dryRoadHours: some(0.8) ? within(0, 60) : null,
    windChillC: some(0.9) ? airTempC - within(0, 15) : null,
    airTempC,
    mostPrecipMm: some(0.6) ? 0 : within(0, 3),
    coldestNearbyC: airTempC - within(0, 6),
    coldestNext12hC: airTempC - within(0, 10),
  };
}

function anyWater({ within, some }: ReturnType<typeof dice>): WaterOutcome {
  const wait = (longest: number) => ({
    minutes: some(0.8) ? within(0, longest) : null,
    needed: within(0.5, 20),
    step: null,
  });
  const dries = () => ({ ...wait(60), filmGramsPerM2: within(20, 300), warmestC: within(-5, 60) });
  const dimmestWm2 = within(0, 300);
  return {
    ice: { panel: 'roof', ...wait(40) },
    dry: { panel: 'bonnet', ...dries() },
    dryGlass: some(0.8) ? { panel: 'windscreen', ...dries() } : null,
    coldest: { panel: 'roof', tempC: within(-20, 10) },
    product: { panel: 'left', ...wait(30) },
    label: some(0.8) ? { panel: 'left', ...wait(12) } : null,
    sun: { panel: 'left', brightestWm2: dimmestWm2 + within(0, 500), dimmestWm2 },
  };
}

/** Some situation, sensible in its parts and odd as a whole. */
function anySituation(seed: number): Situation {
  const thrown = dice(seed);
  const { within, some, oneOf } = thrown;
  const place = {
    ...oneOf([BAY, DRIVE, HEATED_UNIT]),
    hasDrain: some(0.5),
    hasLight: some(0.5),
    tap: oneOf(['none', 'frost-shut', 'always'] as const),
    forbids: some(0.5) ? [] : [oneOf(SITE_RULES)],
    mostMinutes: some(0.5) ? null : within(5, 200),
    finalRinse: some(0.5) ? { ...WATER, tdsMgPerLitre: within(0, 400) } : null,
    methods: some(0.9) ? METHODS.map(({ id }) => ({ methodId: id, priceMinor: 0 })) : [],
  };
  const protection = oneOf(PROTECTIONS);
  const isProtected = protection !== 'bare';
  const house = houseWith({
    afterSnow: oneOf(['weigh', 'dry-roads', 'never-beyond']),
    sun: oneOf(['wet-edge', 'never']),
    halfSun: oneOf(['sunny-first', 'shade-only']),
    drying: oneOf(['blow-and-towel', 'towel', 'blower']),
  });
  return {
    vehicle: {
      ...VEHICLE,
      protection,
      paintTone: oneOf(['black', 'white']),
      protections: isProtected
        ? [
            {
              zone: oneOf(CAR_ZONE_IDS),
              kind: protection,
              appliedMs: null,
              claimedLifeDays: null,
              observed: null,
            },
          ]
        : [],
    },
    place,
    method: inUsualWay(methodWith(oneOf(METHODS).id, { house, vehicle: { ...VEHICLE, protection } })),
    limits: DEFAULT_LIMITS,
    house,
    soil: byGroup(() => Math.floor(within(0, 6))),
    overnightC: some(0.8) ? within(-15, 8) : null,
    site: some(0.9) ? anySite(thrown) : null,
    water: some(0.9) ? anyWater(thrown) : null,
    failedFraction: some(0.5) ? within(0, 1) : undefined,
  };
}

const SITUATIONS = Array.from({ length: HOW_MANY }, (_, i) => anySituation(i + 1));

/** Notes which fields of it are read. */
function watched<T extends object>(target: T, note: (field: string) => void): T {
  return new Proxy(target, {
    get: (of, field, receiver) => {
      if (typeof field === 'string') note(field);
      return Reflect.get(of, field, receiver) as unknown;
    },
  });
}

/** A situation that notes what a rule reads of it: parts by their fields, the rest by name. */
function watchedSituation(situation: Situation, reads: Set<string>): Situation {
  const part = <T extends object>(name: string, value: T): T =>
    watched(value, (field) => reads.add(`${name}.${field}`));
  const { house, site, water } = situation;
  const parts: Situation = {
    ...situation,
    vehicle: part('vehicle', situation.vehicle),
    place: part('place', situation.place),
    method: part('method', situation.method),
    limits: part('limits', situation.limits),
    house: { choices: part('house', house.choices) },
    site: site && part('site', site),
    water: water && part('water', water),
  };
  return watched(parts, (field) => {
    if (field === 'soil' || field === 'overnightC' || field === 'failedFraction') reads.add(field);
  });
}

const readBy = new Map(
  RULES.map((rule) => {
    const reads = new Set<string>();
    for (const situation of SITUATIONS) rule.judge(watchedSituation(situation, reads));
    return [rule.id, reads];
  }),
);

describe('what a rule says that it reads', () => {
  it.each(RULES)('$id: is all that it reads, and it reads all of it', ({ id, reads, limits }) => {
    const found = [...(readBy.get(id) ?? [])].sort();
    expect(found.filter((field) => !field.startsWith('limits.'))).toEqual([...reads].sort());
    expect(found.filter((field) => field.startsWith('limits.'))).toEqual(
      limits
        .filter((limit) => limit !== IN_THE_WATER)
        .map((limit) => `limits.${limit}`)
        .sort(),
    );
  });

  it.each(LIMITS.filter(({ id }) => id !== IN_THE_WATER))(
    '$id: moves some finding between its ends',
    ({ id, min, max }) => {
      const at = (value: number) => ({ ...DEFAULT_LIMITS, [id]: value });
      const owners = RULES.filter(({ limits }) => limits.some((limit: LimitId) => limit === id));
      const moves = owners.some((rule) =>
        SITUATIONS.some((situation) => {
          const low = rule.judge({ ...situation, limits: at(min) });
          const high = rule.judge({ ...situation, limits: at(max) });
          return low.level !== high.level;
        }),
      );
      expect(moves).toBe(true);
    },
  );
});

/** Every finding on every situation that a test holds to be wrong: empty, or the first few in words. */
const wrong = (isWrong: (finding: Finding, situation: Situation, rule: Rule) => boolean): string[] =>
  SITUATIONS.flatMap((situation, i) =>
    RULES.flatMap((rule) => {
      const finding = rule.judge(situation);
      return isWrong(finding, situation, rule) ? `situation ${i + 1}: ${JSON.stringify(finding)}` : [];
    }),
  ).slice(0, 5);

describe('any situation', () => {
  it('is beyond the limit where it is blocked, and ranked as such', () => {
    expect(
      wrong(
        ({ level, margin, comfort }) => level === 'block' && (comfort > 0 || (margin !== null && margin > 0)),
      ),
    ).toEqual([]);
  });

  it('has a remedy only where something is to be done, and never on a clear finding', () => {
    expect(wrong(({ level, remedy }) => remedy !== undefined && level === 'clear')).toEqual([]);
  });

  it('is answered by each rule under its own name', () => {
    expect(wrong(({ ruleId }, _situation, { id }) => ruleId !== id)).toEqual([]);
  });

  it('is unknown only where something is missing', () => {
    expect(
      wrong(
        ({ level }, { site, water, overnightC }) =>
          level === 'unknown' &&
          site !== null &&
          water !== null &&
          overnightC !== null &&
          site.dryRoadHours !== null,
      ),
    ).toEqual([]);
  });

  it('keeps the shown figure, its limit and its margin in one sum', () => {
    expect(
      wrong(({ actual, limit, margin }) => {
        if (typeof actual !== 'number' || limit === undefined || margin === null) return false;
        return Math.abs(Math.abs(actual - limit) - Math.abs(margin)) > 1e-9;
      }),
    ).toEqual([]);
  });

  it('fails in the weather only if some rule blocks or does not know', () => {
    const failing = SITUATIONS.filter((situation) => weatherFailure(situation) !== null);
    expect(failing.length).toBeGreaterThan(HOW_MANY / 10);
    expect(failing.every((situation) => ['no', 'unknown'].includes(judgeAll(situation).standing))).toBe(true);
  });
});

/** Kinder weather in one respect. */
const KINDER: readonly { what: string; change: (situation: Situation) => Partial<Situation> }[] = [
  {
    what: 'ice ten minutes later',
    change: ({ water }) => ({
      water: water && {
        ...water,
        ice: { ...water.ice, minutes: water.ice.minutes && water.ice.minutes + 10 },
      },
    }),
  },
  {
    what: 'dry ten minutes later',
    change: ({ water }) => ({
      water: water && {
        ...water,
        dry: { ...water.dry, minutes: water.dry.minutes && water.dry.minutes + 10 },
        dryGlass: water.dryGlass && {
          ...water.dryGlass,
          minutes: water.dryGlass.minutes && water.dryGlass.minutes + 10,
        },
      },
    }),
  },
  {
    what: 'two kelvin warmer at the tap and on the ground',
    change: ({ site }) => ({
      site: site && {
        ...site,
        coldestNearbyC: site.coldestNearbyC + 2,
        coldestNext12hC: site.coldestNext12hC + 2,
      },
    }),
  },
  { what: 'a milder night', change: ({ overnightC }) => ({ overnightC: overnightC && overnightC + 3 }) },
  {
    what: 'no rain or snow',
    change: ({ site }) => ({ site: site && { ...site, mostPrecipMm: 0 } }),
  },
  {
    what: 'less soil',
    change: ({ soil }) => ({ soil: byGroup((group) => Math.max(0, soil[group] - 1)) }),
  },
  {
    what: 'half an hour longer open',
    change: ({ site }) => ({
      site: site && {
        ...site,
        open:
          site.open.kind === 'open' ? { kind: 'open', minutesLeft: site.open.minutesLeft + 30 } : site.open,
      },
    }),
  },
  {
    what: 'fewer members against it',
    change: ({ failedFraction }) => ({
      failedFraction: failedFraction === undefined ? undefined : failedFraction / 2,
    }),
  },
];

const GRAVITY: readonly FindingLevel[] = ['clear', 'condition', 'unknown', 'block'];

describe('what is kinder', () => {
  it.each(KINDER)('$what never makes a finding graver', ({ change }) => {
    expect(
      wrong(({ level }, situation, rule) => {
        const kinder = rule.judge({ ...situation, ...change(situation) }).level;
        return GRAVITY.indexOf(kinder) > GRAVITY.indexOf(level);
      }),
    ).toEqual([]);
  });
});
