import { type SaltLedger, type SaltReading, type SaltWash, runLedger } from './ledger.js';
import type { CompiledHour } from './compile-life.js';

/** One reading against what the plain ledger held there. */
export interface ReadingCheck extends SaltReading {
  readonly expectedGramsPerM2: number;
}

export interface LearntPickUp {
  /** Pick-up of this vehicle against the plain ledger, 0.2–5. */
  readonly factor: number;
  /** Readings that the factor rests on. */
  readonly count: number;
  readonly checks: readonly ReadingCheck[];
}

/** The plain ledger counts as this many readings, so that one odd swab does not turn it over (judgement). */
const PRIOR_READINGS = 1;
const LEAST_FACTOR = 0.2;
const MOST_FACTOR = 5;
/** Less than this on either side is dust and noise; nothing is learnt from it. */
const LEAST_GRAMS_PER_M2 = 0.05;

/**
 * How much more or less than usual does this car pick up?
 *
 * @param hours of its life, compiled with a factor of 1
 * @param known its washes and swab readings
 * @returns the factor and each reading beside what was expected
 * Model: loads are in proportion to pick-up between washes, so each reading gives one ratio; their logarithms are
 * averaged with the plain ledger counting as one reading of ratio 1. Judgement.
 */
export function learnPickUp(
  hours: readonly CompiledHour[],
  known: {
    readonly washes: readonly SaltWash[];
    readonly readings: readonly SaltReading[];
    /** Readings and washes since the last hour ended count up to here. */
    readonly untilMs?: number;
  },
): LearntPickUp {
  const checks: ReadingCheck[] = [];
  const from = hours[0]?.atMs ?? Infinity;
  const looks = known.readings
    .filter(({ atMs }) => atMs >= from)
    .map((reading) => ({
      atMs: reading.atMs,
      see: (ledger: SaltLedger) => {
        const held = ledger.zones().find(({ zone }) => zone === reading.zone)?.loadGramsPerM2 ?? 0;
        checks.push({ ...reading, expectedGramsPerM2: held });
      },
    }));
  runLedger(hours, { washes: known.washes, looks, untilMs: known.untilMs });
  const telling = checks.filter(
    ({ gramsPerM2, expectedGramsPerM2 }) => Math.min(gramsPerM2, expectedGramsPerM2) >= LEAST_GRAMS_PER_M2,
  );
  const sum = telling.reduce(
    (total, { gramsPerM2, expectedGramsPerM2 }) => total + Math.log(gramsPerM2 / expectedGramsPerM2),
    0,
  );
  const factor = Math.exp(sum / (telling.length + PRIOR_READINGS));
  return { factor: Math.min(MOST_FACTOR, Math.max(LEAST_FACTOR, factor)), count: telling.length, checks };
}
