import { expect, it } from '@jest/globals';
import type { WashStepId } from '../method/index.js';
import { SEASON_JOBS } from '../season/index.js';
import type { SeasonJobId } from '../vehicle/index.js';
import { workAmongSteps } from './work-among-steps.js';
import type { DoneWash } from './wash-effect.js';

const wash = (extras: SeasonJobId[], steps?: WashStepId[]): Pick<DoneWash, 'extras' | 'found'> => ({
  extras,
  found: steps
    ? ({ spots: 'none', run: { steps: steps.map((id) => ({ id })) } } as unknown as DoneWash['found'])
    : null,
});
const idsOf = (of: ReturnType<typeof wash>): SeasonJobId[] =>
  workAmongSteps(of, SEASON_JOBS).map(({ id }) => id);

it('is all that was done where there was no run', () => {
  expect(idsOf(wash(['underbody', 'polish']))).toEqual(['underbody', 'polish']);
  expect(idsOf(wash([]))).toEqual([]);
});

it('is of a run what its sheet told step by step', () => {
  expect(idsOf(wash(['underbody'], ['underbody-flush', 'foam', 'rinse']))).toEqual(['underbody']);
  // Sheets from before told it beside their steps.
  expect(idsOf(wash(['underbody'], ['foam', 'rinse', 'underbody-bounce']))).toEqual([]);
  expect(idsOf(wash(['decontaminate'], ['rinse', 'towel']))).toEqual([]);
});
