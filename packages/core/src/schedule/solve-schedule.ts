import { type Known, Search, type Start } from './search.js';
import { programModel } from './program-model.js';
import { Roster } from './roster.js';
import { isProven, type Schedule, type ScheduleProblem, type ScheduleWatch } from './schedule-problem.js';
import { highest } from './tighten-bound.js';

export interface SolveWatch extends ScheduleWatch {
  /** Seconds since some moment; the core has no clock of its own. */
  readonly clockSeconds: () => number;
  readonly timeLimitSeconds: number;
}

/** The share of the time that the search for a good start may take, and of that what it takes to begin with where time is ample. */
const SEARCH_FRACTION = 0.75;
const FIRST_SEARCH_FRACTION = 0.15;
/**
 * With so much time a proof is tried early on: at once, since a shop's plan may be proven sooner than a good start is found; and of what
 * a first dive has found, before more is searched for.
 */
const AMPLE_SECONDS = 20;
const FIRST_PROOF_FRACTION = 0.02;
const QUICK_PROOF_FRACTION = 0.2;
/** Options of the first programme; each next one takes in twice as many. */
const FIRST_KERNEL = 400;

function rosterWith(roster: Roster, chosen: readonly number[] | null, { compiled }: Start): Roster {
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
  start: Start,
  watch: Required<ScheduleWatch> & { secondsLeft: () => number },
): Promise<Known> {
  const { compiled, bounds } = start;
  const { grain } = compiled;
  let { roster: best, bound } = start;
  const isDone = (): boolean =>
    isProven(best.value, bound, grain) || watch.secondsLeft() <= 0 || watch.isOver();
  if (isDone()) return { roster: best, bound };
  const { loadSolver, solveProgram } = await import('./integer-program.js');
  const highs = await loadSolver();
  for (let size = FIRST_KERNEL; !isDone(); size *= 2) {
    const enough = best.value + grain * (1 - 1e-6);
    const options = highest(bounds, size, best).filter((i) => bounds[i]! > enough || best.has(i));
    const inside = new Set(options);
    const floor = bounds.reduce((most, b, i) => (inside.has(i) ? most : Math.max(most, b)), -Infinity);
    const result = solveProgram(highs, programModel(compiled, options), {
      secondsLeft: watch.secondsLeft(),
      isOver: watch.isOver,
      startWith: options.flatMap((i, column) => (best.has(i) ? [column] : [])),
      onBetter: (chosen) => {
        best = rosterWith(best, chosen, start);
        watch.onBetter(best.toSchedule(bound));
      },
    });
    best = rosterWith(best, result.chosen, start);
    const inKernel = result.isProven ? best.value : result.bound;
    bound = Math.min(bound, Math.max(floor, inKernel, best.value));
    watch.onBetter(best.toSchedule(bound));
  }
  return { roster: best, bound };
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
  const { timeLimitSeconds } = watch;
  const secondsLeft = (): number => timeLimitSeconds - spent();
  const shareOf = (share: number) => (): number =>
    isOver() ? Infinity : spent() / (share * timeLimitSeconds);
  const isAmple = timeLimitSeconds >= AMPLE_SECONDS;
  const spentFraction = shareOf(isAmple ? SEARCH_FRACTION * FIRST_SEARCH_FRACTION : SEARCH_FRACTION);
  const search = new Search(problem, { onBetter, spentFraction });
  const proveWithin = async (share: number): Promise<void> => {
    const untilSeconds = spent() + share * timeLimitSeconds;
    const quick = { isOver, onBetter, secondsLeft: () => Math.min(untilSeconds - spent(), secondsLeft()) };
    search.learn(await prove(search.start, quick));
  };
  if (isAmple) {
    await proveWithin(FIRST_PROOF_FRACTION);
    search.run(shareOf(SEARCH_FRACTION), 1);
    await proveWithin(QUICK_PROOF_FRACTION);
  }
  search.run(shareOf(SEARCH_FRACTION));
  const { roster, bound } = await prove(search.start, { isOver, onBetter, secondsLeft });
  return roster.toSchedule(bound);
}
