import type { NamedSum, Solver } from './calculator.js';
import { CALCULATORS } from './catalogue.js';
import { scheduleSum } from './schedule-sum.js';

/** Every sum that searches for its answer, by name. */
export const SOLVERS: ReadonlyMap<string, Solver> = new Map([[scheduleSum.name, scheduleSum]]);

/** All of them, as they are listed. */
export const allSums = (): NamedSum[] => [...CALCULATORS.values(), ...SOLVERS.values()];
