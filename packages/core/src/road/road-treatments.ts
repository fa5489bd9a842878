import { MS_PER_HOUR } from '../quantity/index.js';
import { roundHours } from './likely-treatments.js';
import type { RoadClass, Treatment } from './treatment.js';

/** Between two bulletins no further apart than this, silence means that nothing was spread (judgement). */
const SERVED_HOURS = 36;

/**
 * What lies on a class of road: what was reported, and where nobody reported anything what was probably spread.
 *
 * @param recorded bulletins of past and announced rounds, in any order; of other classes too
 * @param likely rounds by the estimate
 * @returns both in order of time: an estimated round gives way to one that was reported within its interval, and between two bulletins
 * that follow each other the bulletins alone count
 */
export function roadTreatments(
  recorded: readonly Treatment[],
  likely: readonly Treatment[],
  roadClass: RoadClass,
): Treatment[] {
  const known = recorded
    .filter((treatment) => treatment.roadClass === roadClass)
    .sort((a, b) => a.atMs - b.atMs);
  const intervalMs = roundHours(roadClass) * MS_PER_HOUR;
  const isKnown = (atMs: number): boolean => {
    const before = known.findLast((treatment) => treatment.atMs <= atMs);
    const after = known.find((treatment) => treatment.atMs > atMs);
    const sinceMs = before ? atMs - before.atMs : Infinity;
    const untilMs = after ? after.atMs - atMs : Infinity;
    return Math.min(sinceMs, untilMs) < intervalMs || sinceMs + untilMs <= SERVED_HOURS * MS_PER_HOUR;
  };
  const estimated = likely.filter(
    (treatment) => treatment.roadClass === roadClass && !isKnown(treatment.atMs),
  );
  return [...known, ...estimated].sort((a, b) => a.atMs - b.atMs);
}
