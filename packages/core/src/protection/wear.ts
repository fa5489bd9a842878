import { MS_PER_DAY } from '../quantity/index.js';
import type { Protection, WaterBehaviour, ZoneProtection } from '../vehicle/index.js';
import { PH_STANDS, type Stands } from './compatibility.js';

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
  readonly washes: readonly {
    readonly atMs: number;
    readonly soapPh: number;
    /** It took protection off this zone on purpose. */
    readonly strips: boolean;
  }[];
  /** Days on which the zone carried salt, since an instant. */
  readonly saltDaysSince: (atMs: number) => number;
  /** What each stands in this shop; absent: as shipped. */
  readonly stands?: Stands;
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

export const WORN_FRACTION = 0.35;

function sumsStanding(leftFraction: number): ProtectionStanding {
  if (leftFraction <= 0) return 'spent';
  return leftFraction < WORN_FRACTION ? 'worn' : 'sound';
}

/** What is left where water is seen to bead, at the least, and where it sheets, at the most (judgement). */
const BEADING_LEFT = 0.5;
const SHEETING_LEFT = 0.3;

/** Share of the life that was used between two instants: by days, days under salt, and washes beyond the pH that it stands. */
function wornBetween(
  kind: Exclude<Protection, 'bare'>,
  { fromMs, lifeDays }: { readonly fromMs: number; readonly lifeDays: number },
  history: WearHistory,
): { readonly fraction: number; readonly strongWashes: number; readonly saltDays: number } {
  const { low, high } = (history.stands ?? PH_STANDS)[kind];
  const since = history.washes.filter(({ atMs }) => atMs > fromMs && atMs <= history.nowMs);
  const strongWashes = since.filter(({ soapPh, strips }) => strips || soapPh > high || soapPh < low).length;
  const ageDays = Math.max(0, (history.nowMs - fromMs) / MS_PER_DAY);
  const saltDays = history.saltDaysSince(fromMs);
  const fraction =
    (ageDays + SALT_AGES_BY * saltDays * TOUGHNESS[kind]) / lifeDays +
    TOUGHNESS[kind] *
      (WEAR_PER_STRONG_WASH * strongWashes + WEAR_PER_MILD_WASH * (since.length - strongWashes));
  return { fraction, strongWashes, saltDays };
}

/** Coatings and film stand a stripping soap; what else lay there is gone. */
export const standsStripping = (kind: Protection): boolean => kind === 'coating' || kind === 'film';

/**
 * How much of this protection is left?
 *
 * @param row what was put on and when, and what was seen
 * @returns its standing; the share left, from days, washes beyond the pH that it stands, and days under salt. What was seen of the
 * water corrects it at that instant, and what came after wears it from there: beads say at least half, sheeting at most a third; where
 * water lay flat it is clogged or gone until it is cleaned or put on again
 * Model: claimed life counted down (judgement)
 */
export function protectionState(row: ZoneProtection, history: WearHistory): ProtectionState {
  const { kind, appliedMs, observed } = row;
  const blank = { kind, observed, strongWashes: 0, saltDays: 0, ageDays: null, leftFraction: null };
  if (kind === 'bare') return { ...blank, standing: 'none', lifeDays: null };
  const lifeDays = row.claimedLifeDays ?? CLAIMED_LIFE_DAYS[kind];
  const stripMs = standsStripping(kind)
    ? -Infinity
    : Math.max(
        -Infinity,
        ...history.washes
          .filter(({ strips, atMs }) => strips && atMs <= history.nowMs)
          .map(({ atMs }) => atMs),
      );
  const seen = observed && observed.atMs >= Math.max(appliedMs ?? -Infinity, stripMs) ? observed : null;
  const isStripped = stripMs > (appliedMs ?? -Infinity);
  const left = leftNow({ kind, appliedMs, lifeDays, seen, isStripped }, history);
  const worn = appliedMs === null ? null : wornBetween(kind, { fromMs: appliedMs, lifeDays }, history);
  const isFlat = seen?.behaviour === 'flat';
  return {
    kind,
    standing: isFlat ? 'clogged-or-gone' : left === null ? 'unknown-age' : sumsStanding(left),
    leftFraction: appliedMs === null ? null : left,
    ageDays: appliedMs === null ? null : Math.max(0, (history.nowMs - appliedMs) / MS_PER_DAY),
    lifeDays,
    strongWashes: worn?.strongWashes ?? 0,
    saltDays: worn?.saltDays ?? 0,
    observed: seen,
  };
}

/** Share left now; null: neither its date nor its water tells. */
function leftNow(
  coat: {
    readonly kind: Exclude<Protection, 'bare'>;
    readonly appliedMs: number | null;
    readonly lifeDays: number;
    readonly seen: ZoneProtection['observed'];
    readonly isStripped: boolean;
  },
  history: WearHistory,
): number | null {
  const { kind, appliedMs, lifeDays, seen, isStripped } = coat;
  const from = (fromMs: number, until = history): number =>
    wornBetween(kind, { fromMs, lifeDays }, until).fraction;
  if (!seen) {
    if (isStripped) return 0;
    return appliedMs === null ? null : Math.max(0, 1 - from(appliedMs));
  }
  if (seen.behaviour === 'flat') return 0;
  const past: WearHistory = {
    ...history,
    nowMs: seen.atMs,
    saltDaysSince: (sinceMs) =>
      Math.max(0, history.saltDaysSince(sinceMs) - history.saltDaysSince(seen.atMs)),
  };
  const byDate = appliedMs === null || isStripped ? null : Math.max(0, 1 - from(appliedMs, past));
  const then =
    seen.behaviour === 'beading' ? Math.max(byDate ?? 0, BEADING_LEFT) : Math.min(byDate ?? 1, SHEETING_LEFT);
  return Math.max(0, then - from(seen.atMs));
}
