import { describe, expect, it } from '@jest/globals';
import type { DwellMoment, LiveStep, RunState } from '@keen/core';
import { liveStep, moment } from '../../testing/live.js';
import type { LiveRun } from './use-live-run.js';
import { carNow, visitNow } from './visit-view.js';

const DWELL = { minMinutes: 3, maxMinutes: 8, cutBy: null, cutAs: null, isTooShort: false } as const;
const groups = ['upper', 'lower'] as const;
const foam = (state: LiveStep['state']) => liveStep('foam', { minutes: 4, dwell: DWELL, groups }, { state });
const rinse = (state: LiveStep['state']) => liveStep('rinse', { groups }, { state });
const towel = (state: LiveStep['state']) => liveStep('towel', { groups, minutes: 6 }, { state });
const lies = (step: LiveStep, seconds: number): DwellMoment =>
  ({ step, earliestInSeconds: 60, latestInSeconds: seconds }) as DwellMoment;
const live = (steps: readonly LiveStep[], dwells: readonly DwellMoment[] = []): LiveRun => ({
  state: { phase: 'running', steps } as RunState,
  moment: moment({ dwells }),
  nowMs: 0,
});
const WAITS = live([foam('waiting'), rinse('waiting'), towel('waiting')]);

describe('a run as one of two', () => {
  it('counts what is done, leaves out what is skipped, and tells what lies there in minutes', () => {
    const steps = [foam('done'), rinse('skipped'), towel('running')];
    expect(carNow(live(steps, [lies(steps[0] as LiveStep, 300)]))).toMatchObject({
      steps: [{ id: 'foam' }, { id: 'towel' }],
      doneCount: 1,
      isAtWork: true,
      lying: [{ step: { id: 'foam' }, earliest: 1, latest: 5 }],
    });
  });
});

describe('where the hands are', () => {
  it('stay at the step at work, and say where they go when it is done', () => {
    const atWork = live([foam('running'), rinse('waiting'), towel('waiting')]);
    expect(visitNow([atWork, WAITS], 'meter').car).toBe(0);
    const foaming = foam('running');
    const laid = live([foaming, rinse('waiting'), towel('waiting')], [lies(foaming, 420)]);
    expect(visitNow([laid, WAITS], 'meter')).toEqual({ car: 0, then: 1 });
    expect(visitNow([laid, WAITS], 'all')).toEqual({ car: 0, then: 0 });
  });

  it('come back to what is due', () => {
    const foamed = foam('done');
    const due = live([foamed, rinse('waiting'), towel('waiting')], [lies(foamed, 30)]);
    expect(visitNow([due, WAITS], 'meter').car).toBe(0);
  });

  it('are nowhere when both are done', () => {
    const done = live([foam('done'), rinse('done'), towel('done')]);
    expect(visitNow([done, done], 'meter')).toEqual({ car: null, then: null });
  });
});
