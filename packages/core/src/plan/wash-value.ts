import type { Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import type { Extras } from '../season/index.js';
import type { VerdictKind } from '../verdict/index.js';
import type { Prices } from './data/prices.js';
import { washCost } from './wash-cost.js';

export interface ValueCase {
  readonly place: Place;
  readonly method: Method;
  readonly prices: Prices;
  readonly activeHoursSaved: number;
  readonly windChillC: number | null;
  /** Grade of soil left when something first rubs the paint; null: nothing does. */
  readonly gradeAtContact: number | null;
  readonly queueMinutes: number;
  readonly wearsProtection: boolean;
  readonly verdict: VerdictKind;
  /** Work of the season done in the same visit. */
  readonly extras: Extras;
  /** Days from the wanted date to the start; 0 if before it. */
  readonly daysLate: number;
}

/** What a wash is worth, part by part, minor units; costs are negative. */
export interface WashValue {
  readonly saltMinor: number;
  readonly moneyMinor: number;
  readonly timeMinor: number;
  readonly coldMinor: number;
  readonly paintMinor: number;
  readonly troubleMinor: number;
  readonly lateMinor: number;
  /** Work of the season: its worth, less its time, product and cold. */
  readonly seasonMinor: number;
  readonly totalMinor: number;
}

const COLD_C = -10;
const BITTER_C = -20;

/** What a minute of wet hands costs in this air beyond their time, minor units. */
export function coldPerMinute(windChillC: number | null, prices: Prices): number {
  if (windChillC === null || windChillC >= COLD_C) return 0;
  return windChillC >= BITTER_C ? prices.coldMinorPerMinute : prices.bitterMinorPerMinute;
}

/** What work of the season is worth beyond what it takes, minor units. */
export const extrasMinor = (
  { worthMinor, costMinor, minutes }: Omit<Extras, 'jobIds'>,
  { hourMinor }: Pick<Prices, 'hourMinor'>,
  coldMinorPerMinute = 0,
): number => worthMinor - costMinor - minutes * (hourMinor / 60 + coldMinorPerMinute);

/**
 * What is this wash worth, in money that one can argue with?
 *
 * @returns the parts and their sum in minor units
 * Model: salt-hours saved at their price, less money (visit, meter, product), time with travel both ways and the queue, cold hands, risk to the paint,
 * trouble and lateness; with what work of the season in the same visit is worth beyond what it takes. Prices are judgement.
 */
export function washValue(input: ValueCase): WashValue {
  const { place, method, prices } = input;
  const minutes = method.minutes + 2 * place.travelMinutes + input.queueMinutes;
  const parts = {
    saltMinor: prices.saltMinorPerActiveHour * input.activeHoursSaved,
    moneyMinor: -washCost(place, method).totalMinor,
    timeMinor: (-prices.hourMinor * minutes) / 60,
    coldMinor: -coldPerMinute(input.windChillC, prices) * method.handsMinutes,
    paintMinor:
      -prices.contactMinorPerGrade * (input.gradeAtContact ?? 0) -
      (input.wearsProtection ? prices.wearMinor : 0) -
      (method.leavesBare && !input.extras.jobIds.includes('re-coat') ? prices.bareMinor : 0),
    troubleMinor: input.verdict === 'go-if' ? -prices.conditionMinor : 0,
    lateMinor: -prices.lateMinorPerDay * input.daysLate,
    seasonMinor: extrasMinor(input.extras, prices, coldPerMinute(input.windChillC, prices)),
  };
  return { ...parts, totalMinor: Object.values(parts).reduce((sum, part) => sum + part, 0) };
}
