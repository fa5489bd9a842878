import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import type { HouseRules } from '../house/index.js';
import type { Method } from '../method/index.js';
import { localTime, type Place, queueMinutes } from '../place/index.js';
import { type Finding, gradeAtContact, type Limits, wearsProtection } from '../rules/index.js';
import { activeHoursSaved, type CompiledHour, type SaltLedger, type ZoneSalt } from '../salt/index.js';
import { type Extras, extrasFor, NO_EXTRAS, type SeasonJobRow } from '../season/index.js';
import type { ByGroup, Vehicle } from '../vehicle/index.js';
import {
  type AskedStart,
  type Band,
  type Cell,
  methodsInWays,
  nearestWays,
  type NearWay,
  type PlaceWeather,
  type VerdictKind,
} from '../verdict/index.js';
import type { Shelf } from '../kit/index.js';
import { startOfHourMs } from '../weather/index.js';
import { type DueState, dueState, type WashHistory } from './cadence.js';
import type { TargetState } from './cadence-target.js';
import type { Prices } from './data/prices.js';
import { asked } from './asked-windows.js';
import type { Window } from './window.js';
import { coldPerMinute, extrasMinor, washValue } from './wash-value.js';

/** Why a place and method is not the answer: refused for good, or what stands against it in the hour of the answer. */
export interface Refusal {
  readonly placeId: string;
  readonly methodId: string;
  readonly verdict: VerdictKind;
  readonly limiting: Finding;
  readonly untilMs: number | null;
}

export interface VehicleMorning {
  readonly vehicleId: string;
  readonly due: DueState;
  readonly zones: readonly ZoneSalt[];
  readonly activeHours: number;
  readonly soil: ByGroup;
  /** By worth, best first: the best start of each place and method. */
  readonly windows: readonly Window[];
  readonly refusals: readonly Refusal[];
  /** What comes nearest where no start of the coming days washes it; empty where one does. */
  readonly nearest: readonly NearWay[];
}

export interface MorningCase {
  readonly vehicle: Vehicle;
  readonly places: readonly Place[];
  readonly limits: Limits;
  readonly prices: Prices;
  readonly house: HouseRules;
  readonly shelf: Shelf;
  readonly soil: ByGroup;
  readonly bands: readonly Band[];
  readonly ledger: SaltLedger;
  /** From the present hour on. */
  readonly ahead: readonly CompiledHour[];
  /** Asks the forecast's members of one start; null where there are none. Absent: the bands have been asked already. */
  readonly askMembers?: (window: Pick<Window, 'placeId' | 'methodId' | 'startMs'>) => AskedStart | null;
  /** Air temperature felt outdoors, from the present hour on; null where not known. */
  readonly windChillC: readonly (number | null)[];
  readonly history: Omit<WashHistory, 'nowMs'>;
  readonly target: TargetState;
  /** Work of the season that is due, in the order in which it is done; and the weather at each place. */
  readonly season?: {
    readonly due: readonly SeasonJobRow[];
    /** Agreed on with a customer: done whatever it is worth. */
    readonly agreed: readonly SeasonJobRow[];
    readonly at: (placeId: string) => PlaceWeather | undefined;
  };
  readonly nowMs: number;
}

const goes = (cell: Cell): boolean => cell.verdict === 'go' || cell.verdict === 'go-if';

type SavedBy = (method: Method) => readonly number[];

const firstAhead = ({ ahead }: MorningCase): number => ahead[0]?.atMs ?? NaN;

/** Active hours that each start would save, worked out once for each method, for the hours in which it goes anywhere. */
function savedBy(input: MorningCase): SavedBy {
  const byMethod = new Map<string, readonly number[]>();
  return (method) => {
    const known = byMethod.get(method.id);
    if (known) return known;
    const hours = input.bands
      .filter(({ methodId }) => methodId === method.id)
      .flatMap(({ cells }) => cells.filter((cell) => goes(cell) && cell.startMs >= input.nowMs))
      .map(({ startMs }) => Math.round((startMs - firstAhead(input)) / MS_PER_HOUR));
    const saved = activeHoursSaved(input.ledger, input.ahead, method.removes, new Set(hours));
    byMethod.set(method.id, saved);
    return saved;
  };
}

interface BandCase {
  readonly band: Band;
  readonly due: DueState;
  readonly savedOf: SavedBy;
}

/** Which work of the season goes with a wash that begins then? What was agreed on, then what is worth more than it takes. */
function extrasAt(input: MorningCase, place: Place, visit: { method: Method; startMs: number }): Extras {
  const { season, prices } = input;
  const weather = season?.at(place.id);
  if (!season || !weather) return NO_EXTRAS;
  const worthIt = season.due.filter((job) => extrasMinor(job, prices) > 0);
  const wanted = [...season.agreed, ...worthIt.filter((job) => !season.agreed.includes(job))];
  if (wanted.length === 0) return NO_EXTRAS;
  const { open, lightLeftMinutes } = weather.siteTimes(visit.startMs, 0);
  return extrasFor(wanted, {
    place,
    method: visit.method,
    washMinutes: visit.method.minutes,
    openMinutes: open.kind === 'open' ? open.minutesLeft : 0,
    lightMinutes: lightLeftMinutes,
    airOver: (minutes) => weather.siteWeather(visit.startMs, minutes),
  });
}

