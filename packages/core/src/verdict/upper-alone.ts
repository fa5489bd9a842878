import { MS_PER_HOUR } from '../quantity/index.js';
import type { RuleId } from '../rules/index.js';
import type { BandJudges } from './band-judges.js';
import type { Band } from './band.js';
import type { NearWay } from './nearest-ways.js';
import type { PlaceSite } from './site-hours.js';

/** Rules that dirt can fail on the whole car and pass on its upper body. */
const DIRT_RULES: ReadonlySet<RuleId> = new Set(['soil-ceiling', 'scratch']);
/** So far ahead is looked for a start (judgement): half a wash is for the coming days, not for next week. */
const AHEAD_HOURS = 72;

interface UpperCase {
  readonly judges: BandJudges;
  readonly sites: readonly PlaceSite[];
  readonly startsMs: readonly number[];
  readonly nowMs: number;
}

/**
 * Where the dirt of the car rules a place and method out for good: the first start at which its upper body alone could be washed there;
 * null where it is ruled out by something else, or not even that goes.
 */
export function upperAlone({ placeId, methodId, refusal }: Band, of: UpperCase): NearWay | null {
  const site = of.sites.find(({ place }) => place.id === placeId);
  if (!site || !refusal || !DIRT_RULES.has(refusal.ruleId)) return null;
  const judge = of.judges.of(site, methodId);
  const lastMs = of.nowMs + AHEAD_HOURS * MS_PER_HOUR;
  for (const startMs of of.startsMs.filter((atMs) => atMs >= of.nowMs && atMs <= lastMs)) {
    const { wayId, judgement } = judge.judgeAs(startMs, 'upper-only');
    const { standing, limiting } = judgement;
    if (wayId === 'upper-only' && (standing === 'go' || standing === 'go-if'))
      return { placeId, methodId, startMs, wayId, verdict: standing, limiting };
  }
  return null;
}
