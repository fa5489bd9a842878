import { everyHour } from '../quantity/index.js';
import type { Tools } from './tools.js';

import type { RoadState } from '../road/index.js';
import {
  type Keeper,
  type OfCar,
  carStateOf,
  controlSpan,
  roadFacts,
  sitesOf,
  standsAt,
  surroundingsOf,
} from '../shop/index.js';
import {
  type Band,
  type BandBook,
  BandJudges,
  emptyPage,
  type GridRequest,
  NightAir,
  verdictGrid,
} from '../verdict/index.js';

/** A week of starts; the forecast reaches beyond it so that long washes and nights are covered. */
export const WEEK_HOURS = 168;

/** The main road and the salt clock of a car, hour by hour, for the ribbon. */
export interface RibbonHour {
  /** null: not known. */
  readonly road: RoadState | null;
  /** Active hours that an hour counts on a caked underbody, in the street where it stands. */
  readonly pace: number;
}

export interface WeekAnswer {
  readonly bands: readonly Band[];
  readonly hours: readonly RibbonHour[];
}

/** Every start of a week, or of a plan's days, as the verdict takes it. */
export function gridRequest(
  question: OfCar,
  keep: Keeper,
  { startsMs, withMembers }: Pick<GridRequest, 'startsMs' | 'withMembers'>,
): GridRequest {
  const { limits, house, shelf, weather } = question;
  const { vehicle, soilByGroup } = carStateOf(question, keep);
  return {
    vehicle,
    limits,
    house,
    shelf,
    soil: soilByGroup,
    night: new NightAir(standsAt(question), controlSpan(weather)),
    sites: sitesOf(question, keep),
    startsMs,
    withMembers,
  };
}

export const weekStarts = ({ weather }: Pick<OfCar, 'weather'>): number[] =>
  everyHour(weather.fromMs, WEEK_HOURS);

/**
 * When, where and how could this car be washed in the coming week?
 *
 * @returns a band of starts for each method at each place, every start asked of every member of the forecast; road and salt clock by the hour
 */
export function weekAnswer(question: OfCar, { keep, report }: Pick<Tools, 'keep' | 'report'>): WeekAnswer {
  const request = gridRequest(question, keep, { startsMs: weekStarts(question), withMembers: true });
  const state = carStateOf(question, keep);
  const under = keep.name({ roads: roadFacts(question), standsAt: standsAt(question) });
  const label = question.car.vehicle.id;
  const book: BandBook | null = keep.keeps
    ? {
        name: (inputs) => keep.name(inputs),
        names: (inputs, make) => keep.of('names', inputs, make),
        page: (name) => keep.of('band', { under, name }, emptyPage),
      }
    : null;
  const bands = verdictGrid(request, (share) => report({ label, share }), new BandJudges(request, book));
  const { roads } = surroundingsOf(roadFacts(question), keep);
  const from = question.weather.observed.length;
  const hours = Array.from({ length: WEEK_HOURS }, (_, i): RibbonHour => ({
    road: roads[from + i]?.main?.state ?? null,
    pace: Math.max(...(state.ahead[i]?.pace ?? [0])),
  }));
  return { bands, hours };
}
