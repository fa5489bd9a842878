import type { Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import { type Extras, NO_EXTRAS, type SeasonJobRow } from '../season/index.js';
import { washCost } from './wash-cost.js';

/** What work of the season adds to a visit: the wash with it, less the wash alone. */
export function visitExtras(
  work: readonly SeasonJobRow[],
  { place, alone, whole }: { readonly place: Place; readonly alone: Method; readonly whole: Method },
): Extras {
  if (work.length === 0) return NO_EXTRAS;
  return {
    jobIds: work.map(({ id }) => id),
    minutes: whole.minutes - alone.minutes,
    costMinor: washCost(place, whole).totalMinor - washCost(place, alone).totalMinor,
    worthMinor: work.reduce((sum, { worthMinor }) => sum + worthMinor, 0),
  };
}
