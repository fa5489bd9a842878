import { fittingsOf, type Method, type WayId } from '../method/index.js';
import type { Place } from '../place/index.js';
import type { SeasonJobRow } from '../season/index.js';
import { BandJudge } from './band-judge.js';
import type { Circumstances } from './circumstances.js';
import { methodsByCold } from './equipped-method.js';
import type { Judged } from './judged.js';
import type { RoadAhead } from './road-ahead.js';
import { PlaceCalendar } from './place-calendar.js';
import { PlaceWeather } from './place-weather.js';
import { type WeatherSpan } from './weather-span.js';

/** One start at one place by one method, under one course of the weather. */
export interface CellRequest extends Circumstances {
  readonly place: Place;
  readonly methodId: string;
  readonly control: WeatherSpan;
  readonly roadAhead: RoadAhead | null;
  /** The way in which it is to be looked at; absent: the one that goes with the least bother. */
  readonly wayId?: WayId;
  /** Work of the season that is done with it. */
  readonly work?: readonly SeasonJobRow[];
}

/** Everything about one start: all findings with their margins, what the water does, and the wash as it is done. */
export function cellDetail(
  request: CellRequest,
  startMs: number,
  change: (method: Method) => Method = (method) => method,
): Judged {
  const { pieces: _, ...judged } = request.wayId
    ? judgeOf(request, change).judgeAs(startMs, request.wayId)
    : judgeOf(request, change).judge(startMs, { thorough: true, ways: 'all' });
  return judged;
}

/** The same in every way in which its method can be done, the one with the least bother first. */
export const judgedWays = (request: CellRequest, startMs: number): Judged[] =>
  judgeOf(request, (method) => method)
    .judgeWays(startMs)
    .map(({ pieces: _, ...judged }) => judged);

function judgeOf(request: CellRequest, change: (method: Method) => Method): BandJudge {
  const { place, control, roadAhead } = request;
  const methods = methodsByCold({ ...request, fittings: fittingsOf(place) });
  const methodAt = (placeC: number | null): Method => change(methods(request.methodId, placeC));
  const weather = { control: new PlaceWeather(new PlaceCalendar(place), control, roadAhead), members: [] };
  return new BandJudge(place, methodAt, request, weather);
}
