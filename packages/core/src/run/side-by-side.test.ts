import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { RunStep, StepDwell } from './index.js';
import { type CarNow, HOLDS, sideBySide, turnOf } from './index.js';

const step = (
  id: RunStep['id'],
  minutes: number,
  dwell: readonly [number, number] | null = null,
): RunStep => ({
  id,
  part: null,
  groups: ['upper', 'lower'],
  direction: null,
  fromMinute: 0,
  minutes,
  litres: 0,
  onMeter: false,
  stopsMeter: false,
  dwell:
    dwell &&
    ({
      minMinutes: dwell[0],
      maxMinutes: dwell[1],
      cutBy: null,
      cutAs: null,
      isTooShort: false,
    } satisfies StepDwell),
  mix: null,
  note: '',
  faults: [],
  reason: 'gaps-hold-water',
  cautions: [],
});

const FOAMED = [step('foam', 4, [3, 8]), step('rinse', 4), step('contact', 18), step('towel', 6)];
const orderOf = ({ steps }: ReturnType<typeof sideBySide>) =>
  steps.map(({ car, step: { id } }) => `${car} ${id}`);

/** Minutes against one car after the other. */
const saved = (first: readonly RunStep[], second: readonly RunStep[]): number =>
  sideBySide(first, []).minutes + sideBySide([], second).minutes - sideBySide(first, second).minutes;

describe('two cars side by side', () => {
  it('are both foamed before the first is rinsed, and what has lain longest comes off first', () => {
    const shared = sideBySide(FOAMED, FOAMED);
    expect(orderOf(shared).slice(0, 4)).toEqual(['0 foam', '1 foam', '0 rinse', '1 rinse']);
    expect(shared.steps.every(({ overMinutes }) => overMinutes === 0)).toBe(true);
    expect(saved(FOAMED, FOAMED)).toBeGreaterThan(0);
  });

  it('do not begin what would let the other’s product dry on', () => {
    const slow = [step('contact', 18), step('towel', 6)];
    const shared = sideBySide(FOAMED, slow);
    expect(shared.steps.every(({ overMinutes }) => overMinutes === 0)).toBe(true);
    expect(orderOf(shared).indexOf('0 rinse')).toBeLessThan(orderOf(shared).indexOf('1 contact'));
  });

  it('are interleaved though the wheels were cleaned first: foam over them keeps them wet', () => {
    const bay = [step('wheels', 4, [1, 4]), ...FOAMED];
    const shared = sideBySide(bay, bay);
    expect(orderOf(shared).slice(0, 6)).toEqual([
      '0 wheels',
      '0 foam',
      '1 wheels',
      '1 foam',
      '0 rinse',
      '1 rinse',
    ]);
    expect(shared.steps.every(({ overMinutes }) => overMinutes === 0)).toBe(true);
    expect(saved(bay, bay)).toBeGreaterThan(2);
  });

  it('say where a product lies too long whatever the order', () => {
    const hasty = [step('foam', 4, [3, 4]), step('blow', 9), step('rinse', 4)];
    expect(sideBySide(hasty, hasty).steps.some(({ overMinutes }) => overMinutes > 0)).toBe(true);
  });

  it('never leave a meter running for the other car', () => {
    const paid = (id: RunStep['id'], minutes: number): RunStep => ({ ...step(id, minutes), onMeter: true });
    const bay = [
      step('foam', 4, [3, 20]),
      paid('rinse', 4),
      paid('arches', 2),
      paid('final-rinse', 1),
      step('towel', 6),
    ];
    const order = orderOf(sideBySide(bay, bay));
    for (const car of [0, 1]) {
      const at = order.indexOf(`${car} rinse`);
      expect(order.slice(at, at + 3)).toEqual([`${car} rinse`, `${car} arches`, `${car} final-rinse`]);
    }
    // Where the meter is stopped in between, the other car may come first.
    const stopped = bay.map((one) => (one.id === 'rinse' ? { ...one, stopsMeter: true } : one));
    const shared = orderOf(sideBySide(stopped, stopped));
    expect(shared.indexOf('1 rinse')).toBeLessThan(shared.indexOf('0 arches'));
  });

  it('are one after the other where there is only one', () => {
    const shared = sideBySide(FOAMED, []);
    expect(shared.steps.map(({ step: { id } }) => id)).toEqual(['foam', 'rinse', 'contact', 'towel']);
  });

  it('keep each car’s own order, never overlap, and never take longer than one after the other', () => {
    const any = fc.array(
      fc.record({
        id: fc.constantFrom(
          'foam' as const,
          'rinse' as const,
          'wheels' as const,
          'contact' as const,
          'blow' as const,
        ),
        minutes: fc.integer({ min: 1, max: 20 }),
        dwells: fc.boolean(),
        onMeter: fc.boolean(),
      }),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(any, any, (a, b) => {
        const [first, second] = [a, b].map((rows) =>
          rows.map(({ id, minutes, dwells, onMeter }) => ({
            ...step(id, minutes, dwells ? [2, 6] : null),
            onMeter,
          })),
        ) as [RunStep[], RunStep[]];
        const { steps } = sideBySide(first, second);
        expect(steps.filter(({ car }) => car === 0).map((one) => one.step)).toEqual(first);
        expect(steps.filter(({ car }) => car === 1).map((one) => one.step)).toEqual(second);
        steps.forEach(({ fromMinute }, i) => {
          const before = steps[i - 1];
          if (before) expect(fromMinute).toBeGreaterThanOrEqual(before.fromMinute + before.minutes - 1e-9);
        });
        expect(saved(first, second)).toBeGreaterThanOrEqual(-1e-9);
        const isLeft = steps.some(({ car, step: one }, i) => {
          const own = car === 0 ? first : second;
          const goesOn = one.onMeter && own[own.indexOf(one) + 1]?.onMeter;
          return goesOn && steps[i + 1]?.car !== car;
        });
        expect(isLeft).toBe(false);
      }),
      { numRuns: 200 },
    );
  });

  it('are held from their first water to the towel where wet is held, and wholly where all is', () => {
    const order = orderOf(sideBySide(FOAMED, FOAMED, 'wet'));
    // Foam on the second would lie through all of the first's water.
    expect(order).toEqual([
      '0 foam',
      '0 rinse',
      '0 contact',
      '0 towel',
      '1 foam',
      '1 rinse',
      '1 contact',
      '1 towel',
    ]);
    const all = orderOf(sideBySide(FOAMED, FOAMED, 'all'));
    expect(all.slice(0, FOAMED.length).every((one) => one.startsWith('0'))).toBe(true);
    const minutes = HOLDS.map((hold) => sideBySide(FOAMED, FOAMED, hold).minutes);
    expect(minutes.toSorted((a, b) => a - b)).toEqual(minutes);
  });
});

