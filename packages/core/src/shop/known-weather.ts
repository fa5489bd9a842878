import { MS_PER_HOUR } from '../quantity/index.js';
import type { WeatherSpan } from '../verdict/index.js';
import type { WeatherHour } from '../weather/index.js';
import type { ShopWeather } from './shop-facts.js';

/** History that an unheated garage and a frozen tap look back on. */
const LOOK_BACK_HOURS = 36;

/** The recent past and one course of the future as one span. */
export function spanOf(
  { fromMs, observed }: Pick<ShopWeather, 'fromMs' | 'observed'>,
  ahead: readonly (WeatherHour | null)[],
): WeatherSpan {
  const past = observed.slice(-LOOK_BACK_HOURS);
  return { fromMs: fromMs - past.length * MS_PER_HOUR, hours: [...past, ...ahead] };
}

/** The same with the most likely course. */
export const controlSpan = (weather: ShopWeather): WeatherSpan => spanOf(weather, weather.control);
