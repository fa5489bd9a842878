import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import {
  DEFAULT_HOUSE,
  HOUSE_NUMBERS,
  HOUSE_RULES,
  type HouseChoices,
  type HouseNumbers,
  type HouseRules,
} from '../house-rules/index.js';
import { dueState } from '../plan/index.js';
import { DEFAULT_LIMITS, RULES, type Situation } from '../rules/index.js';
import { CLEAN } from '../soil/index.js';
import { BAY, DRIVE, methodWith, VEHICLE } from '../testing/shop.js';
import { BODY_CLASSES, ZONE_GROUPS } from '../vehicle/index.js';
import { hashUnit } from '../weather/index.js';
import { inWay, type Method, METHOD_NEEDS, METHODS, shopMethod, waysOf } from './index.js';

/** A shop that holds to some school in each question; the same for the same seed. */
function anyHouse(seed: number): HouseRules {
  let n = 0;
  const next = (): number => hashUnit(seed, (n += 1));
  const choices = HOUSE_RULES.map(({ id, options }) => [
    id,
    options[Math.floor(next() * options.length)]?.id ?? options[0].id,
  ]);
  const numbers = HOUSE_NUMBERS.map(({ id, min, max }) => [id, Math.round(min + next() * (max - min))]);
  return {
    choices: Object.fromEntries(choices) as HouseChoices,
    numbers: Object.fromEntries(numbers) as HouseNumbers,
  };
}

const HOUSES = Array.from({ length: 300 }, (_, i) => anyHouse(i + 1));
const WAYS: readonly { house: HouseRules; method: Method }[] = HOUSES.flatMap((house, i) =>
  METHODS.flatMap(({ id }) =>
    [false, true].map((delicateWheels) => ({
      house,
      method: shopMethod(id, house, { delicateWheels, bodyClass: BODY_CLASSES[i % BODY_CLASSES.length] }),
    })),
  ),
);
const named = (wrong: readonly { house: HouseRules; method: Method }[]): string[] =>
  wrong.slice(0, 3).map(({ method, house }) => `${method.id} ${JSON.stringify(house.choices)}`);
const wrong = (isWrong: (method: Method, house: HouseRules) => boolean): string[] =>
  named(WAYS.filter(({ method, house }) => isWrong(method, house)));
/** Every third of them in every way in which it can be done. */
const CUT = WAYS.filter((_, i) => i % 3 === 0).flatMap(({ house, method }) =>
  waysOf(method).map((way) => ({ house, method, way, cut: inWay(method, way) })),
);

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;

describe('a method in any house', () => {
  it('takes as long as its steps and setting up, and hands no longer than that', () => {
    expect(
      wrong(
        ({ minutes, setUpMinutes, steps, handsMinutes }) =>
          !near(minutes, setUpMinutes + sum(steps.map((step) => step.minutes))) || handsMinutes > minutes,
      ),
    ).toEqual([]);
  });

  it('uses the water of its steps and pays for the minutes on the meter', () => {
    expect(
      wrong(({ litres, steps, meterSeconds }) => {
        const paid = steps.filter(({ onMeter }) => onMeter).map(({ minutes }) => minutes * 60);
        return !near(litres, sum(steps.map((step) => step.litres))) || Math.abs(meterSeconds - sum(paid)) > 1;
      }),
    ).toEqual([]);
  });

  it('takes off between nothing and all of each group, no more than its steps can', () => {
    expect(
      wrong(({ removes, steps }) =>
        ZONE_GROUPS.some((group) => {
          const left = steps.reduce((share, step) => share * (1 - (step.removes[group] ?? 0)), 1);
          return !(removes[group] >= 0 && removes[group] <= 1 && near(removes[group], 1 - left));
        }),
      ),
    ).toEqual([]);
  });

  it('touches the paint exactly if a step does', () => {
    expect(wrong(({ contact, steps }) => contact !== steps.some((step) => step.contact))).toEqual([]);
  });

  it('does no step twice running, and each with time and a dwell that can be kept', () => {
    expect(
      wrong(({ steps }) => {
        const ids = steps.map(({ id, groups }) => `${id} ${groups.join()}`);
        const odd = steps.some(
          ({ minutes, dwell }) => !(minutes > 0) || (dwell && dwell.minMinutes > dwell.maxMinutes),
        );
        return odd || ids.some((id, i) => id === ids[i - 1]);
      }),
    ).toEqual([]);
  });

  it('loses no step, no litre and no surface, in whichever way it is cut up', () => {
    const asWhole = ({ steps }: Method, id: string) => {
      const same = steps.filter((step) => step.id === id);
      return {
        count: same.length,
        litres: same.reduce((sum, { litres }) => sum + litres, 0),
        minutes: same.reduce((sum, { minutes }) => sum + minutes, 0),
      };
    };
    const loses = ({ method, way, cut }: (typeof CUT)[number]): boolean =>
      way.only === null &&
      method.steps.some(({ id }) => {
        const [before, after] = [asWhole(method, id), asWhole(cut, id)];
        const isDearer = way.before !== null || way.section !== method.usualSection;
        return (
          after.count < before.count ||
          after.litres < before.litres - 0.02 ||
          after.minutes < before.minutes - 0.02 ||
          (!isDearer && Math.abs(after.minutes - before.minutes) > 0.02)
        );
      });
    expect(named(CUT.filter(loses))).toEqual([]);
  });

  it('goes round part by part: each part is dry before the next is wetted', () => {
    const comesBack = ({ cut }: (typeof CUT)[number]): boolean => {
      const parts = cut.steps.map(({ part }) => part).filter((part) => part !== undefined);
      const turns = parts.filter((part, i) => part !== parts[i - 1]);
      return new Set(turns).size !== turns.length;
    };
    expect(named(CUT.filter(comesBack))).toEqual([]);
    expect(CUT.some(({ cut }) => cut.steps.some(({ part }) => part !== undefined))).toBe(true);
  });

  it('needs what is known and no thing twice, and costs nothing below zero', () => {
    expect(
      wrong(
        ({ needs, productMinor, media }) =>
          needs.some((need) => !METHOD_NEEDS.includes(need)) ||
          new Set(needs).size !== needs.length ||
          productMinor < 0 ||
          Object.values(media).some((count: number) => count < 0),
      ),
    ).toEqual([]);
  });
});

