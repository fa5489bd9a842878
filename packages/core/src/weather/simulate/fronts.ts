import { MS_PER_HOUR } from '../../quantity/index.js';
import type { Climate } from './climate.js';
import { hashNormal, hashUnit } from './noise.js';

/** How one member of a forecast sees the future: it drifts from the truth as the lead grows. */
export interface Member {
  readonly issuedMs: number;
  readonly index: number;
}

/** A front as it passes: hours since passage (negative before) and its strength, about 0.4–1.4. */
export interface FrontAt {
  readonly sinceHours: number;
  readonly strength: number;
}

/** Timing error grows by 3.5 minutes an hour of lead, strength by a tenth in about two days (judgement). */
const TIMING_HOURS_PER_LEAD_HOUR = 0.058;
const WORST_TIMING_HOURS = 12;
const STRENGTH_PER_LEAD_HOUR = 0.0022;
const WORST_STRENGTH = 0.32;
/** The control member is closer to the truth than the perturbed ones. */
const CONTROL_FRACTION = 0.55;

const memberFraction = (member: Member): number => (member.index === 0 ? CONTROL_FRACTION : 1);

/** Fronts that matter at an instant, as the truth or as a member sees them. */
export function frontsNear(
  hours: number,
  source: { readonly climate: Climate; readonly seed: number; readonly member?: Member },
): FrontAt[] {
  const { climate, seed, member } = source;
  const middle = Math.round(hours / climate.hoursBetweenFronts);
  return [-3, -2, -1, 0, 1, 2].map((offset) => {
    const index = middle + offset;
    const trueHours = index * climate.hoursBetweenFronts + (hashUnit(seed, 11, index) - 0.5) * 44;
    const trueStrength = 0.4 + hashUnit(seed, 12, index) ** 1.4;
    if (!member) return { sinceHours: hours - trueHours, strength: trueStrength };
    const leadHours = Math.max(0, trueHours - member.issuedMs / MS_PER_HOUR);
    const issuedHour = Math.round(member.issuedMs / MS_PER_HOUR);
    const share = memberFraction(member);
    const late = hashNormal(seed, issuedHour, member.index, index, 21);
    const stronger = hashNormal(seed, issuedHour, member.index, index, 22);
    const shiftHours = share * late * Math.min(WORST_TIMING_HOURS, TIMING_HOURS_PER_LEAD_HOUR * leadHours);
    const factor = Math.exp(share * stronger * Math.min(WORST_STRENGTH, STRENGTH_PER_LEAD_HOUR * leadHours));
    return { sinceHours: hours - trueHours - shiftHours, strength: trueStrength * factor };
  });
}

/** Share of a member's own noise in place of the truth's, 0 at issue towards 0.85. */
export function ownNoiseFraction(hours: number, member: Member): number {
  const leadHours = Math.max(0, hours - member.issuedMs / MS_PER_HOUR);
  return memberFraction(member) * 0.85 * (1 - Math.exp(-leadHours / 110));
}
