import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE, type StageId, type VariantStep } from '../house-rules/index.js';
import { stepFix } from '../run/index.js';
import { inWay, type Method, shopMethod, stageFaults, stepKeys, wayOf, waysOf } from './index.js';

const METHOD_ID = 'bay-rinse-rinseless';
const keys = stepKeys(shopMethod(METHOD_ID, DEFAULT_HOUSE).steps);
/** Everything that the bay's water does. */
const AT_THE_BAY = ['rinse', 'arches', 'underbody-bounce', 'underbody-ramps'];
const withStages = (stages: Readonly<Record<string, StageId>>, order = keys): Method => {
  const steps = order.map((key): VariantStep => {
    const stage = stages[key];
    return { key, minutes: null, note: '', ...(stage ? { stage } : {}) };
  });
  return shopMethod(METHOD_ID, { ...DEFAULT_HOUSE, variants: { [METHOD_ID]: { steps, leftOut: [] } } });
};
const elsewhere = (method: Method): string[] =>
  waysOf(method).flatMap(({ id, isElsewhere }) => (isElsewhere ? [id] : []));
const driven = (method: Method): { here: string[]; there: string[] } => {
  const { steps } = inWay(method, wayOf(method, 'touch-elsewhere'), 5);
  const at = steps.findIndex(({ id }) => id === 'drive-on');
  const ids = (some: typeof steps): string[] => [...new Set(some.map(({ id }) => id))];
  return { here: ids(steps.slice(0, at)), there: ids(steps.slice(at + 1)) };
};

describe('where a step of a wash in two places is done', () => {
  it('is where the way has it, as long as the shop says nothing', () => {
    expect(driven(withStages({}))).toEqual({
      here: ['wheels', 'foam', ...AT_THE_BAY],
      there: ['rinseless', 'towel', 'shuts'],
    });
  });

  it('is the second place from the step on that the shop sends there', () => {
    const { here, there } = driven(withStages({ 'rinseless-0': 'first', 'towel-0': 'second' }));
    expect(here).toEqual(['wheels', 'foam', ...AT_THE_BAY, 'rinseless']);
    expect(there).toEqual(['towel', 'shuts']);
  });

  it('is the first place as long as the shop keeps something there', () => {
    expect(driven(withStages({ 'towel-0': 'first' })).there).toEqual(['shuts']);
  });

  it('goes by two panels in the second place only with what is done there', () => {
    const method = withStages({ 'rinseless-0': 'first' });
    const { steps, section } = inWay(method, wayOf(method, 'touch-elsewhere'), 5);
    expect(steps.filter(({ part }) => part)).toEqual([]);
    expect(section).toBe('whole-car');
    const usual = withStages({});
    const twoPanels = inWay(usual, wayOf(usual, 'touch-elsewhere'), 5);
    expect(twoPanels.section).toBe('two-panels');
    expect(twoPanels.steps.filter(({ id }) => id === 'rinseless').length).toBeGreaterThan(3);
  });

  it('takes as much water and product as in one place', () => {
    const litres = ({ steps }: Method): number => steps.reduce((sum, step) => sum + step.litres, 0);
    const method = withStages({ 'rinseless-0': 'first' });
    expect(litres(inWay(method, wayOf(method, 'touch-elsewhere'), 5))).toBeCloseTo(litres(method), 9);
  });

  it.each([
    [
      'an unrinsed car would be driven on',
      withStages({ 'rinse-0': 'second' }),
      [['rinse', 'not-rinsed-here'], ...AT_THE_BAY.map((id) => [id, 'needs-first-place'])],
    ],
    [
      'something behind the drive needs the bay',
      withStages({ 'rinseless-0': 'second' }, [
        'rinse-0',
        'arches-0',
        'underbody-ramps-0',
        'rinseless-0',
        'underbody-bounce-0',
      ]),
      [['underbody-bounce', 'needs-first-place']],
    ],
    [
      'one would have to drive back',
      withStages({ 'rinseless-0': 'second', 'towel-0': 'first' }),
      [['towel', 'driven-back']],
    ],
  ] as const)(
    'cannot be had where %s: named at the step, and it is done in one place',
    (_, method, named) => {
      expect(stageFaults(method).map(({ step, fault }) => [step.id, fault.kind])).toEqual(named);
      expect(elsewhere(method)).toEqual([]);
      expect(inWay(method, wayOf(method, 'touch-elsewhere'), 5).steps.map(({ id }) => id)).not.toContain(
        'drive-on',
      );
    },
  );

  it('is mended by leaving the place of that step to the way', () => {
    const [found] = stageFaults(withStages({ 'rinseless-0': 'second', 'towel-0': 'first' }));
    expect(found && stepFix(found.fault, found.step)).toEqual({ kind: 'any-place' });
    const needs = stageFaults(withStages({ 'rinse-0': 'second' })).at(-1);
    expect(needs && stepFix(needs.fault, needs.step)).toBeNull();
  });

  it('has no fault where nothing is said, or it can be had', () => {
    expect(stageFaults(withStages({}))).toEqual([]);
    expect(stageFaults(withStages({ 'rinseless-0': 'first', 'towel-0': 'second' }))).toEqual([]);
  });
});