/** A bright half-sunny bay on roads that get wet in two hours. */
const SUNNY: Omit<Situation, 'house' | 'method'> = {
  vehicle: VEHICLE,
  place: BAY,
  limits: DEFAULT_LIMITS,
  soil: CLEAN,
  overnightC: -6,
  site: {
    open: { kind: 'open', minutesLeft: 300 },
    lightLeftMinutes: 200,
    lightAtStart: true,
    queueMinutes: 0,
    dryRoadHours: 2,
    windChillC: 2,
    airTempC: 4,
    mostPrecipMm: 0,
    coldestNearbyC: 2,
    coldestNext12hC: 1,
  },
  water: {
    ice: { panel: 'roof', minutes: null, needed: 9, step: 'final-rinse' },
    dry: { panel: 'left', minutes: 30, needed: 9, step: 'final-rinse', filmGramsPerM2: 100, warmestC: 20 },
    dryGlass: null,
    coldest: { panel: 'roof', tempC: 4 },
    product: { panel: 'left', minutes: 9, needed: 4, step: 'foam' },
    label: { panel: 'left', minutes: 8, needed: 4, step: 'foam' },
    sun: { panel: 'left', brightestWm2: 600, dimmestWm2: 60 },
  },
};

/** All that a shop's schools can move: its methods, what the rules find, and when a car is due. */
function trace(house: HouseRules): string {
  const days = (count: number): number => count * 24 * MS_PER_HOUR;
  const methods = METHODS.flatMap(({ id }) => [
    methodWith(id, { house, vehicle: { ...VEHICLE, delicateWheels: false } }),
    methodWith(id, { house, vehicle: { ...VEHICLE, delicateWheels: true } }),
  ]);
  const findings = methods.flatMap((method) =>
    [BAY, DRIVE].flatMap((place) => RULES.map((rule) => rule.judge({ ...SUNNY, place, method, house }))),
  );
  const due = [3, 12, 40].map((ago) =>
    dueState(
      { kind: 'days', used: ago, most: 14, everyDays: 14, dueMs: days(100 - ago + 14) },
      {
        nowMs: days(100),
        isLastWashKnown: true,
        lastWashMs: days(100 - ago),
        lastContactMs: days(100 - ago),
        knownSinceMs: 0,
      },
      house,
    ),
  );
  return JSON.stringify([methods, findings, due]);
}

describe('a school', () => {
  const withChoice = (id: string, choice: string, numbers: Partial<HouseNumbers> = {}): HouseRules => ({
    choices: { ...DEFAULT_HOUSE.choices, [id]: choice },
    numbers: { ...DEFAULT_HOUSE.numbers, ...numbers },
  });
  const OTHERS = HOUSE_RULES.flatMap(({ id, options }) =>
    options.slice(1).map((option) => ({ id, first: options[0].id, other: option.id })),
  );

  it.each(OTHERS)('of $id that says $other moves something', ({ id, first, other }) => {
    const kits: Partial<HouseNumbers>[] = [
      { mittsOwned: 2, foldedTowelsOwned: 4 },
      { mittsOwned: 20, foldedTowelsOwned: 40 },
    ];
    const moves = kits.some((kit) => trace(withChoice(id, first, kit)) !== trace(withChoice(id, other, kit)));
    expect(moves).toBe(true);
  });

  const NUMBERS = [
    { id: 'neverBeyondDays', school: ['afterSnow', 'never-beyond'] },
    { id: 'contactEveryDays', school: ['cadence', 'mixed'] },
    { id: 'mittsOwned', school: ['buckets', 'by-kit'] },
    { id: 'foldedTowelsOwned', school: ['rinselessBy', 'by-kit'] },
  ] as const;

  it.each(NUMBERS)('$id counts between its ends for those who go by it', ({ id, school }) => {
    const row = HOUSE_NUMBERS.find((number) => number.id === id);
    const [rule, choice] = school;
    expect(trace(withChoice(rule, choice, { [id]: row?.min }))).not.toBe(
      trace(withChoice(rule, choice, { [id]: row?.max })),
    );
  });
});