describe('whose turn it is', () => {
  const car = (change: Partial<CarNow> = {}): CarNow => ({
    steps: FOAMED,
    doneCount: 0,
    isAtWork: false,
    lying: [],
    ...change,
  });
  const [foam] = FOAMED;
  if (!foam) throw new Error('no foam');
  const foamed = (latest: number) => car({ doneCount: 1, lying: [{ step: foam, earliest: 1, latest }] });

  it('stays with the car that is being worked on', () => {
    expect(turnOf([car(), car({ isAtWork: true })], 'meter')).toEqual({
      car: 1,
      isHeld: true,
      otherDueMinutes: null,
    });
  });

  it('goes to the car that can be worked on while foam dwells, and back to what is due', () => {
    expect(turnOf([foamed(7), car()], 'meter')).toEqual({ car: 1, isHeld: false, otherDueMinutes: 7 });
    expect(turnOf([foamed(0.5), car()], 'meter')).toMatchObject({ car: 0 });
    expect(turnOf([foamed(2), foamed(5)], 'meter')).toEqual({ car: 0, isHeld: false, otherDueMinutes: 5 });
  });

  it('stays with a wet car where wet is held, and goes on to the other once it is wiped', () => {
    expect(turnOf([car({ doneCount: 2 }), foamed(3)], 'wet')).toMatchObject({ car: 0, isHeld: true });
    expect(turnOf([car({ doneCount: 2 }), foamed(3)], 'meter')).toMatchObject({ car: 1, isHeld: false });
    expect(turnOf([car({ doneCount: 4 }), foamed(3)], 'wet')).toMatchObject({ car: 1 });
  });

  it('is nobody’s when both are done', () => {
    const done = car({ doneCount: FOAMED.length });
    expect(turnOf([done, done], 'meter')).toBeNull();
  });
});
