import type { LiveStep, RunMoment, RunStep } from '@keen/core';

/** A step of a live run that waits, but for what is given. */
export const liveStep = (
  id: RunStep['id'],
  change: Partial<RunStep> = {},
  live: Partial<LiveStep> = {},
): LiveStep => ({
  key: `${id}-0`,
  step: {
    id,
    groups: ['upper'],
    part: null,
    direction: null,
    fromMinute: 0,
    minutes: 4,
    litres: 0,
    onMeter: false,
    stopsMeter: false,
    dwell: null,
    mix: null,
    note: '',
    faults: [],
    reason: 'gaps-hold-water',
    cautions: [],
    ...change,
  },
  state: 'waiting',
  span: null,
  skipped: null,
  meterRun: null,
  ...live,
});

/** A meter that runs: 3.00 paid of 6.00, 1:40 left of it. */
export const METER = {
  isOn: true,
  paidMinor: 300,
  runSeconds: 60,
  leftSeconds: 100,
  nextMinor: 50,
  estimateMinor: 600,
};

/** An instant of a live run at which nothing is going on, but for what is given. */
export const moment = (change: Partial<RunMoment> = {}): RunMoment => ({
  current: null,
  next: null,
  isPaused: false,
  stepSeconds: 0,
  dwells: [],
  meter: null,
  edges: [],
  drift: null,
  ...change,
});
