import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { inWay, shopMethod, type WashStep, wayOf } from '../method/index.js';
import { methodWith } from '../testing/shop.js';
import { byGroup } from '../vehicle/index.js';
import { type DoneWash, washEffect } from './index.js';

const START = Date.UTC(2026, 0, 14, 15);
const wash = (methodId: string, change: Partial<DoneWash> = {}): DoneWash => ({
  methodId,
  startMs: START,
  minutes: 50,
  extras: [],
  found: { spots: 'none' },
  ...change,
});
const effect = (of: DoneWash) => washEffect(of, methodWith(of.methodId));
/** As run: the steps that were done; all others of the method were skipped. */
const run = (methodId: string, ...done: string[]): Pick<DoneWash, 'found'> => {
  const left = [...done];
  const steps = shopMethod(methodId, DEFAULT_HOUSE).steps.map(({ id, minutes }) => {
    const at = left.indexOf(id);
    if (at >= 0) left.splice(at, 1);
    return { id, minutes, plannedMinutes: minutes, skipped: at >= 0 ? null : 'no-time' };
  });
  return { found: { spots: 'none', run: { steps } } };
};

/** The same in one of its ways, so many of its steps done. */
const runInParts = (wayId: string, isDone: (step: WashStep) => boolean): Pick<DoneWash, 'found'> => {
  const plain = shopMethod('bay-contact', DEFAULT_HOUSE);
  const steps = inWay(plain, wayOf(plain, wayId)).steps.map((step) => ({
    id: step.id,
    ...(step.part ? { part: step.part } : {}),
    minutes: step.minutes,
    plannedMinutes: step.minutes,
    skipped: isDone(step) ? null : 'no-time',
  }));
  return { found: { spots: 'none', run: { steps } } };
};

describe('what a wash done part by part changed', () => {
  const whole = shopMethod('bay-contact', DEFAULT_HOUSE).removes;
  const removed = (wayId: string, isDone: (step: WashStep) => boolean) =>
    effect(wash('bay-contact', runInParts(wayId, isDone))).removes;

  it.each(['touch-two-panels', 'soap-one-side', 'touch-one-side-rinse'])(
    '%s, all of it: what its method does',
    (wayId) => {
      const found = removed(wayId, () => true);
      expect(found.upper).toBeCloseTo(whole.upper, 9);
      expect(found.lower).toBeCloseTo(whole.lower, 9);
    },
  );

  it('takes less off where the hand came to some parts only', () => {
    const some = removed('touch-two-panels', ({ id, part }) => id !== 'contact' || part === 'top');
    const none = removed('touch-two-panels', ({ id }) => id !== 'contact');
    expect(some.upper).toBeLessThan(whole.upper);
    expect(some.upper).toBeGreaterThan(none.upper);
  });

  it('counts the rinse of the whole car in full, whatever was left out of those that warm a part', () => {
    const found = removed('touch-two-panels-rinse', ({ id, part }) => id !== 'rinse' || part === undefined);
    expect(found.upper).toBeCloseTo(whole.upper, 9);
  });
});

describe('what a done wash changed', () => {
  it('is all that its method does, where it was logged without a run, from its end on', () => {
    const found = effect(wash('bay-contact'));
    expect(found).toMatchObject({
      atMs: START + 50 * 60_000,
      isWash: true,
      contact: true,
      stripped: [],
      laid: [],
    });
    expect(found.removes).toEqual(shopMethod('bay-contact', DEFAULT_HOUSE).removes);
  });

  it('is nothing where its run did nothing', () => {
    const found = effect(wash('strip-reseal', { ...run('strip-reseal'), extras: ['re-coat'] }));
    expect(found).toMatchObject({
      isWash: false,
      contact: false,
      stripped: [],
      laid: [],
      extras: [],
      phOn: null,
    });
    expect(found.removes).toEqual(byGroup(() => 0));
  });

  it('is what the steps that were done took off, and no more', () => {
    const { removes, contact } = effect(wash('bay-contact', run('bay-contact', 'foam', 'rinse')));
    expect(contact).toBe(false);
    expect(removes.upper).toBeCloseTo(1 - 0.5 * 0.18, 9);
    expect(removes.lower).toBeCloseTo(1 - 0.55 * 0.2, 9);
    expect(removes.arches).toBe(0);
    expect(removes.under).toBe(0);
  });

  it.each([
    { done: ['wheels', 'arches'], isWash: false, why: 'nothing of the body' },
    { done: ['foam'], isWash: false, why: 'foam takes 0.95 of 1.97 off upper and lower body: under half' },
    { done: ['final-rinse', 'foam'], isWash: true, why: 'and a rinse behind it: over half' },
    { done: ['contact'], isWash: true, why: 'a hand over the whole body' },
  ])('counts for the cadence $isWash: $why', ({ done, isWash }) => {
    expect(effect(wash('bay-contact', run('bay-contact', ...done))).isWash).toBe(isWash);
  });

  it('brought the soap that was put on, and water alone where none was', () => {
    const ph = (...done: string[]) =>
      effect(wash('touchless-automatic', run('touchless-automatic', ...done))).phOn?.upper;
    expect(effect(wash('touchless-automatic')).phOn?.upper).toBe(12.5);
    expect(ph('machine-soak')).toBe(12.5);
    expect(ph('machine-jets')).toBe(7);
  });

  it('brought each group what met it, the strongest of several', () => {
    // The wheel cleaner went on the wheels alone, the pre-wash on all of the body and the wheels.
    expect(effect(wash('bay-contact')).phOn).toEqual({
      upper: 11,
      lower: 11,
      wheels: 11,
      arches: 7,
      under: 7,
    });
    expect(effect(wash('bay-contact', run('bay-contact', 'wheels', 'contact'))).phOn).toEqual({
      upper: 7.5,
      lower: 7.5,
      wheels: 8.5,
      arches: 7,
      under: 7,
    });
    expect(effect(wash('bay-contact', run('bay-contact'))).phOn).toBeNull();
  });

  it('never counts an in-between flush as a wash', () => {
    expect(effect(wash('salt-flush')).isWash).toBe(false);
    expect(effect(wash('salt-flush')).removes.under).toBeGreaterThan(0.7);
  });

  it('strips and coats by the steps, the bottle and the work of the season', () => {
    expect(effect(wash('strip-reseal'))).toMatchObject({
      stripped: ['upper', 'lower'],
      laid: [{ kind: 'sealant', productName: null, groups: ['upper', 'lower'] }],
    });
    const half = effect(wash('strip-reseal', run('strip-reseal', 'pre-soak', 'strip', 'rinse')));
    expect(half).toMatchObject({ stripped: ['upper', 'lower'], laid: [] });
    const told = { kind: 'wax', productName: 'Winter wax', groups: ['upper'] } as const;
    expect(effect(wash('strip-reseal', { found: { spots: 'few', laid: [told] } }))).toMatchObject({
      laid: [told],
      isSpotted: true,
    });
    expect(effect(wash('pre-coating', { extras: ['re-coat'] })).laid).toMatchObject([{ kind: 'coating' }]);
    expect(effect(wash('pre-coating')).laid).toEqual([]);
  });

  it('tells what water did afterwards, by zone', () => {
    const found = { spots: 'none', behaviour: { windscreen: 'sheeting', left: 'flat' } } as const;
    expect(effect(wash('bay-contact', { found })).seen).toEqual([
      { zone: 'glass', behaviour: 'sheeting' },
      { zone: 'upper-left', behaviour: 'flat' },
    ]);
  });
});
