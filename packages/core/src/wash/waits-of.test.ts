import { describe, expect, it } from '@jest/globals';
import type { Method, WashStep, WashStepId } from '../method/index.js';
import { type TrackEvent, waitsOf } from './waits-of.js';

const IDS: readonly WashStepId[] = [
  'foam',
  'rinse',
  'contact',
  'final-rinse',
  'blow',
  'towel',
  'machine-blower',
  'pre-soak',
];
const method = (kind: 'wiped' | 'left' = 'wiped'): Pick<Method, 'steps' | 'minutes' | 'drying'> => ({
  steps: IDS.map((id) => ({ id }) as WashStep),
  minutes: 60,
  drying: kind === 'left' ? { kind, filmFraction: 0.25 } : { kind, by: 'blow-and-towel' },
});
const at = (
  atMinute: number,
  id: WashStepId,
  kind: 'wet' | 'blow' | 'wipe',
  rubs = kind === 'wipe',
): TrackEvent => {
  const deed =
    kind === 'wet'
      ? ({ kind, filmKg: 0.1, passesKg: 1, waterTempC: 30 } as const)
      : kind === 'blow'
        ? ({ kind, leavesFraction: 0.1 } as const)
        : ({ kind, leavesKg: 0.003 } as const);
  return { atMinute, deed, rubs, step: IDS.indexOf(id) };
};

describe('how long what a wetting leaves has to wait', () => {
  it('water that more water comes to waits for nothing; the last one waits until it is wiped', () => {
    const events = [
      at(4, 'rinse', 'wet'),
      at(9, 'final-rinse', 'wet'),
      at(12, 'blow', 'blow'),
      at(20, 'towel', 'wipe'),
    ];
    expect(waitsOf(method(), events)).toEqual([
      { event: 0, toTouch: null, toOff: null, watchMinutes: 60, isLast: false },
      { event: 1, toTouch: 11, toOff: null, watchMinutes: 22, isLast: true },
    ]);
  });

  it('a hand that wets it rubs what lay there before', () => {
    const events = [at(4, 'rinse', 'wet'), at(10, 'contact', 'wet', true), at(15, 'final-rinse', 'wet')];
    const [first, second] = waitsOf(method(), events);
    expect(first).toMatchObject({ toTouch: 6, watchMinutes: 12, isLast: false });
    // The mitt leaves soap, which the last rinse takes off.
    expect(second).toMatchObject({ toTouch: null, toOff: 5, watchMinutes: 15, isLast: false });
  });

  it('what was wiped waits no more, whatever comes after', () => {
    const events = [at(4, 'final-rinse', 'wet'), at(7, 'towel', 'wipe'), at(30, 'towel', 'wipe')];
    expect(waitsOf(method(), events)[0]).toMatchObject({ toTouch: 3, isLast: true });
  });

  it('a blower alone is the hand that comes', () => {
    expect(waitsOf(method(), [at(4, 'final-rinse', 'wet'), at(9, 'blow', 'blow')])[0]?.toTouch).toBe(5);
  });

  it('a product is off when it is rinsed, or wiped where it may be; else at the end', () => {
    const rinsed = [at(2, 'foam', 'wet'), at(6, 'rinse', 'wet')];
    expect(waitsOf(method(), rinsed)[0]).toMatchObject({ toOff: 4, toTouch: null });
    const wiped = [at(2, 'pre-soak', 'wet'), at(8, 'towel', 'wipe')];
    expect(waitsOf(method(), wiped)[0]).toMatchObject({ toOff: 6, toTouch: 6 });
    // Foam wants water; a towel only smears it.
    const smeared = [at(2, 'foam', 'wet'), at(8, 'towel', 'wipe')];
    expect(waitsOf(method(), smeared)[0]).toMatchObject({ toOff: 58, toTouch: 6 });
    expect(waitsOf(method(), [at(2, 'foam', 'wet')])[0]).toMatchObject({ toOff: 58, isLast: true });
    const blown = [at(2, 'pre-soak', 'wet'), at(8, 'blow', 'blow')];
    expect(waitsOf(method(), blown)[0]).toMatchObject({ toOff: 58 });
  });

  it.each([
    // Twice as long as it waits, a label’s longest at least for a product, an hour at most.
    { events: [at(0, 'final-rinse', 'wet'), at(10, 'towel', 'wipe')], watch: 20 },
    { events: [at(0, 'final-rinse', 'wet'), at(40, 'towel', 'wipe')], watch: 60 },
    { events: [at(0, 'final-rinse', 'wet')], watch: 60 },
    { events: [at(0, 'foam', 'wet'), at(3, 'rinse', 'wet')], watch: 15 },
    { events: [at(0, 'foam', 'wet'), at(9, 'rinse', 'wet')], watch: 18 },
    { events: [at(0, 'foam', 'wet'), at(40, 'rinse', 'wet')], watch: 60 },
  ])('is watched $watch minutes', ({ events, watch }) => {
    expect(waitsOf(method(), events)[0]?.watchMinutes).toBe(watch);
  });

  it('a machine leaves the rest: its blower comes to nothing, and what it leaves is the last', () => {
    const events = [at(4, 'rinse', 'wet'), at(9, 'machine-blower', 'blow')];
    expect(waitsOf(method('left'), events)).toEqual([
      { event: 0, toTouch: null, toOff: null, watchMinutes: 60, isLast: false },
      { event: 1, toTouch: null, toOff: null, watchMinutes: 60, isLast: true },
    ]);
    // Where somebody dries it, a blower leaves nothing to itself.
    expect(waitsOf(method(), events)).toMatchObject([{ event: 0, toTouch: 5, isLast: true }]);
  });

  it('only the last blower of a machine leaves the rest', () => {
    const events = [at(2, 'machine-blower', 'blow'), at(4, 'rinse', 'wet'), at(9, 'machine-blower', 'blow')];
    expect(waitsOf(method('left'), events).map(({ event, isLast }) => [event, isLast])).toEqual([
      [1, false],
      [2, true],
    ]);
  });
});
