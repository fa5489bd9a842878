import { chemicalClashes, type Mix, notRinsed } from '../kit/index.js';
import { type Method, STEP_KINDS, wetUnder, type StepCaution, type WashStep } from '../method/index.js';
import { besideNeighbour, clashFault, faultsOf, inTheBucket, ofStrong, underneath } from './step-faults.js';
import type { StepFault, StepsAround } from './steps-around.js';
import { boundedDwell, firstToEnd, type StepDwell } from './step-dwell.js';
import { isMixOf, shareOfMix } from './step-mix.js';

/** Which paid run of the meter each step belongs to; null: it is off the meter. Steps that follow each other on it are one run. */
export function meterRunOf(steps: readonly Pick<WashStep, 'onMeter'>[]): (number | null)[] {
  let run = -1;
  return steps.map(({ onMeter }, i) => {
    if (!onMeter) return null;
    if (!steps[i - 1]?.onMeter) run += 1;
    return run;
  });
}

/** What the steps of one wash have to do with each other, index by index. */
interface WholeWash {
  readonly steps: readonly WashStep[];
  readonly around: StepsAround;
  readonly runs: readonly (number | null)[];
  readonly mixes: readonly (Mix | null)[];
  /** pH of what is put on; null: nothing, or not known. */
  readonly inUsePh: readonly (number | null)[];
  readonly clashes: ReturnType<typeof chemicalClashes>;
  /** Zones on which what is put on is never rinsed off. */
  readonly stays: ReturnType<typeof notRinsed>;
  /** The step whose water still stands where dry paint is wanted. */
  readonly wet: ReturnType<typeof wetUnder>;
}

export function wholeWash(steps: readonly WashStep[], around: StepsAround): WholeWash {
  const mixes = steps.map((step) => around.mixes.find((mix) => isMixOf(mix, step)) ?? null);
  const inUsePh = steps.map(({ product }, i) => product?.inUsePh ?? mixes[i]?.product?.inUsePh ?? null);
  const laid = steps.map((step, i) => ({ ...step, inUsePh: inUsePh[i] ?? null }));
  return {
    steps,
    around,
    runs: meterRunOf(steps),
    mixes,
    inUsePh,
    clashes: chemicalClashes(laid),
    stays: notRinsed(laid),
    wet: wetUnder(steps),
  };
}

/** Minutes from the beginning of the visit at which each step begins; half the setting up comes before the first. */
export function startMinutes({ steps, setUpMinutes }: Pick<Method, 'steps' | 'setUpMinutes'>): number[] {
  let atMinute = setUpMinutes / 2;
  return steps.map(({ minutes }) => {
    const from = atMinute;
    atMinute += minutes;
    return from;
  });
}

export function stopsMeter(runs: readonly (number | null)[], i: number, { stopAfter }: StepsAround): boolean {
  const run = runs[i] ?? null;
  if (run === null || runs[i + 1] === run || stopAfter === null) return false;
  return run === Math.max(...runs.map((one) => one ?? -1)) || stopAfter.includes(run);
}

export function dwellOf(
  step: WashStep,
  i: number,
  { mix, around }: { readonly mix: Mix | null; readonly around: StepsAround },
): { dwell: StepDwell | null; wetMinutes?: number | null } {
  const dwell = step.dwell && ((step.hasOwnDwell ? null : mix?.product?.dwell) ?? step.dwell);
  if (!dwell) return { dwell: null };
  const edges = around.edges.get(i) ?? around.lowEdges;
  return { dwell: boundedDwell(dwell, edges), wetMinutes: firstToEnd(edges)?.minutes ?? null };
}

export function mixOf(step: WashStep, i: number, { mixes, steps }: WholeWash): Mix | null {
  const mix = mixes[i] ?? null;
  return mix && shareOfMix(mix, step, steps);
}

export function faultsAt(step: WashStep, i: number, whole: WholeWash): StepFault[] {
  const { steps, around, clashes, stays, wet, mixes } = whole;
  const firstOnGlass = steps.findIndex(({ litres, groups }) => litres > 0 && groups.includes('upper'));
  const clash = clashes.find(({ over }) => over === i);
  const under = clash && steps[clash.under]?.id;
  const unrinsed = stays[i] ?? [];
  const standing = steps[wet[i] ?? -1]?.id;
  return [
    ...faultsOf(step, { mix: mixes[i] ?? null, isFirstOnGlass: i === firstOnGlass }, around),
    ...(under && clash ? [clashFault(clash.kind, under)] : []),
    ...(standing ? [{ kind: 'wet-paint' as const, wet: standing }] : []),
    ...(unrinsed.length > 0 ? [{ kind: 'not-rinsed' as const, groups: unrinsed }] : []),
  ];
}

export function cautionsAt(step: WashStep, i: number, { steps, around, inUsePh }: WholeWash): StepCaution[] {
  // Once the ground is wet it stays so: said where the first water falls.
  const wets = around.isGroundFreezing && i === steps.findIndex(({ litres }) => litres > 0);
  return [
    ...STEP_KINDS[step.id].cautions,
    ...ofStrong(step, inUsePh[i] ?? null),
    ...underneath(step, around),
    ...besideNeighbour(step, around),
    ...inTheBucket(step, around),
    ...(wets ? [around.isRoofed ? ('ice-on-floor' as const) : ('ice-underfoot' as const)] : []),
  ];
}
