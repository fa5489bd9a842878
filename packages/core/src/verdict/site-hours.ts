import { type Place } from '../place/index.js';
import { PlaceCalendar } from './place-calendar.js';
import type { RoadAhead } from './road-ahead.js';
import { PlaceWeather } from './place-weather.js';
import { type WeatherSpan } from './weather-span.js';

/** One place under the control forecast and every member; serves any number of vehicles. */
export interface PlaceSite {
  readonly place: Place;
  readonly control: PlaceWeather;
  readonly members: readonly PlaceWeather[];
}

/** Prepares places under a forecast. */
export function placeSites(
  places: readonly Place[],
  forecast: {
    readonly control: WeatherSpan;
    readonly members: readonly WeatherSpan[];
    readonly roadAhead?: RoadAhead | null;
  },
): PlaceSite[] {
  return places.map((place) => {
    const calendar = new PlaceCalendar(place);
    return {
      place,
      control: new PlaceWeather(calendar, forecast.control, forecast.roadAhead ?? null),
      members: forecast.members.map((member) => new PlaceWeather(calendar, member)),
    };
  });
}
