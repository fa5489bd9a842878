import highsModule, { type Highs } from 'highs';
import type { ProgramModel } from './program-model.js';

// The package describes itself as CommonJS; what is imported is its ES module, whose default export is the loader.
const loader = highsModule as unknown as () => Promise<Highs>;

let loading: Promise<Highs> | undefined;

/** The library, loaded once. */
export const loadSolver = (): Promise<Highs> => (loading ??= loader());

export interface ProgramResult {
  /** Compiled options of the best found; null: none better than the one it began with. */
  readonly chosen: readonly number[] | null;
  readonly bound: number;
  readonly isProven: boolean;
}

export interface ProgramWatch {
  readonly secondsLeft: number;
  readonly isOver: () => boolean;
  readonly onBetter: (chosen: readonly number[], bound: number) => void;
}

const chosenOf = (model: ProgramModel, values: Float64Array): number[] =>
  model.options.filter((_, column) => (values[column] ?? 0) > 0.5);

/**
 * Solves the programme by branch and cut (HiGHS).
 *
 * @param startWith columns of a schedule known already; the search begins there
 */
export function solveProgram(
  highs: Highs,
  model: ProgramModel,
  { startWith, ...watch }: ProgramWatch & { readonly startWith: readonly number[] },
): ProgramResult {
  const { modelStatus, callbackType } = highs.constants;
  return highs.withModel(model.data, (solver): ProgramResult => {
    solver.options.set({
      output_flag: false,
      mip_rel_gap: 0,
      mip_abs_gap: 1e-7,
      // Without flows a node is quick, and many of them beat few that are thought over; with flows it is the other way round.
      mip_pscost_minreliable: model.hasFlows ? 8 : 0,
      mip_heuristic_effort: 0.01,
      time_limit: Math.max(0.05, watch.secondsLeft),
    });
    if (startWith.length > 0)
      solver.setSolution({ indices: Int32Array.from(startWith), values: startWith.map(() => 1) });
    const { modelStatus: status } = solver.run({
      [callbackType.mipInterrupt](event) {
        if (watch.isOver()) event.interrupt();
        return undefined;
      },
      [callbackType.mipImprovingSolution](event) {
        const { mip_solution: values, mip_dual_bound: bound = Infinity } = event.data;
        if (values) watch.onBetter(chosenOf(model, values), bound);
        return undefined;
      },
    });
    const isProven = status === modelStatus.optimal;
    const bound = Number(solver.info.get('mip_dual_bound'));
    const hasSolution = Number(solver.info.get('primal_solution_status')) === 2;
    return {
      chosen: hasSolution ? chosenOf(model, solver.getSolution().colValue) : null,
      bound: Number.isFinite(bound) ? bound : Infinity,
      isProven,
    };
  });
}
