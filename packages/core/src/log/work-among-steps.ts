import { SEASON_STEPS, type SeasonJobRow } from '../season/index.js';
import type { DoneWash } from './wash-effect.js';

/** Work of the season among the steps of a done wash: of a run, what stood in its sheet; older sheets told it beside their steps. */
export const workAmongSteps = (
  { extras, found }: Pick<DoneWash, 'extras' | 'found'>,
  rows: readonly SeasonJobRow[],
): SeasonJobRow[] =>
  rows.filter(
    ({ id }) =>
      extras.includes(id) &&
      (!found?.run || SEASON_STEPS[id].every((step) => found.run?.steps.some((done) => done.id === step.id))),
  );
