import type { Calculator } from './calculator.js';
import * as filmSums from './film-sums.js';
import * as waterSums from './water-sums.js';
import * as weatherSums from './weather-sums.js';

/** Every sum that is answered at once, by name. */
export const CALCULATORS: ReadonlyMap<string, Calculator> = new Map(
  [...Object.values(weatherSums), ...Object.values(filmSums), ...Object.values(waterSums)].map(
    (calculator) => [calculator.name, calculator],
  ),
);
