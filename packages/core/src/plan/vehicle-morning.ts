import { MS_PER_HOUR } from '../quantity/index.js';
import { type Finding } from '../rules/index.js';
import { type ZoneSalt } from '../salt/index.js';
import type { ByGroup } from '../vehicle/index.js';
import { type Band, methodsInWays, nearestWays, type NearWay, type VerdictKind } from '../verdict/index.js';
import { startOfHourMs } from '../weather/index.js';
import { type DueState, dueState } from './cadence.js';
import { asked } from './asked-windows.js';
import { bandCandidates } from './band-windows.js';
import { goes, type MorningCase } from './morning-case.js';
import { savedBy } from './saved-hours.js';
import type { Window } from './window.js';

/** Why a place and method is not the answer: refused for good, or what rules it out in the hour of the answer. */
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

/** What comes nearest to a wash where none goes: other starts, half of the car, and what is missing elsewhere. */
const nearestOf = (input: MorningCase): NearWay[] =>
  nearestWays(
    input.bands,
    { placeId: null, methodId: null, startMs: firstStartMs(input) },
    input.bands.flatMap((band) => input.halfAt?.(band) ?? []),
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
  const methodOf = methodsInWays(input, input.methodsWith);
  const all = input.bands.flatMap((band) => bandCandidates(input, { band, due, savedOf, methodOf }));
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
    nearest: windows.some(({ isWash }) => isWash) ? [] : nearestOf(input),
  };
}
