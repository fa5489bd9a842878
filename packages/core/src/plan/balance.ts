import { MS_PER_HOUR } from '../quantity/index.js';
import type { HouseRules } from '../house-rules/index.js';
import type { Leftover, Media, WayId } from '../method/index.js';
import { localTime, type Place, queueMinutes } from '../place/index.js';
import { type Finding, gapWaterMl, gradeAtContact, type Limits } from '../rules/index.js';
import { activeHoursSaved, type CompiledHour, type SaltLedger, type ZoneSalt } from '../salt/index.js';
import { type ByGroup, type Vehicle, zoneOf } from '../vehicle/index.js';
import { type Band, methodsInWays, type VerdictKind } from '../verdict/index.js';
import type { Shelf } from '../kit/index.js';
import type { Prices } from './data/prices.js';
import { type WashCost, washCost } from './wash-cost.js';

/** One method at one place in one hour, with all its parts. */
export interface BalanceRow {
  readonly placeId: string;
  readonly methodId: string;
  /** The way in which it goes, or was looked at. */
  readonly wayId: WayId | null;
  readonly verdict: VerdictKind;
  /** The one number that rules it out, or is nearest to doing so. */
  readonly limiting: Finding;
  readonly untilMs: number | null;
  readonly blockedFraction: number | null;
  readonly removes: ByGroup;
  /** Salt left by zone, g/m². */
  readonly left: readonly ZoneSalt[];
  readonly leaves: readonly Leftover[];
  readonly minutes: {
    readonly wash: number;
    readonly travel: number;
    readonly queue: number;
    readonly hands: number;
  };
  readonly cost: WashCost;
  /** Time at its price. */
  readonly timeMinor: number;
  readonly litres: number;
  readonly gapWaterMl: number;
  readonly gradeAtContact: number | null;
  readonly media: Media;
  /** Over the forecast, against not washing. */
  readonly activeHoursSaved: number;
  readonly saltMinor: number;
}

export interface BalanceCase {
  readonly vehicle: Vehicle;
  readonly places: readonly Place[];
  readonly bands: readonly Band[];
  readonly prices: Prices;
  readonly house: HouseRules;
  readonly limits: Limits;
  readonly shelf: Shelf;
  readonly soil: ByGroup;
  readonly ledger: SaltLedger;
  /** From the present hour on. */
  readonly ahead: readonly CompiledHour[];
  readonly atMs: number;
}

/** Salt that would be left on each zone at the hour, had it been washed so. */
function leftAfter(input: BalanceCase, removes: ByGroup): ZoneSalt[] {
  const hours = input.ahead.filter(({ atMs }) => atMs < input.atMs);
  const then = hours.reduce((ledger, hour) => {
    ledger.step(hour);
    return ledger;
  }, input.ledger.copy());
  return then.zones().map((zone) => ({
    ...zone,
    loadGramsPerM2: zone.loadGramsPerM2 * (1 - removes[zoneOf(zone.zone).group]),
  }));
}

/**
 * What would each way to wash do for this car in this hour, and at what price?
 *
 * @returns a row for every place and method on offer, in the order of places; bands without the hour are left out
 */
export function balance(input: BalanceCase): BalanceRow[] {
  const firstMs = input.ahead[0]?.atMs ?? input.atMs;
  const hourIndex = Math.max(0, Math.round((input.atMs - firstMs) / MS_PER_HOUR));
  const methodOf = methodsInWays(input);
  return input.bands.flatMap((band): BalanceRow[] => {
    const place = input.places.find(({ id }) => id === band.placeId);
    if (!place?.methods.some(({ methodId }) => methodId === band.methodId)) return [];
    const cell = band.cells.find(({ startMs }) => startMs === input.atMs);
    const limiting = band.refusal ?? cell?.limiting;
    if (!limiting) return [];
    const method = methodOf(band.methodId, cell ?? {}, { place });
    const queue = place.queue ? queueMinutes(place, localTime(input.atMs, place.timeZone)) : 0;
    const minutes = {
      wash: method.minutes,
      travel: 2 * place.travelMinutes,
      queue,
      hands: method.handsMinutes,
    };
    const saved = activeHoursSaved(input.ledger, input.ahead, { removes: method.removes })[hourIndex] ?? 0;
    return [
      {
        placeId: place.id,
        methodId: method.id,
        wayId: method.wayId ?? null,
        verdict: band.refusal ? 'no' : (cell?.verdict ?? 'unknown'),
        limiting,
        untilMs: cell?.untilMs ?? null,
        blockedFraction: cell?.blockedFraction ?? null,
        removes: method.removes,
        left: leftAfter(input, method.removes),
        leaves: method.leaves,
        minutes,
        cost: washCost(place, method),
        timeMinor: (input.prices.hourMinor * (minutes.wash + minutes.travel + minutes.queue)) / 60,
        litres: method.litres,
        gapWaterMl: gapWaterMl(method),
        gradeAtContact: gradeAtContact(method, input.soil),
        media: method.media,
        activeHoursSaved: saved,
        saltMinor: saved * input.prices.saltMinorPerActiveHour,
      },
    ];
  });
}
