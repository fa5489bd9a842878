import { highest, goodStart, originals, type Start } from './good-start.js';
import { programModel } from './program-model.js';
import { Roster } from './roster.js';
import {
  isProven,
  type Schedule,
  scheduleOf,
  type ScheduleProblem,
  type ScheduleWatch,
} from './schedule-problem.js';

export interface SolveWatch extends ScheduleWatch {
  /** Seconds since some moment; the core has no clock of its own. */
  readonly clockSeconds: () => number;
  readonly timeLimitSeconds: number;
}

/** The share of the time that the good start may take. */
const START_SHARE = 0.75;
/** Options of the first programme; each next one takes in twice as many. */
const FIRST_KERNEL = 400;

function betterOf(roster: Roster, chosen: readonly number[] | null, { compiled }: Start): Roster {
  if (!chosen) return roster;
  const value = chosen.reduce((sum, i) => sum + (compiled.value[i] ?? 0), 0);
  if (value <= roster.value) return roster;
  const other = new Roster(compiled);
  for (const i of chosen) other.add(i);
  return other;
}

/**
 * Proves a start, or betters it, by a row of integer programmes: each takes in the options with which a schedule could be worth more than a
 * floor, so that its answer and the floor together bound every schedule; the floor sinks until the two meet.
 */
async function prove(
  problem: ScheduleProblem,
  start: Start,
  watch: Required<ScheduleWatch> & { secondsLeft: () => number },
): Promise<Schedule> {
  const { loadSolver, solveProgram } = await import('./integer-program.js');
  const highs = await loadSolver();
  const { compiled, bounds } = start;
  const { grain } = compiled;
  let best = start.roster;
  let bound = start.prices.bestBound;
  const told = (): Schedule => scheduleOf(problem, originals(compiled, best), bound);
  for (let size = FIRST_KERNEL; !isProven(best.value, bound, grain); size *= 2) {
    const secondsLeft = watch.secondsLeft();
    if (secondsLeft <= 0 || watch.isOver()) break;
    const enough = best.value + grain * (1 - 1e-6);
    const options = highest(bounds, size, best).filter((i) => bounds[i]! > enough || best.has(i));
    const inside = new Set(options);
    const floor = bounds.reduce((most, b, i) => (inside.has(i) ? most : Math.max(most, b)), -Infinity);
    const result = solveProgram(highs, programModel(compiled, options), {
      secondsLeft,
      isOver: watch.isOver,
      startWith: options.flatMap((i, column) => (best.has(i) ? [column] : [])),
      onBetter: (chosen) => {
        best = betterOf(best, chosen, start);
        watch.onBetter(told());
      },
    });
    best = betterOf(best, result.chosen, start);
    const inKernel = result.isProven ? best.value : result.bound;
    bound = Math.min(bound, Math.max(floor, inKernel, best.value));
    watch.onBetter(told());
  }
  return told();
}

/**
 * Which job is done when, where and by whom, so that all together is worth the most?
 *
 * @param problem jobs, places, hands, stock, and the ways to do each job
 * @param watch time, and who is told of every better schedule
 * @returns options chosen, their value, and a bound that no schedule passes; `proven` where the two meet
 * @throws what the solver's library throws; nothing of the problem is at fault then
 * Model: a bound by priced paths (Lagrangian relaxation) and a good schedule by diving along them and local search; then integer
 * programmes, solved by HiGHS, of ever more options. Same problem, same answer, unless time runs out.
 * @example await solveSchedule(problem, { clockSeconds, timeLimitSeconds: 10 })
 */
export async function solveSchedule(problem: ScheduleProblem, watch: SolveWatch): Promise<Schedule> {
  const startSeconds = watch.clockSeconds();
  const spent = (): number => watch.clockSeconds() - startSeconds;
  const isOver = watch.isOver ?? ((): boolean => false);
  const onBetter = watch.onBetter ?? ((): void => undefined);
  const start = goodStart(problem, {
    onBetter,
    spentShare: () => (isOver() ? Infinity : spent() / (START_SHARE * watch.timeLimitSeconds)),
  });
  const secondsLeft = (): number => watch.timeLimitSeconds - spent();
  return prove(problem, start, { isOver, onBetter, secondsLeft });
}
