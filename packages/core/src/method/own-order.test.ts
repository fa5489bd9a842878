import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE, type Variant } from '../house-rules/index.js';
import { addableSteps, extraKey, extraOf, EXTRA_STEPS, shopMethod, stepKeys } from './index.js';

const PLAIN = shopMethod('bay-contact', DEFAULT_HOUSE);
const EXTRA_IDS = EXTRA_STEPS.map(({ id }) => id);
const KEYS = stepKeys(PLAIN.steps);
const told = (key: string, minutes: number | null = null, note = '') => ({ key, minutes, note });
const withVariant = (variant: Variant) =>
  shopMethod('bay-contact', { ...DEFAULT_HOUSE, variants: { 'bay-contact': variant } });
const idsOf = ({ steps }: typeof PLAIN) => steps.map(({ id }) => id);

describe('the shop’s own way of a method', () => {
  it('is the method itself where everything is as shipped, or nothing is changed', () => {
    const keyed = PLAIN.steps.map((step, i) => ({ ...step, key: KEYS[i] }));
    const asIs = { ...PLAIN, steps: keyed, plainSteps: keyed };
    const isSame = (variant: Variant): void => {
      const { steps, ...figures } = withVariant(variant);
      const { steps: asShipped, plainSteps: _, ...others } = asIs;
      expect(figures).toEqual(others);
      expect(steps).toEqual(asShipped);
    };
    isSame({ steps: KEYS.map((key) => told(key)), leftOut: [] });
    isSame({ steps: [], leftOut: [] });
  });

  it('moves steps, changes minutes and notes, and all figures follow', () => {
    const reversed = KEYS.toReversed().map((key, i) =>
      told(key, i === 0 ? 9 : null, i === 0 ? 'slowly' : ''),
    );
    const method = withVariant({ steps: reversed, leftOut: [] });
    expect(idsOf(method)).toEqual(idsOf(PLAIN).toReversed());
    expect(method.steps[0]).toMatchObject({ minutes: 9, note: 'slowly' });
    expect(method.minutes).toBeCloseTo(PLAIN.minutes + 9 - (PLAIN.steps.at(-1)?.minutes ?? 0), 9);
  });

  const only = (key: string, own: object) =>
    withVariant({ steps: [{ ...told(key), ...own }], leftOut: [] }).steps.find((step) => step.key === key);
  const foam = PLAIN.steps.find(({ id }) => id === 'foam');

  it('does a step on other zones, and takes nothing off where it no longer reaches', () => {
    expect(foam?.removes).toMatchObject({ upper: 0.5, lower: 0.45, wheels: 0.2 });
    expect(only('foam-0', { groups: ['lower', 'arches'] })).toMatchObject({
      groups: ['lower', 'arches'],
      removes: { lower: 0.45 },
    });
    const method = withVariant({ steps: [{ ...told('foam-0'), groups: ['lower'] }], leftOut: [] });
    expect(method.removes.upper).toBeLessThan(PLAIN.removes.upper);
    expect(method.removes.lower).toBeCloseTo(PLAIN.removes.lower, 9);
  });

  it('has its own litres, bottle and strength at one step', () => {
    expect(only('foam-0', { litres: 2.5, product: 'strong', parts: 9 })).toMatchObject({
      litres: 2.5,
      hasOwnLitres: true,
      ownBottle: 'strong',
      ownParts: 9,
    });
    expect(only('foam-0', {})).not.toHaveProperty('ownParts');
  });

  it('dwells as long as the shop says, and takes so much longer, unless the shop says its minutes too', () => {
    const dwell = { minMinutes: 5, maxMinutes: 10 };
    const own = only('foam-0', { dwell });
    expect(own).toMatchObject({ dwell, hasOwnDwell: true });
    expect(own?.minutes).toBeCloseTo((foam?.minutes ?? 0) + 5 - (foam?.dwell?.minMinutes ?? 0), 9);
    expect(only('foam-0', { dwell, minutes: 6 })?.minutes).toBe(6);
    expect(only('foam-0', { dwell: { minMinutes: 0, maxMinutes: 1 } })?.minutes).toBeGreaterThanOrEqual(0.5);
  });

  it('leaves steps out, with what they take off', () => {
    const method = withVariant({
      steps: [],
      leftOut: ['arches-0', 'underbody-bounce-0', 'underbody-ramps-0'],
    });
    expect(idsOf(method)).not.toContain('arches');
    expect(method.removes.under).toBe(0);
  });

  it('adds steps where it tells them', () => {
    const steps = [told('wheels-0'), told(extraKey('iron'), 6), told('foam-0')];
    const ids = idsOf(withVariant({ steps, leftOut: [] }));
    expect(ids.slice(0, 3)).toEqual(['wheels', 'iron', 'foam']);
    expect(ids).toHaveLength(KEYS.length + 1);
  });

  it('adds one step as often as it tells it, and one of its own once more', () => {
    const [first = '', ...others] = KEYS;
    const steps = [
      told(extraKey('rinse')),
      told(first),
      told(extraKey('rinse', 1), 2, 'the wheels'),
      told(extraKey('iron')),
      told(extraKey('iron', 1)),
      ...others.map((key) => told(key)),
    ];
    const method = withVariant({ steps, leftOut: [] });
    expect(idsOf(method).slice(0, 5)).toEqual(['rinse', 'wheels', 'rinse', 'iron', 'iron']);
    expect(method.steps[2]).toMatchObject({ minutes: 2, note: 'the wheels', onMeter: true });
    const rinse = PLAIN.steps.find(({ id }) => id === 'rinse');
    expect(method.litres).toBeCloseTo(PLAIN.litres + 2 * (rinse?.litres ?? 0) + 1, 9);
    expect(method.meterSeconds).toBeCloseTo(PLAIN.meterSeconds + 60 * ((rinse?.minutes ?? 0) + 2), 9);
    // What it takes off is that of the whole wash.
    expect(method.removes).toEqual(PLAIN.removes);
  });

  it('adds nothing that a machine does, nor a second strip', () => {
    const idsFor = (methodId: string): string[] =>
      addableSteps(shopMethod(methodId, DEFAULT_HOUSE).steps).map(({ id }) => id);
    expect(idsFor('touchless-automatic')).toEqual(EXTRA_IDS);
    expect(idsFor('strip-reseal')).not.toContain('strip');
    expect(idsFor('bay-contact')).toEqual(
      expect.arrayContaining([...EXTRA_IDS, 'rinse', 'foam', 'wheels', 'towel']),
    );
    expect(extraOf('+machine-jets', shopMethod('touchless-automatic', DEFAULT_HOUSE).steps)).toBeUndefined();
  });

  it('passes over what no step has, and keeps a step that a house rule adds later where it belongs', () => {
    const variant = { steps: KEYS.map((key) => told(key)), leftOut: ['gone-3'] };
    const house = {
      ...DEFAULT_HOUSE,
      choices: { ...DEFAULT_HOUSE.choices, strip: 'strip' as const },
      variants: { 'bay-contact': { ...variant, steps: [told('nowhere-0'), ...variant.steps] } },
    };
    const plainIds = idsOf(shopMethod('bay-contact', { ...house, variants: {} }));
    expect(idsOf(shopMethod('bay-contact', house))).toEqual(plainIds);
  });
});

describe('a charge port', () => {
  it('is dried where a car has one and hands are at the car', () => {
    const electric = { delicateWheels: false, hasChargePort: true };
    expect(idsOf(shopMethod('bay-contact', DEFAULT_HOUSE, electric)).at(-1)).toBe('charge-port');
    expect(idsOf(shopMethod('bay-contact', DEFAULT_HOUSE))).not.toContain('charge-port');
    expect(idsOf(shopMethod('touchless-automatic', DEFAULT_HOUSE, electric))).not.toContain('charge-port');
  });
});
