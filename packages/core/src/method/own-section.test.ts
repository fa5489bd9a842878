import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE, type VariantStep } from '../house-rules/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { BAY, methodWith, VEHICLE } from '../testing/shop.js';
import { SECTION_IDS, type SectionId } from '../vehicle/index.js';
import { tracksOf } from '../wash/index.js';
import { hashUnit } from '../weather/index.js';
import {
  goesByParts,
  halvesIn,
  inUsualWay,
  inWay,
  type Method,
  METHODS,
  partHolds,
  partsMeet,
  partsOf,
  piecesOf,
  sectionOfPart,
  shopMethod,
  stepKeys,
  type WashStep,
  waysOf,
} from './index.js';

const METHOD_ID = 'bay-contact';
const keys = stepKeys(shopMethod(METHOD_ID, DEFAULT_HOUSE).steps);
const told = (sections: Readonly<Record<string, SectionId>>): Method => {
  const steps = keys.map((key): VariantStep => ({
    key,
    minutes: null,
    note: '',
    ...(sections[key] ? { section: sections[key] } : {}),
  }));
  return shopMethod(METHOD_ID, { ...DEFAULT_HOUSE, variants: { [METHOD_ID]: { steps, leftOut: [] } } });
};
const plain = inUsualWay(told({}));
const namesOf = (steps: readonly WashStep[]): string[] =>
  steps.map(({ id, part }) => (part ? `${id} ${part}` : id));
const sum = (steps: readonly WashStep[], of: 'minutes' | 'litres'): number =>
  steps.reduce((total, step) => total + step[of], 0);

describe('a step with a section of its own', () => {
  it('is done part by part, the rest of the wash as before, with the same water and the time of changing sides', () => {
    const cut = inUsualWay(told({ 'foam-0': 'one-side' }));
    const at = plain.steps.findIndex(({ id }) => id === 'foam');
    expect(namesOf(cut.steps)).toEqual(
      namesOf(plain.steps).toSpliced(at, 1, 'foam left-side', 'foam right-side'),
    );
    expect(sum(cut.steps, 'litres')).toBeCloseTo(sum(plain.steps, 'litres'), 9);
    expect(cut.minutes).toBeCloseTo(plain.minutes + 0.2, 6);
    expect(cut.removes).toEqual(plain.removes);
  });

  it('goes round with those beside it that have the same, and not with those that have another', () => {
    const together = inUsualWay(
      told({ 'foam-0': 'one-side', 'pre-soak-0': 'one-side', 'rinse-0': 'one-side' }),
    );
    const round = namesOf(together.steps).filter((name) => name.endsWith('-side'));
    const own = plain.steps.filter(({ id }) => ['pre-soak', 'foam', 'rinse'].includes(id));
    const beside = own.filter(
      (step, i) => plain.steps.indexOf(step) === plain.steps.indexOf(own[0] as WashStep) + i,
    );
    const expected = ['left-side', 'right-side'].flatMap((side) => beside.map(({ id }) => `${id} ${side}`));
    expect(beside.length).toBeGreaterThan(1);
    expect(round.slice(0, expected.length)).toEqual(expected);
    const apart = namesOf(
      inUsualWay(told({ [`${beside[0]?.id}-0`]: 'one-side', [`${beside[1]?.id}-0`]: 'two-panels' })).steps,
    );
    expect(apart.filter((name) => name.startsWith(`${beside[0]?.id} `))).toHaveLength(2);
    expect(apart.filter((name) => name.startsWith(`${beside[1]?.id} `)).length).toBeGreaterThan(2);
    expect(apart.indexOf(`${beside[1]?.id} top`)).toBe(apart.indexOf(`${beside[0]?.id} right-side`) + 1);
  });

  it('means nothing where the step does not go over the body', () => {
    expect(namesOf(inUsualWay(told({ 'wheels-0': 'one-panel' })).steps)).toEqual(namesOf(plain.steps));
  });

  it('leaves soap less long on each panel than the whole car does', () => {
    const longest = (method: Method): number => {
      const foam = method.steps.flatMap(({ id }, i) => (id === 'foam' ? [i] : []));
      return Math.max(
        ...tracksOf({ vehicle: VEHICLE, place: BAY, method }, DEFAULT_LIMITS).map(({ events }) => {
          const soaped = events.findIndex(({ step }) => foam.includes(step));
          return (events[soaped + 1]?.atMinute ?? NaN) - (events[soaped]?.atMinute ?? NaN);
        }),
      );
    };
    const section = Object.fromEntries(keys.map((key) => [key, 'one-side'] as const));
    expect(longest(inUsualWay(told(section)))).toBeLessThan(longest(plain));
  });
});

describe('any steps with any sections, in every way of every method', () => {
  const cuts = METHODS.flatMap(({ id }, m) =>
    [1, 2, 3].flatMap((seed) => {
      const shipped = methodWith(id);
      const steps = shipped.steps.map((step, i): WashStep => {
        const ownSection = SECTION_IDS[Math.floor(hashUnit(seed * 100 + m, i) * (SECTION_IDS.length + 1))];
        return { ...step, key: `step-${i}`, ...(ownSection ? { ownSection } : {}) };
      });
      const method = { ...shipped, steps };
      return waysOf(method)
        .filter(({ only, before }) => only === null && before === null)
        .map((way) => ({ id, way, steps, cut: inWay(method, way) }));
    }),
  );

  it('are each done once on each half of each panel, with the same water and product and no less time', () => {
    expect(cuts.length).toBeGreaterThan(100);
    for (const { id, way, steps, cut } of cuts)
      for (const step of steps) {
        const done = cut.steps.filter(({ key }) => key === step.key);
        const what = `${id}, ${way.id}, ${step.id}`;
        expect([what, sum(done, 'litres').toFixed(6)]).toEqual([what, step.litres.toFixed(6)]);
        expect(sum(done, 'minutes')).toBeGreaterThan(step.minutes - 1e-6);
        if (!goesByParts(step)) continue;
        const pieces = done.flatMap(({ part }) =>
          piecesOf(part ?? 'whole-car').flatMap(({ panel }) =>
            halvesIn(part, panel).map((half) => `${panel} ${half}`),
          ),
        );
        expect([what, new Set(pieces).size]).toEqual([what, pieces.length]);
      }
  });
});

describe('parts of different sections', () => {
  it.each([
    ['left-side', 'left-flank', true],
    ['left-side', 'right-flank', false],
    ['left-side', 'top', true],
    ['left-side', 'right-side', false],
    ['left-ahead', 'left-behind', false],
    ['nose', 'bonnet', true],
    ['whole-car', 'boot', true],
    [null, 'boot', true],
  ] as const)('%s and %s meet: %s', (a, b, meet) => {
    expect(partsMeet(a, b)).toBe(meet);
    expect(partsMeet(b, a)).toBe(meet);
  });

  it.each([
    ['left-side', 'left-ahead', true],
    ['left-ahead', 'left-side', false],
    ['left-side', 'top', false],
    ['top', 'windscreen', true],
    ['right-side', 'left-ahead', false],
    [null, 'roof', true],
    ['whole-car', null, true],
    ['roof', null, false],
  ] as const)('%s holds all of %s: %s', (whole, part, holds) => {
    expect(partHolds(whole, part)).toBe(holds);
  });

  it('belong to the section that has them', () => {
    for (const section of SECTION_IDS)
      for (const { id } of partsOf(section)) expect(sectionOfPart(id)).toBe(section);
  });
});
