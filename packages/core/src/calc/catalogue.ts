import type { Calculator, NamedSum, Solver } from './calculator.js';
import * as filmSums from './film-sums.js';
import { scheduleSum } from './schedule-sum.js';
import * as waterSums from './water-sums.js';
import * as weatherSums from './weather-sums.js';

/** Every sum that is answered at once, by name. */
export const CALCULATORS: ReadonlyMap<string, Calculator> = new Map(
  [...Object.values(weatherSums), ...Object.values(filmSums), ...Object.values(waterSums)].map(
    (calculator) => [calculator.name, calculator],
  ),
);

/** Every sum that searches for its answer, by name. */
export const SOLVERS: ReadonlyMap<string, Solver> = new Map([[scheduleSum.name, scheduleSum]]);

/** All of them, as they are listed. */
export const allSums = (): NamedSum[] => [...CALCULATORS.values(), ...SOLVERS.values()];
