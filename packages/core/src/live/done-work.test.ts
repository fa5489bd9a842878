import { expect, it } from '@jest/globals';
import type { SeasonJobId } from '../vehicle/index.js';
import { doneWork } from './done-work.js';
import type { LiveStep, RunState } from './run-state.js';

const step = (state: LiveStep['state'], jobId?: SeasonJobId): LiveStep =>
  ({ state, step: { id: 'underbody-flush', jobId } }) as unknown as LiveStep;
const of = (...steps: LiveStep[]): Pick<RunState, 'steps'> => ({ steps });

it.each([
  { why: 'every step of it', steps: [step('done', 'underbody'), step('skipped')], done: ['underbody'] },
  {
    why: 'none where one was skipped',
    steps: [step('done', 'underbody'), step('skipped', 'underbody')],
    done: [],
  },
  {
    why: 'none where one is still to come',
    steps: [step('done', 'underbody'), step('waiting', 'underbody')],
    done: [],
  },
  { why: 'all of it where the sheet tells no steps of it', steps: [step('done')], done: ['underbody'] },
] as const)('work that was planned is done: $why', ({ steps, done }) => {
  expect(doneWork(of(...steps), ['underbody'])).toEqual(done);
});

it('work that was not planned is none', () => {
  expect(doneWork(of(step('done', 'underbody')), [])).toEqual([]);
});
