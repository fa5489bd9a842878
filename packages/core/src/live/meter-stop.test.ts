import { describe, expect, it } from '@jest/globals';
import type { RunStep } from '../run/index.js';
import { type LiveStep, meterStopsWith } from './index.js';

const ON = [{ fromMs: 0, toMs: null }];

/** A step of a paid run (null: off the meter), which the sheet stops the meter behind or not. */
const step = (
  key: string,
  meterRun: number | null,
  change: Partial<LiveStep> & { stops?: boolean } = {},
): LiveStep => ({
  key,
  step: { onMeter: meterRun !== null, stopsMeter: change.stops ?? false } as RunStep,
  state: 'waiting',
  span: null,
  skipped: null,
  meterRun,
  ...change,
});

/** Rinse and arches in a first paid run, a stop behind it; a wash by hand; then the last rinse. */
const wash = (
  states: Readonly<Partial<Record<string, LiveStep['state']>>>,
  stopsBehindFirst = true,
): LiveStep[] =>
  [
    step('rinse', 0),
    step('arches', 0, { stops: stopsBehindFirst }),
    step('contact', null),
    step('last', 1, { stops: true }),
  ].map((one) => ({ ...one, state: states[one.key] ?? one.state }));

describe('whether the meter has to be stopped', () => {
  it.each([
    { why: 'not in the middle of a paid run', key: 'rinse', states: {}, stops: false },
    { why: 'at the end of one, as the sheet says', key: 'arches', states: { rinse: 'done' }, stops: true },
    {
      why: 'where the end of the run was done first, behind what is left of it',
      key: 'rinse',
      states: { arches: 'done' },
      stops: true,
    },
    { why: 'where the end of the run is skipped', key: 'arches', states: { rinse: 'done' }, stops: true },
    {
      why: 'never by a step off the meter',
      key: 'contact',
      states: { rinse: 'done', arches: 'done' },
      stops: false,
    },
    {
      why: 'behind the last paid step',
      key: 'last',
      states: { rinse: 'done', arches: 'done', contact: 'done' },
      stops: true,
    },
    {
      why: 'behind the last paid step, though others off the meter wait',
      key: 'last',
      states: { rinse: 'done', arches: 'skipped' },
      stops: true,
    },
  ] as const)('$why', ({ key, states, stops }) => {
    expect(meterStopsWith({ steps: wash(states), meter: ON }, key)).toBe(stops);
  });

  it('runs on between two paid runs where that is cheaper', () => {
    expect(meterStopsWith({ steps: wash({ rinse: 'done' }, false), meter: ON }, 'arches')).toBe(false);
  });

  it('has nothing to stop where it is off, or there is no such step', () => {
    const steps = wash({ rinse: 'done', arches: 'done', contact: 'done' });
    expect(meterStopsWith({ steps, meter: [{ fromMs: 0, toMs: 9 }] }, 'last')).toBe(false);
    expect(meterStopsWith({ steps, meter: ON }, 'none')).toBe(false);
  });
});
