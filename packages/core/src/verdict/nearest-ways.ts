import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import type { Band, Cell } from './band.js';

/** A start instead of one that does not go. */
export interface NearWay extends Pick<Cell, 'wayId' | 'verdict' | 'limiting'> {
  readonly placeId: string;
  readonly methodId: string;
  /** When it begins, its delay within the hour included. */
  readonly startMs: number;
}

/** What was wanted: where and how, where that is known, and when. */
export interface Wanted {
  readonly placeId: string | null;
  readonly methodId: string | null;
  readonly startMs: number;
}

/** How many hours of waiting another place, or another method, is thought to be worth (judgement). */
const PLACE_HOURS = 3;
const METHOD_HOURS = 2;
const NEAREST = 3;

const goes = ({ verdict }: Pick<Cell, 'verdict'>): boolean => verdict === 'go' || verdict === 'go-if';

const wayAt = (
  { placeId, methodId }: Band,
  { startMs, delayMinutes, wayId, verdict, limiting }: Cell,
): NearWay => ({
  placeId,
  methodId,
  startMs: startMs + delayMinutes * MS_PER_MINUTE,
  wayId,
  verdict,
  limiting,
});

/** How far it is from what was wanted, in hours. */
function bother(way: NearWay, { placeId, methodId, startMs }: Wanted): number {
  return (
    Math.abs(way.startMs - startMs) / MS_PER_HOUR +
    (placeId !== null && way.placeId !== placeId ? PLACE_HOURS : 0) +
    (methodId !== null && way.methodId !== methodId ? METHOD_HOURS : 0)
  );
}

/**
 * Where a start does not go: which other starts come nearest to it?
 *
 * @param bands of the car, cells in the order of time
 * @param halves what can be done of the car where all of it cannot
 * @returns at most three, one of each place and method: those that go, the least bother first; where there are fewer, what is nearest to
 * its limit at that hour, with what is missing
 */
export function nearestWays(
  bands: readonly Band[],
  wanted: Wanted,
  halves: readonly NearWay[] = [],
): NearWay[] {
  const fromMs = Math.floor(wanted.startMs / MS_PER_HOUR) * MS_PER_HOUR;
  const going = bands
    .flatMap((band): NearWay[] => {
      const ahead = band.cells.filter((cell) => goes(cell) && cell.startMs >= fromMs);
      const [first] = ahead;
      return first ? [wayAt(band, first)] : [];
    })
    .concat(halves)
    .toSorted((a, b) => bother(a, wanted) - bother(b, wanted));
  const misses = bands
    .flatMap((band): NearWay[] => {
      const cell = band.cells.find(({ startMs }) => startMs === fromMs);
      return cell && cell.verdict !== 'unknown' && !goes(cell) ? [wayAt(band, cell)] : [];
    })
    .filter((way) => !going.some((one) => one.placeId === way.placeId && one.methodId === way.methodId))
    .toSorted((a, b) => b.limiting.comfort - a.limiting.comfort);
  return [...going, ...misses].slice(0, NEAREST);
}
