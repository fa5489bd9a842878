import type { HouseRules } from '../house/index.js';
import { type Method, shopMethod } from '../method/index.js';
import { localTime, type Place, queueMinutes } from '../place/index.js';
import { weakestProtection } from '../protection/index.js';
import { type Finding, gradeAtContact, type Judgement, type Limits, wearLimitPh } from '../rules/index.js';
import { activeHoursSaved, type CompiledHour, type SaltLedger, type ZoneSalt } from '../salt/index.js';
import type { ByGroup, Vehicle } from '../vehicle/index.js';
import type { Band, Cell, VerdictKind } from '../verdict/index.js';
import { MS_PER_HOUR, startOfHourMs } from '../weather/index.js';
import { type DueState, dueState, type WashHistory } from './cadence.js';
import type { Prices } from './data/prices.js';
import { type WashValue, washValue } from './wash-value.js';

const MS_PER_DAY = 24 * MS_PER_HOUR;

/** A start that goes, and what it is worth. */
export interface Window {
  readonly placeId: string;
  readonly methodId: string;
  readonly startMs: number;
  readonly endMs: number;
  readonly verdict: VerdictKind;
  readonly limiting: Finding;
  readonly blockedShare: number | null;
  /** Of the kind that the house wants next. */
  readonly isWanted: boolean;
  readonly activeHoursSaved: number;
  readonly value: WashValue;
}

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
}

/** What the members say of a start: the share that fails, and the judgement with it. */
export interface AskedMembers {
  readonly blockedShare: number;
  readonly standing: Judgement['standing'];
  readonly limiting: Finding;
}

export interface MorningCase {
  readonly vehicle: Vehicle;
  readonly places: readonly Place[];
  readonly limits: Limits;
  readonly prices: Prices;
  readonly house: HouseRules;
  readonly soil: ByGroup;
  readonly bands: readonly Band[];
  readonly ledger: SaltLedger;
  /** From the present hour on. */
  readonly ahead: readonly CompiledHour[];
  /** Asks the forecast's members of one start; null where there are none. Absent: the bands have been asked already. */
  readonly askMembers?: (window: Pick<Window, 'placeId' | 'methodId' | 'startMs'>) => AskedMembers | null;
  /** Air temperature felt outdoors, from the present hour on; null where not known. */
  readonly windChillC: readonly (number | null)[];
  readonly history: Omit<WashHistory, 'nowMs'>;
  readonly nowMs: number;
}

const goes = (cell: Cell): boolean => cell.verdict === 'go' || cell.verdict === 'go-if';

function bandWindows(input: MorningCase, band: Band, due: DueState): Window[] {
  const place = input.places.find(({ id }) => id === band.placeId);
  const firstMs = input.ahead[0]?.atMs;
  if (!place || firstMs === undefined || band.cells.length === 0) return [];
  const method = shopMethod(band.methodId, input.house, input.vehicle);
  const going = band.cells.filter((cell) => goes(cell) && cell.startMs >= input.nowMs);
  const hourOf = ({ startMs }: Cell): number => Math.round((startMs - firstMs) / MS_PER_HOUR);
  const saved = activeHoursSaved(input.ledger, input.ahead, method.removes, new Set(going.map(hourOf)));
  const wears = wearsProtection(input, method);
  const indoors = place.climate.kind === 'heated' || place.climate.kind === 'unheated';
  return going.map((cell) => {
    const i = hourOf(cell);
    const startMs = cell.startMs + cell.delayMinutes * 60_000;
    const queue = place.queue ? queueMinutes(place, localTime(startMs, place.timeZone)) : 0;
    const value = washValue({
      place,
      method,
      prices: input.prices,
      activeHoursSaved: saved[i] ?? 0,
      windChillC: indoors ? null : (input.windChillC[i] ?? null),
      gradeAtContact: gradeAtContact(method, input.soil),
      queueMinutes: queue,
      wearsProtection: wears,
      verdict: cell.verdict,
      daysLate: Math.max(0, (startMs - due.dueMs) / MS_PER_DAY),
    });
    return {
      placeId: band.placeId,
      methodId: band.methodId,
      startMs,
      endMs: startMs + (method.minutes + queue) * 60_000,
      verdict: cell.verdict,
      limiting: cell.limiting,
      blockedShare: cell.blockedShare,
      isWanted:
        method.scope === 'wash' && (due.wants === 'any' || method.contact === (due.wants === 'contact')),
      activeHoursSaved: saved[i] ?? 0,
      value,
    };
  });
}

function wearsProtection({ vehicle, limits }: MorningCase, method: Method): boolean {
  const weakest = weakestProtection(vehicle);
  if (!weakest || method.strips) return false;
  return wearLimitPh(weakest.kind, limits) < method.soapPh;
}

/** Worth first; behind stand windows of a kind that the house does not want next, and those that fail in too many members. */
function byWorth(limits: Limits): (a: Window, b: Window) => number {
  const rank = (window: Window): number =>
    ((window.blockedShare ?? 0) > limits.tolerableBlockedShare ? 2 : 0) + (window.isWanted ? 0 : 1);
  return (a, b) => rank(a) - rank(b) || b.value.totalMinor - a.value.totalMinor;
}

/** Starts whose members are asked in one round, besides the best of each place and method. */
const ASKED_AT_ONCE = 8;
const ROUNDS = 4;

/** The windows that would be shown: the worthiest, and the worthiest of every place and method. */
function foremost(windows: readonly Window[]): Window[] {
  const seen = new Set<string>();
  return windows.filter((window, i) => {
    const band = `${window.placeId} ${window.methodId}`;
    const isFirst = !seen.has(band);
    seen.add(band);
    return isFirst || i < ASKED_AT_ONCE;
  });
}

/** Asks the members of the foremost windows, sorts anew, and asks those that have come forward, until none is left. */
function asked(windows: readonly Window[], input: MorningCase): Window[] {
  const sort = byWorth(input.limits);
  let sorted = [...windows].sort(sort);
  for (let round = 0; input.askMembers && round < ROUNDS; round += 1) {
    const open = new Set(foremost(sorted).filter(({ blockedShare }) => blockedShare === null));
    if (open.size === 0) break;
    const { askMembers } = input;
    sorted = sorted
      .map((window): Window => {
        const answer = open.has(window) ? askMembers(window) : null;
        if (!answer) return window;
        const verdict =
          answer.standing === 'go' || answer.standing === 'go-if' ? answer.standing : window.verdict;
        return { ...window, verdict, blockedShare: answer.blockedShare, limiting: answer.limiting };
      })
      .sort(sort);
  }
  return sorted;
}

/** Nothing beyond a deadline while something goes before it. */
function withinDeadline(windows: readonly Window[], deadlineMs: number | null): readonly Window[] {
  if (deadlineMs === null) return windows;
  const before = windows.filter(({ startMs }) => startMs <= deadlineMs);
  return before.length > 0 ? before : windows;
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

/**
 * Where, when and how to wash this vehicle, and why not otherwise?
 *
 * @returns all starts that go, by worth; what refuses the others at the hour of the best (or now, if nothing goes)
 */
export function vehicleMorning(input: MorningCase): VehicleMorning {
  const due = dueState(input.vehicle, { ...input.history, nowMs: input.nowMs }, input.house);
  const zones = input.ledger.zones();
  const all = input.bands.flatMap((band) => bandWindows(input, band, due));
  const windows = asked(withinDeadline(all, due.deadlineMs), input);
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
  };
}
