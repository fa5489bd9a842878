import { chemicalClashes, isSameBatch, type Mix, notRinsed } from '../kit/index.js';
import {
  type Method,
  type PartId,
  STEP_KINDS,
  wetUnder,
  type StepCaution,
  type StepReason,
  type WashStep,
  type WashStepId,
} from '../method/index.js';
import type { PanelId, SeasonJobId, ZoneGroup } from '../vehicle/index.js';
import { besideNeighbour, clashFault, faultsOf, ofStrong, reasonOf, underneath } from './step-faults.js';
import type { StepFault, StepsAround, WetEdge } from './steps-around.js';

/** The dwell of one step, cut to what the panels allow. */
export interface StepDwell {
  readonly minMinutes: number;
  readonly maxMinutes: number;
  /** The product's own longest by its label, which no water over it lengthens; absent in sheets made before it was kept. */
  readonly labelMinutes?: number;
  /** The panel whose wet edge cuts it; null: the product's own longest. */
  readonly cutBy: PanelId | null;
  /** What happens to it there when its time is over; null where nothing cuts it. */
  readonly cutAs: 'dries' | 'freezes' | null;
  /** It dries or freezes on before it has worked: smaller sections, or wet it again. */
  readonly isTooShort: boolean;
}

export interface RunStep {
  readonly id: WashStepId;
  readonly groups: readonly ZoneGroup[];
  /** The work of the season that it belongs to; absent: it is of the wash. */
  readonly jobId?: SeasonJobId;
  /** Its key in the shop's own order; absent: the method is done as it ships. */
  readonly key?: string;
  /** The part of the car that it is done on; null: all of it. */
  readonly part: PartId | null;
  readonly direction: WashStep['direction'] | null;
  /** Minutes from the beginning of the visit. */
  readonly fromMinute: number;
  readonly minutes: number;
  readonly litres: number;
  readonly onMeter: boolean;
  /** The meter is stopped, or paused, when this step ends. */
  readonly stopsMeter: boolean;
  readonly dwell: StepDwell | null;
  /** How long what dwells stays wet here, minutes; null: longer than was watched; absent: nothing dwells, or not kept then. */
  readonly wetMinutes?: number | null;
  /** What is put on; null: nothing, or the site's own. */
  readonly mix: Mix | null;
  /** In the shop's own words; empty: none. */
  readonly note: string;
  /** What is wrong with it here, each with its number. */
  readonly faults: readonly StepFault[];
  readonly reason: StepReason;
  readonly cautions: readonly StepCaution[];
}

/** Does this step go over all that the other was put on, so that it is kept wet? */
export const covers = (
  over: Pick<RunStep, 'groups' | 'part'>,
  under: Pick<RunStep, 'groups' | 'part'>,
): boolean =>
  (over.part === null || over.part === under.part) &&
  under.groups.every((group) => over.groups.includes(group));

/** Which paid run of the meter each step belongs to; null: it is off the meter. Steps that follow each other on it are one run. */
export function meterRunOf(steps: readonly Pick<WashStep, 'onMeter'>[]): (number | null)[] {
  let run = -1;
  return steps.map(({ onMeter }, i) => {
    if (!onMeter) return null;
    if (!steps[i - 1]?.onMeter) run += 1;
    return run;
  });
}

/** The first to dry or freeze; null: none does. */
function firstToEnd(edges: readonly WetEdge[]): WetEdge | null {
  const ending = edges.filter(({ minutes }) => minutes !== null);
  return ending.reduce<WetEdge | null>(
    (first, edge) =>
      first === null || (edge.minutes ?? Infinity) < (first.minutes ?? Infinity) ? edge : first,
    null,
  );
}

/** The dwell that a product is given here: never longer than the panel stays wet. */
export function boundedDwell(dwell: NonNullable<WashStep['dwell']>, edges: readonly WetEdge[]): StepDwell {
  const first = firstToEnd(edges);
  const edgeMinutes = first?.minutes ?? Infinity;
  const isCut = edgeMinutes < dwell.maxMinutes;
  return {
    minMinutes: dwell.minMinutes,
    maxMinutes: Math.min(dwell.maxMinutes, edgeMinutes),
    labelMinutes: dwell.maxMinutes,
    cutBy: isCut ? (first?.panel ?? null) : null,
    cutAs: isCut && first && first.ends !== 'lasts' ? first.ends : null,
    isTooShort: edgeMinutes < dwell.minMinutes,
  };
}

/** Is it mixed for this step? Steps of old packs do not say what they put on. */
const isMixOf = (mix: Mix, { id, product }: WashStep): boolean =>
  mix.step === id &&
  (product === undefined ||
    (mix.role === product.role &&
      (mix.product?.id ?? null) === product.id &&
      (product.hasOwnParts !== true || mix.parts === product.parts)));

