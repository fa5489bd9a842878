import { methodOf } from '../method/index.js';
import type { Place } from '../place/index.js';
import type { Finding, Limits } from '../rules/index.js';
import { activeHoursSaved, type CompiledHour, type SaltLedger, type ZoneSalt } from '../salt/index.js';
import type { Vehicle } from '../vehicle/index.js';
import type { Band, Cell, VerdictKind } from '../verdict/index.js';
import { MS_PER_HOUR } from '../weather/index.js';
import type { Prices } from './data/prices.js';
import { estimatedSoilGrade } from './soil-grade.js';
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

export interface DueState {
  readonly lastWashMs: number | null;
  readonly dueMs: number;
  /** Days beyond the wanted date; negative: days left. */
  readonly daysLate: number;
}

export interface VehicleMorning {
  readonly vehicleId: string;
  readonly due: DueState;
  readonly zones: readonly ZoneSalt[];
  readonly activeHours: number;
  readonly soilGrade: number;
  /** By worth, best first: the best start of each place and method. */
  readonly windows: readonly Window[];
  readonly refusals: readonly Refusal[];
}

export interface MorningCase {
  readonly vehicle: Vehicle;
  readonly places: readonly Place[];
  readonly limits: Limits;
  readonly prices: Prices;
  readonly bands: readonly Band[];
  readonly ledger: SaltLedger;
  /** From the present hour on. */
  readonly ahead: readonly CompiledHour[];
  /** Air temperature felt outdoors, from the present hour on; null where not known. */
  readonly windChillC: readonly (number | null)[];
  readonly lastWashMs: number | null;
  /** When the record of this vehicle begins; stands in for a last wash where there is none. */
  readonly knownSinceMs: number;
  readonly nowMs: number;
}

/** When is it wanted next? */
export function dueState(
  vehicle: Pick<Vehicle, 'cadenceDays'>,
  record: Pick<MorningCase, 'lastWashMs' | 'knownSinceMs' | 'nowMs'>,
): DueState {
  const dueMs = (record.lastWashMs ?? record.knownSinceMs) + vehicle.cadenceDays * MS_PER_DAY;
  return { lastWashMs: record.lastWashMs, dueMs, daysLate: (record.nowMs - dueMs) / MS_PER_DAY };
}

const goes = (cell: Cell): boolean => cell.verdict === 'go' || cell.verdict === 'go-if';

/** The method honestly cleans this much soil. */
const reaches = (methodId: string, soilGrade: number): boolean =>
  soilGrade <= methodOf(methodId).soilCeilingGrade;

function bandWindows(input: MorningCase, band: Band, state: { due: DueState; soilGrade: number }): Window[] {
  const place = input.places.find(({ id }) => id === band.placeId);
  const firstMs = input.ahead[0]?.atMs;
  if (!place || firstMs === undefined || !reaches(band.methodId, state.soilGrade)) return [];
  const method = methodOf(band.methodId);
  const saved = activeHoursSaved(input.ledger, input.ahead, method.removes);
  const wears = method.soapPh > protectionPh(input);
  return band.cells
    .filter((cell) => goes(cell) && cell.startMs >= input.nowMs)
    .map((cell) => {
      const i = Math.round((cell.startMs - firstMs) / MS_PER_HOUR);
      const indoors = place.climate.kind === 'heated' || place.climate.kind === 'unheated';
      const value = washValue({
        place,
        method,
        prices: input.prices,
        activeHoursSaved: saved[i] ?? 0,
        windChillC: indoors ? null : (input.windChillC[i] ?? null),
        soilGrade: state.soilGrade,
        wearsProtection: wears,
        verdict: cell.verdict,
        daysLate: Math.max(0, (cell.startMs - state.due.dueMs) / MS_PER_DAY),
      });
      return {
        placeId: band.placeId,
        methodId: band.methodId,
        startMs: cell.startMs,
        endMs: cell.startMs + method.minutes * 60_000,
        verdict: cell.verdict,
        limiting: cell.limiting,
        blockedShare: cell.blockedShare,
        activeHoursSaved: saved[i] ?? 0,
        value,
      };
    });
}

function protectionPh({ vehicle, limits }: MorningCase): number {
  const by = { bare: Infinity, wax: limits.waxPh, sealant: limits.sealantPh, coating: limits.coatingPh };
  return by[vehicle.protection];
}

/** Worth first; a window that fails in too many members stands behind all that hold. */
function byWorth(limits: Limits): (a: Window, b: Window) => number {
  const doubtful = (window: Window): number =>
    (window.blockedShare ?? 0) > limits.tolerableBlockedShare ? 1 : 0;
  return (a, b) => doubtful(a) - doubtful(b) || b.value.totalMinor - a.value.totalMinor;
}

function refusalOf(band: Band, input: MorningCase, atMs: number): Refusal | null {
  const { placeId, methodId } = band;
  if (band.refusal) {
    const offered = input.places
      .find(({ id }) => id === placeId)
      ?.methods.some((offer) => offer.methodId === methodId);
    return offered ? { placeId, methodId, verdict: 'no', limiting: band.refusal, untilMs: null } : null;
  }
  const cell = band.cells.find(({ startMs }) => startMs === atMs);
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
  const due = dueState(input.vehicle, input);
  const zones = input.ledger.zones();
  const soilGrade = estimatedSoilGrade(zones);
  const windows = input.bands
    .flatMap((band) => bandWindows(input, band, { due, soilGrade }))
    .sort(byWorth(input.limits));
  const atMs = windows[0]?.startMs ?? Math.ceil(input.nowMs / MS_PER_HOUR) * MS_PER_HOUR;
  const refusals = input.bands
    .map((band) => refusalOf(band, input, atMs))
    .filter((refusal) => refusal !== null);
  return {
    vehicleId: input.vehicle.id,
    due,
    zones,
    activeHours: input.ledger.activeHours,
    soilGrade,
    windows,
    refusals,
  };
}
