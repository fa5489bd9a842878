import type { StartQuestion } from './question.js';
import type { Tools } from './tools.js';
import { gridRequest, weekStarts } from './week.js';

import type { FilmInput } from '../film/index.js';
import { shopMethod } from '../method/index.js';
import { MS_PER_MINUTE } from '../quantity/index.js';
import type { Judgement } from '../rules/index.js';
import { type Keeper, type OfCar, controlSpan, roadAheadOf, roadFacts } from '../shop/index.js';
import { type Panel, panelsOf } from '../vehicle/index.js';
import {
  type CellDetail,
  type CellRequest,
  type Flip,
  PlaceCalendar,
  PlaceWeather,
  cellDetail,
  filmInputFor,
  flipsOf,
  memberAsker,
} from '../verdict/index.js';

/** One start in full, with the film of each panel, from which the lab begins. */
export interface CellAnswer extends CellDetail {
  readonly films: readonly { readonly panel: Panel['id']; readonly input: FilmInput }[];
  /** Coldest air where the car stands in the night after, °C; null: not known. */
  readonly overnightC: number | null;
}

type OfStart = OfCar & { readonly start: StartQuestion };

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
    place,
    methodId: start.methodId,
    control: controlSpan(weather),
    roadAhead: roadAheadOf(roadFacts(question), keep),
  };
}

/** Does this one start go, what decides it, and how long does water last on each panel? */
export function cellAnswer(question: OfStart, { keep }: Pick<Tools, 'keep'>): CellAnswer {
  const request = cellRequest(question, keep);
  const { startMs, methodId } = question.start;
  const { vehicle, place } = request;
  const site = new PlaceWeather(new PlaceCalendar(place), request.control).siteHour(startMs);
  const method = shopMethod(methodId, question.house, vehicle);
  const washCase = { vehicle, place, method };
  const films = site
    ? panelsOf(vehicle.bodyClass).map((panel) => ({
        panel: panel.id,
        input: filmInputFor(washCase, panel, site),
      }))
    : [];
  const detail = cellDetail(request, startMs);
  return {
    ...detail,
    judgement: withForecast(question, keep, detail.judgement),
    films,
    overnightC: request.night.coldestAfterC(startMs + method.minutes * MS_PER_MINUTE),
  };
}

/** The judgement as the forecast's members have it too, where there are any: what is accepted is what the ribbon shows. */
function withForecast(question: OfStart, keep: Keeper, judgement: Judgement): Judgement {
  if (question.weather.members.length === 0) return judgement;
  const request = gridRequest(question, keep, { startsMs: weekStarts(question), withMembers: false });
  const asked = memberAsker(request)(question.start);
  if (!asked) return judgement;
  const { standing, limiting, findings } = asked;
  return { standing, limiting, findings };
}

/** What would change the answer to this start? */
export const flipsAnswer = (question: OfStart, { keep }: Pick<Tools, 'keep'>): Flip[] =>
  flipsOf(cellRequest(question, keep), question.start.startMs);