function bandWindows(input: MorningCase, { band, due, savedOf }: BandCase): Window[] {
  const place = input.places.find(({ id }) => id === band.placeId);
  if (!place || input.ahead.length === 0 || band.cells.length === 0) return [];
  const methodOf = methodsInWays(input);
  const plain = methodOf(band.methodId, {});
  const going = band.cells.filter((cell) => goes(cell) && cell.startMs >= input.nowMs);
  const hourOf = ({ startMs }: Cell): number => Math.round((startMs - firstAhead(input)) / MS_PER_HOUR);
  const saved = savedOf(plain);
  const indoors = place.climate.kind === 'heated' || place.climate.kind === 'unheated';
  return going.map((cell) => {
    const i = hourOf(cell);
    const method = methodOf(band.methodId, cell);
    const startMs = cell.startMs + cell.delayMinutes * MS_PER_MINUTE;
    const queue = place.queue ? queueMinutes(place, localTime(startMs, place.timeZone)) : 0;
    const extras = extrasAt(input, place, { method, startMs });
    const windChillC = indoors ? null : (input.windChillC[i] ?? null);
    const value = washValue({
      extras,
      place,
      method,
      prices: input.prices,
      activeHoursSaved: saved[i] ?? 0,
      windChillC,
      gradeAtContact: gradeAtContact(method, input.soil),
      queueMinutes: queue,
      wearsProtection: wearsProtection({ ...input, method }),
      verdict: cell.verdict,
      daysLate: Math.max(0, (startMs - due.dueMs) / MS_PER_DAY),
    });
    return {
      placeId: band.placeId,
      methodId: band.methodId,
      wayId: cell.wayId,
      startMs,
      endMs: startMs + (method.minutes + extras.minutes) * MS_PER_MINUTE,
      verdict: cell.verdict,
      limiting: cell.limiting,
      otherConditions: [],
      blockedShare: cell.blockedShare,
      failures: null,
      isForemost: false,
      isWash: method.scope === 'wash',
      isWanted:
        method.scope === 'wash' && (due.wants === 'any' || method.contact === (due.wants === 'contact')),
      activeHoursSaved: saved[i] ?? 0,
      extras,
      coldMinorPerMinute: coldPerMinute(windChillC, input.prices),
      leavesBare: method.leavesBare,
      value,
    };
  });
}

function refusalOf(band: Band, input: MorningCase, atMs: number): Refusal | null {
  const { placeId, methodId } = band;
  if (band.refusal) {
    const offered = input.places
      .find(({ id }) => id === placeId)
      ?.methods.some((offer) => offer.methodId === methodId);
    return offered ? { placeId, methodId, verdict: 'no', limiting: band.refusal, untilMs: null } : null;
  }
  const cell = band.cells.find(({ startMs }) => startMs === startOfHourMs(atMs));
  return cell && !goes(cell)
    ? { placeId, methodId, verdict: cell.verdict, limiting: cell.limiting, untilMs: cell.untilMs }
    : null;
}

/** The first of the coming starts that were looked at. */
const firstStartMs = ({ bands, nowMs }: MorningCase): number =>
  Math.min(
    ...bands.flatMap(({ cells }) => cells.find(({ startMs }) => startMs >= nowMs)?.startMs ?? []),
    Number.MAX_SAFE_INTEGER,
  );

/**
 * Where, when and how to wash this vehicle, and why not otherwise?
 *
 * @returns all starts that go, by worth; what refuses the others at the hour of the best (or now, if nothing goes)
 */
export function vehicleMorning(input: MorningCase): VehicleMorning {
  const due = dueState(input.target, { ...input.history, nowMs: input.nowMs }, input.house);
  const zones = input.ledger.zones();
  const savedOf = savedBy(input);
  const all = input.bands.flatMap((band) => bandWindows(input, { band, due, savedOf }));
  const windows = asked(all, input, due.deadlineMs);
  const atMs = windows[0]?.startMs ?? Math.ceil(input.nowMs / MS_PER_HOUR) * MS_PER_HOUR;
  const refusals = input.bands
    .map((band) => refusalOf(band, input, atMs))
    .filter((refusal) => refusal !== null);
  return {
    vehicleId: input.vehicle.id,
    due,
    zones,
    activeHours: input.ledger.activeHours,
    soil: input.soil,
    windows,
    refusals,
    nearest: windows.some(({ isWash }) => isWash)
      ? []
      : nearestWays(input.bands, { placeId: null, methodId: null, startMs: firstStartMs(input) }),
  };
}