/** What of a batch goes on with this step, where its kind stands there several times. */
function shareOfMix(mix: Mix, step: WashStep, steps: readonly WashStep[]): Mix {
  const same = steps.filter((one) => isSameBatch(one, step));
  if (same.length === 1) return mix;
  // By what goes on with each part; by minutes where a pack does not say.
  const of = ({ product, minutes }: WashStep): number => product?.productMl ?? minutes;
  const share = of(step) / same.reduce((sum, one) => sum + of(one), 0);
  const { fills: _, costMinor, ...batch } = mix;
  return {
    ...batch,
    productMl: mix.productMl * share,
    waterMl: mix.waterMl * share,
    caps: mix.caps === null ? null : mix.caps * share,
    ...(costMinor === undefined ? {} : { costMinor: costMinor * share }),
  };
}

/**
 * In which order is this wash done, for how long each, and why there?
 *
 * @param method as the shop does it
 * @param around wet edges, panels, meter, mixes and the place
 * @returns steps in order; dwell by the label of the product where there is one, never longer than the wet edge of the panels it
 * lies on; what is wrong with each
 */
export function runSteps(method: Pick<Method, 'steps' | 'setUpMinutes'>, around: StepsAround): RunStep[] {
  const runs = meterRunOf(method.steps);
  let atMinute = method.setUpMinutes / 2;
  // Once the ground is wet it stays so: told where the first water falls.
  const firstWet = method.steps.findIndex(({ litres }) => litres > 0);
  const firstOnGlass = method.steps.findIndex(({ litres, groups }) => litres > 0 && groups.includes('upper'));
  const mixes = method.steps.map((step) => around.mixes.find((mix) => isMixOf(mix, step)) ?? null);
  const lastRun = Math.max(...runs.map((run) => run ?? -1));
  const laid = method.steps.map((step, i) => ({
    ...step,
    inUsePh: step.product?.inUsePh ?? mixes[i]?.product?.inUsePh ?? null,
  }));
  const stays = notRinsed(laid);
  const clashes = chemicalClashes(laid);
  const wet = wetUnder(method.steps);
  return method.steps.map((step, i): RunStep => {
    const run = runs[i] ?? null;
    const endsRun = run !== null && runs[i + 1] !== run;
    const fromMinute = atMinute;
    atMinute += step.minutes;
    const wheelsLast = step.id === 'wheels' && i > 0;
    const wets = i === firstWet && around.isGroundFreezing;
    const mix = mixes[i] ?? null;
    const dwell = step.dwell && ((step.hasOwnDwell ? null : mix?.product?.dwell) ?? step.dwell);
    const clash = clashes.find(({ over }) => over === i);
    const under = clash && method.steps[clash.under]?.id;
    const unrinsed = stays[i] ?? [];
    const standing = method.steps[wet[i] ?? -1]?.id;
    return {
      id: step.id,
      groups: step.groups,
      ...(step.jobId ? { jobId: step.jobId } : {}),
      ...(step.key ? { key: step.key } : {}),
      part: step.part ?? null,
      direction: step.direction ?? null,
      note: step.note ?? '',
      fromMinute,
      minutes: step.minutes,
      litres: step.litres,
      onMeter: step.onMeter,
      stopsMeter: endsRun && around.stopAfter !== null && (run === lastRun || around.stopAfter.includes(run)),
      dwell: dwell && boundedDwell(dwell, around.edges.get(i) ?? around.lowEdges),
      ...(dwell ? { wetMinutes: firstToEnd(around.edges.get(i) ?? around.lowEdges)?.minutes ?? null } : {}),
      mix: mix && shareOfMix(mix, step, method.steps),
      faults: [
        ...faultsOf(step, mix, i === firstOnGlass, around),
        ...(under && clash ? [clashFault(clash.kind, under)] : []),
        ...(standing ? [{ kind: 'wet-paint' as const, wet: standing }] : []),
        ...(unrinsed.length > 0 ? [{ kind: 'not-rinsed' as const, groups: unrinsed }] : []),
      ],
      reason: wheelsLast ? 'dirtiest-last' : reasonOf(step, around),
      cautions: [
        ...STEP_KINDS[step.id].cautions,
        ...ofStrong(step, laid[i]?.inUsePh ?? null),
        ...underneath(step, around),
        ...besideNeighbour(step, around),
        ...(wets ? [around.isRoofed ? ('ice-on-floor' as const) : ('ice-underfoot' as const)] : []),
      ],
    };
  });
}
