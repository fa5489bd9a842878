import type { Protection, WaterBehaviour, ZoneProtection } from '../vehicle/index.js';
import { PH_STANDS } from './compatibility.js';

const MS_PER_DAY = 86_400_000;

/** Life that makers claim at most, days (practice); counted down by washes, chemistry and salt. */
export const CLAIMED_LIFE_DAYS: Readonly<Record<Exclude<Protection, 'bare'>, number>> = {
  wax: 75,
  sealant: 120,
  'spray-ceramic': 180,
  coating: 1095,
  film: 2555,
};

/** Share of the life that one wash takes, mild or beyond the pH that it stands (judgement). */
const WEAR_PER_MILD_WASH = 0.004;
const WEAR_PER_STRONG_WASH = 0.12;
/** Extra days of age for each day under salt (judgement). */
const SALT_AGES_BY = 0.5;
/** A coating shrugs most of it off (judgement). */
const TOUGHNESS: Readonly<Record<Protection, number>> = {
  bare: 1,
  wax: 1,
  sealant: 0.7,
  'spray-ceramic': 0.5,
  coating: 0.12,
  film: 0.08,
};

/** What a protection has lived through. */
export interface WearHistory {
  readonly nowMs: number;
  readonly washes: readonly { readonly atMs: number; readonly soapPh: number; readonly strips: boolean }[];
  /** Days on which the zone carried salt, since an instant. */
  readonly saltDaysSince: (atMs: number) => number;
}

export type ProtectionStanding = 'none' | 'sound' | 'worn' | 'spent' | 'clogged-or-gone' | 'unknown-age';

export interface ProtectionState {
  readonly kind: Protection;
  readonly standing: ProtectionStanding;
  /** Share of its life left by the sums, 0–1; null where its date is not known or there is none. */
  readonly leftFraction: number | null;
  readonly ageDays: number | null;
  readonly lifeDays: number | null;
  readonly strongWashes: number;
  readonly saltDays: number;
  /** Set where what was seen goes before the sums. */
  readonly observed: { readonly behaviour: WaterBehaviour; readonly atMs: number } | null;
}

const WORN_FRACTION = 0.35;

function sumsStanding(leftFraction: number): ProtectionStanding {
  if (leftFraction <= 0) return 'spent';
  return leftFraction < WORN_FRACTION ? 'worn' : 'sound';
}

/** What was seen goes before what was reckoned: beads are sound, flat is clogged or gone. */
function seenStanding(behaviour: WaterBehaviour, reckoned: ProtectionStanding): ProtectionStanding {
  if (behaviour === 'flat') return 'clogged-or-gone';
  if (behaviour === 'beading') return 'sound';
  return reckoned === 'sound' ? 'worn' : reckoned;
}

/**
 * How much of this protection is left?
 *
 * @param row what was put on and when, and what was seen
 * @returns its standing; the reckoned share left, from days, washes beyond the pH that it stands, and days under salt
 * Model: claimed life counted down (judgement); an observation of the water's behaviour overrides it.
 */
export function protectionState(row: ZoneProtection, history: WearHistory): ProtectionState {
  const { kind, appliedMs, observed } = row;
  const blank = { kind, observed, strongWashes: 0, saltDays: 0 };
  if (kind === 'bare')
    return { ...blank, standing: 'none', leftFraction: null, ageDays: null, lifeDays: null };
  const lifeDays = row.claimedLifeDays ?? CLAIMED_LIFE_DAYS[kind];
  if (appliedMs === null) {
    const standing = observed ? seenStanding(observed.behaviour, 'unknown-age') : 'unknown-age';
    return { ...blank, standing, leftFraction: null, ageDays: null, lifeDays };
  }
  const since = history.washes.filter(({ atMs }) => atMs > appliedMs && atMs <= history.nowMs);
  const isStrong = ({ soapPh, strips }: { soapPh: number; strips: boolean }): boolean =>
    strips || soapPh > PH_STANDS[kind].high;
  const strongWashes = since.filter(isStrong).length;
  const ageDays = Math.max(0, (history.nowMs - appliedMs) / MS_PER_DAY);
  const saltDays = history.saltDaysSince(appliedMs);
  const worn =
    (ageDays + SALT_AGES_BY * saltDays * TOUGHNESS[kind]) / lifeDays +
    TOUGHNESS[kind] *
      (WEAR_PER_STRONG_WASH * strongWashes + WEAR_PER_MILD_WASH * (since.length - strongWashes));
  const stripped = since.some(({ strips }) => strips) && kind !== 'coating' && kind !== 'film';
  const leftFraction = stripped ? 0 : Math.max(0, 1 - worn);
  const reckoned = sumsStanding(leftFraction);
  const seen = observed && observed.atMs >= appliedMs ? observed : null;
  return {
    kind,
    standing: seen ? seenStanding(seen.behaviour, reckoned) : reckoned,
    leftFraction,
    ageDays,
    lifeDays,
    strongWashes,
    saltDays,
    observed: seen,
  };
}
