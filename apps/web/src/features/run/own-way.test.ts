import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE, type StepFix, type WashStep } from '@keen/core';
import {
  addable,
  hasOwnDetails,
  movedBy,
  type OwnDetails,
  type OwnStep,
  ownSteps,
  variantFrom,
  withExtra,
} from './own-way.js';
import { stepErrors } from './own-way-errors.js';
import { withFix } from './own-way-fix.js';

describe('the shop’s own way in the editor', () => {
  const CAR = { delicateWheels: false };
  const steps = ownSteps('bay-contact', { house: DEFAULT_HOUSE }, CAR);
  const extra = (id: WashStep['id']): WashStep => {
    const found = addable('bay-contact', DEFAULT_HOUSE, CAR).find((step) => step.id === id);
    if (!found) throw new Error(`${id} cannot be added`);
    return found;
  };
  const asKept = (changed: readonly OwnStep[]) => ({
    ...DEFAULT_HOUSE,
    variants: { 'bay-contact': variantFrom(changed) },
  });

  it('opens as it was kept: order, minutes, notes, what is left out and what was added', () => {
    const [first, second] = steps;
    if (!first || !second) throw new Error('no steps');
    const changed = withExtra(
      movedBy(steps, first.key, 1).map((step) =>
        step.key === second.key ? { ...step, minutes: '9', note: ' slowly ' } : step,
      ),
      extra('iron'),
    ).map((step) => (step.id === 'shuts' ? { ...step, isLeftOut: true } : step));
    const again = ownSteps('bay-contact', { house: asKept(changed) }, CAR);
    expect(again.slice(0, 2).map(({ key }) => key)).toEqual([second.key, first.key]);
    expect(again[0]).toMatchObject({ minutes: 9, note: 'slowly' });
    expect(again.find(({ id }) => id === 'shuts')?.isLeftOut).toBe(true);
    expect(again.at(-1)).toMatchObject({ id: 'iron', isExtra: true });
    expect(withExtra(again, extra('iron')).at(-1)?.key).toBe('+iron-1');
  });

  it('puts a step of the method in once more, behind the last of its kind, and opens so again', () => {
    const twice = withExtra(withExtra(steps, extra('rinse')), extra('rinse'));
    expect(twice.filter(({ id }) => id === 'rinse').map(({ key }) => key)).toEqual([
      'rinse-0',
      '+rinse',
      '+rinse-1',
    ]);
    const at = twice.findIndex(({ id }) => id === 'rinse');
    expect(twice.slice(at, at + 3).map(({ id }) => id)).toEqual(['rinse', 'rinse', 'rinse']);
    expect(ownSteps('bay-contact', { house: asKept(twice) }, CAR)).toEqual(twice);
  });

  it('moves nothing beyond the ends, and names minutes that will not do', () => {
    expect(movedBy(steps, steps[0]?.key ?? '', -1)).toEqual(steps);
    const bad = steps.map((step, i) => (i === 0 ? { ...step, minutes: 0 } : step));
    expect(Object.keys(stepErrors(bad))).toEqual([steps[0]?.key]);
    expect(stepErrors(steps)).toEqual({});
  });

  const changed = (key: string, change: Partial<OwnDetails>): OwnStep[] =>
    steps.map((step) => (step.key === key ? { ...step, own: { ...step.own, ...change } } : step));
  const keptOf = (key: string, change: Partial<OwnDetails>) =>
    variantFrom(changed(key, change)).steps.find((step) => step.key === key);

  it('keeps of a step only what is not as it ships, and opens so again', () => {
    expect(keptOf('foam-0', {})).toEqual({ key: 'foam-0', minutes: null, note: '' });
    const change = {
      groups: ['lower', 'wheels'],
      litres: '2.5',
      dwellMin: 4,
      dwellMax: '6',
      section: 'one-side',
      stage: 'first',
      product: 'b',
      parts: 9,
    } as const;
    expect(keptOf('foam-0', change)).toEqual({
      key: 'foam-0',
      minutes: null,
      note: '',
      groups: ['lower', 'wheels'],
      litres: 2.5,
      dwell: { minMinutes: 4, maxMinutes: 6 },
      section: 'one-side',
      stage: 'first',
      product: 'b',
      parts: 9,
    });
    const again = ownSteps('bay-contact', { house: asKept(changed('foam-0', change)) }, CAR);
    const foam = again.find(({ key }) => key === 'foam-0');
    expect(foam?.own).toEqual({ ...change, litres: 2.5, dwellMax: 6 });
    expect(foam && hasOwnDetails(foam)).toBe(true);
    expect(steps.some(hasOwnDetails)).toBe(false);
  });

  it('opens with the steps of this wash alone before those of every wash', () => {
    const house = asKept(movedBy(steps, 'foam-0', 1));
    const once = variantFrom(changed('foam-0', { litres: 1 }));
    const opened = ownSteps('bay-contact', { house, chosen: once }, CAR);
    expect(opened.map(({ key }) => key)).toEqual(steps.map(({ key }) => key));
    expect(opened.find(({ key }) => key === 'foam-0')?.own.litres).toBe(1);
  });

  it.each([
    { change: { groups: [] }, field: 'groups' },
    { change: { litres: '' }, field: 'litres' },
    { change: { litres: 500.1 }, field: 'litres' },
    { change: { litres: 500 }, field: null },
    { change: { dwellMin: 3, dwellMax: '' }, field: 'dwell' },
    { change: { dwellMin: 3, dwellMax: 2 }, field: 'dwell' },
    { change: { dwellMin: 3, dwellMax: 3 }, field: null },
    { change: { dwellMin: '', dwellMax: '' }, field: null },
    { change: { parts: -1 }, field: 'parts' },
    { change: { parts: 5000 }, field: null },
  ] as const)('names $field where $change is typed', ({ change, field }) => {
    const errors = stepErrors(changed('foam-0', change))['foam-0'] ?? {};
    expect(Object.keys(errors)).toEqual(field === null ? [] : [field]);
  });

  it('is mended as the program suggests', () => {
    const extras = addable('bay-contact', DEFAULT_HOUSE, CAR);
    const mended = (fix: StepFix, key = 'foam-0') => withFix(steps, { key, fix }, extras);
    const around = (list: readonly OwnStep[]) => {
      const at = list.findIndex(({ key }) => key === 'foam-0');
      return [list[at - 1]?.key, list[at + 1]?.key];
    };
    expect(around(mended({ kind: 'rinse-behind' }))[1]).toBe('+rinse');
    expect(around(mended({ kind: 'rinse-before' }))[0]).toBe('+rinse');
    expect(mended({ kind: 'rinse-before' }, 'wheels-0')[0]?.key).toBe('+rinse');
    const rinse = mended({ kind: 'rinse-behind' }).find(({ key }) => key === '+rinse');
    expect(rinse?.own.groups).toEqual(steps.find(({ key }) => key === 'foam-0')?.own.groups);
    const foamOf = (list: readonly OwnStep[]) => list.find(({ key }) => key === 'foam-0');
    expect(foamOf(mended({ kind: 'weaken', parts: 4 }))?.own.parts).toBe(4);
    expect(foamOf(mended({ kind: 'leave-out' }))?.isLeftOut).toBe(true);
    const chosen = changed('foam-0', { product: 'b' });
    expect(
      foamOf(withFix(chosen, { key: 'foam-0', fix: { kind: 'own-choice' } }, extras))?.own.product,
    ).toBeNull();
  });
});

describe('the minutes of a step in the editor', () => {
  const [first] = ownSteps('bay-contact', { house: DEFAULT_HOUSE }, { delicateWheels: false });

  it.each([
    [0, true],
    [0.1, false],
    [240, false],
    [240.1, true],
    ['', true],
    ['seven', true],
  ])('%p are wrong: %p', (minutes, isWrong) => {
    const one = { ...first, key: 'k', minutes } as OwnStep;
    expect('k' in stepErrors([one])).toBe(isWrong);
    expect(stepErrors([{ ...one, isLeftOut: true }])).toEqual({});
  });
});
