import type { SeasonJobId } from '../vehicle/index.js';
import type { RunState } from './run-state.js';

/**
 * Which of the work of the season that was planned was done?
 *
 * @returns that of which every step was done; all of it where the sheet does not tell it step by step
 */
export function doneWork(
  { steps }: Pick<RunState, 'steps'>,
  planned: readonly SeasonJobId[],
): readonly SeasonJobId[] {
  return planned.filter((id) =>
    steps.filter(({ step }) => step.jobId === id).every(({ state }) => state === 'done'),
  );
}
