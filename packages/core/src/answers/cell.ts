import type { StartQuestion } from './question.js';
import type { Tools } from './tools.js';
import { gridRequest, weekStarts } from './week.js';

import type { FilmInput } from '../film/index.js';
import { withChoices } from '../house-rules/index.js';
import type { Method } from '../method/index.js';
import { type WashTotals, washTotals } from '../plan/index.js';
import { MS_PER_MINUTE } from '../quantity/index.js';
import type { Judgement } from '../rules/index.js';
import { type SeasonJobRow, shopSeasonJobs } from '../season/index.js';
import { type Keeper, type OfCar, controlSpan, roadAheadOf, roadFacts } from '../shop/index.js';
import type { Panel } from '../vehicle/index.js';
import {
  type CellRequest,
  type Flip,
  type Judged,
  PlaceCalendar,
  PlaceWeather,
  cellDetail,
  flipsOf,
  memberAsker,
} from '../verdict/index.js';
import { climateAt, tracksOf, waitsThrough } from '../wash/index.js';

/** One start in full, with the wash as it is done and the film of each panel, from which the lab begins. */
export interface CellAnswer extends Omit<Judged, 'method'> {
  readonly wash: WashTotals;
  readonly films: readonly { readonly panel: Panel['id']; readonly input: FilmInput }[];
  /** Coldest air where the car stands in the night after, °C; null: not known. */
  readonly overnightC: number | null;
}

/** A start of a car. */
export type OfStart = OfCar & { readonly start: StartQuestion };

/** The work of the season that goes with a start, with the shop's numbers. */
const workOf = ({ start: { extras = [] }, season }: OfStart): SeasonJobRow[] =>
  shopSeasonJobs(season).filter(({ id }) => extras.includes(id));

/** One start as the verdict takes it. @throws RangeError for a place that is not among the shop's */
export function cellRequest(question: OfStart, keep: Keeper): CellRequest {
  const { start, places, weather } = question;
  const place = places.find(({ id }) => id === start.placeId);
  if (!place) throw new RangeError(`cellRequest: placeId is ${start.placeId}; there is no such place`);
  const { sites: _sites, ...around } = gridRequest(question, keep, {
    startsMs: weekStarts(question),
    withMembers: false,
  });
  return {
    ...around,
    house: withChoices(around.house, start.methodId, start),
    place,
    methodId: start.methodId,
    wayId: start.wayId,
    work: workOf(question),
    control: controlSpan(weather),
    roadAhead: roadAheadOf(roadFacts(question), keep),
  };
}

/** Nothing is followed longer in the lab. */
const FILM_HORIZON_MINUTES = 60;

/** The last water on each panel, as the lab takes it. */
function filmsOf(request: CellRequest, method: Method, startMs: number): CellAnswer['films'] {
  const { vehicle, place, limits, control } = request;
  const weather = new PlaceWeather(new PlaceCalendar(place), control);
  const hours = weather.washHours(startMs, method);
  if (!hours) return [];
  return tracksOf({ vehicle, place, method }, limits).flatMap((track) => {
    const { panel, material, surface, events } = track;
    const last = waitsThrough(track, { place, hours }).find(({ wait }) => wait.isLast);
    const atMinute = last && events[last.wait.event]?.atMinute;
    if (!last || atMinute === undefined) return [];
    const { site } = hours.findLast(({ fromMinute }) => fromMinute <= atMinute) ?? hours[0];
    const input = {
      material,
      tiltDeg: surface.tiltDeg,
      absorptanceFraction: surface.absorptanceFraction,
      ...climateAt(place, surface, site),
      filmGramsPerM2: last.filmGramsPerM2,
      startTempC: last.startC,
      horizonMinutes: FILM_HORIZON_MINUTES,
    };
    return [{ panel: panel.id, input }];
  });
}

/** Does this one start go, what decides it, and how long does water last on each panel? */
export function cellAnswer(question: OfStart, { keep }: Pick<Tools, 'keep'>): CellAnswer {
  const request = cellRequest(question, keep);
  const { startMs } = question.start;
  const { method, ...detail } = cellDetail(request, startMs);
  const { judgement } = detail;
  return {
    ...detail,
    judgement: withForecast(question, keep, judgement),
    wash: washTotals(request.place, method),
    films: filmsOf(request, method, startMs),
    overnightC: request.night.coldestAfterC(startMs + method.minutes * MS_PER_MINUTE),
  };
}

/** The judgement as the forecast's members have it too, where there are any: what is accepted is what the ribbon shows. */
function withForecast(question: OfStart, keep: Keeper, judgement: Judgement): Judgement {
  // Members are asked of the way that the ribbon shows.
  if (question.weather.members.length === 0 || question.start.wayId) return judgement;
  const request = gridRequest(question, keep, { startsMs: weekStarts(question), withMembers: false });
  const house = withChoices(request.house, question.start.methodId, question.start);
  const asked = memberAsker({ ...request, house })({ ...question.start, work: workOf(question) });
  if (!asked) return judgement;
  const { standing, limiting, findings } = asked;
  return { standing, limiting, findings };
}

/** What would change the answer to this start? */
export const flipsAnswer = (question: OfStart, { keep }: Pick<Tools, 'keep'>): Flip[] =>
  flipsOf(cellRequest(question, keep), question.start.startMs);
