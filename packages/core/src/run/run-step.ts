import type { Method, WashStep, WashStepId } from '../method/index.js';
import type { Panel, PanelId, ZoneGroup } from '../vehicle/index.js';

/** How long a panel stays wet before it dries or freezes, whichever comes first. */
export interface WetEdge {
  readonly panel: PanelId;
  /** null: not within the hours that were followed. */
  readonly minutes: number | null;
  readonly ends: 'dries' | 'freezes' | 'lasts';
}

/** The dwell of one step, cut to what the panels allow. */
export interface StepDwell {
  readonly fromMinutes: number;
  readonly toMinutes: number;
  /** The panel whose wet edge cuts it; null: the product's own longest. */
  readonly cutBy: PanelId | null;
  /** What happens to it there when its time is over; null where nothing cuts it. */
  readonly cutAs: 'dries' | 'freezes' | null;
  /** It dries or freezes on before it has worked: smaller sections, or wet it again. */
  readonly isTooShort: boolean;
}

export const RUN_REASONS = [
  'no-wet-paint-left-waiting',
  'dirtiest-last',
  'dwells-while-others-are-done',
  'loose-dirt-before-touch',
  'salt-sits-under',
  'hand-takes-what-is-left',
  'minerals-leave-with-the-towel',
  'gaps-hold-water',
  'last-water-decides-spots',
  'bare-paint-wants-cover',
  'machine-does-it',
] as const;
/** Why a step stands where it stands. */
export type RunReason = (typeof RUN_REASONS)[number];

export const RUN_CAUTIONS = [
  'data-sheet',
  'mains-near-water',
  'no-jet-at-sensors',
  'weight-of-the-mitt',
  'never-under-a-jack',
  'ice-underfoot',
  'gloves-and-goggles',
] as const;
/** What has to be minded at a step. */
export type RunCaution = (typeof RUN_CAUTIONS)[number];

export interface RunStep {
  readonly id: WashStepId;
  readonly groups: readonly ZoneGroup[];
  readonly direction: WashStep['direction'] | null;
  /** Minutes from the beginning of the visit. */
  readonly fromMinute: number;
  readonly minutes: number;
  readonly litres: number;
  readonly onMeter: boolean;
  /** The meter is stopped, or paused, when this step ends. */
  readonly stopsMeter: boolean;
  readonly dwell: StepDwell | null;
  readonly reason: RunReason;
  readonly cautions: readonly RunCaution[];
}

const REASONS: Readonly<Record<WashStepId, RunReason>> = {
  'machine-soak': 'machine-does-it',
  'machine-jets': 'machine-does-it',
  'machine-blower': 'machine-does-it',
  wheels: 'no-wet-paint-left-waiting',
  foam: 'dwells-while-others-are-done',
  'pre-soak': 'loose-dirt-before-touch',
  rinse: 'loose-dirt-before-touch',
  arches: 'salt-sits-under',
  'underbody-bounce': 'salt-sits-under',
  'underbody-ramps': 'salt-sits-under',
  contact: 'hand-takes-what-is-left',
  rinseless: 'hand-takes-what-is-left',
  'spray-wipe': 'hand-takes-what-is-left',
  'final-rinse': 'last-water-decides-spots',
  blow: 'gaps-hold-water',
  towel: 'minerals-leave-with-the-towel',
  shuts: 'gaps-hold-water',
  strip: 'hand-takes-what-is-left',
  seal: 'bare-paint-wants-cover',
};

const CAUTIONS: Readonly<Partial<Record<WashStepId, readonly RunCaution[]>>> = {
  wheels: ['data-sheet', 'gloves-and-goggles'],
  foam: ['data-sheet'],
  'pre-soak': ['data-sheet'],
  rinse: ['no-jet-at-sensors'],
  arches: ['no-jet-at-sensors'],
  'underbody-ramps': ['never-under-a-jack'],
  contact: ['weight-of-the-mitt'],
  rinseless: ['weight-of-the-mitt'],
  blow: ['mains-near-water'],
  strip: ['data-sheet', 'gloves-and-goggles'],
  seal: ['data-sheet'],
};

/** Which paid run of the meter each step belongs to; null: it is off the meter. Steps that follow each other on it are one run. */
export function meterRunOf(steps: readonly Pick<WashStep, 'onMeter'>[]): (number | null)[] {
  let run = -1;
  return steps.map(({ onMeter }, i) => {
    if (!onMeter) return null;
    if (!steps[i - 1]?.onMeter) run += 1;
    return run;
  });
}

/** Panels that stand for a group of zones: what is low and behind wheels stays wet as the flanks do. */
function panelsFor(
  groups: readonly ZoneGroup[],
  panels: readonly Pick<Panel, 'id' | 'tiltDeg'>[],
): PanelId[] {
  const isWhole = groups.includes('upper');
  const wanted = panels.filter(({ tiltDeg }) => (isWhole ? true : tiltDeg >= UPRIGHT_DEG));
  return wanted.map(({ id }) => id);
}
const UPRIGHT_DEG = 80;

/** The first of these panels to dry or freeze; null: none does. */
function firstToEnd(panels: readonly PanelId[], edges: readonly WetEdge[]): WetEdge | null {
  const ending = edges.filter(({ panel, minutes }) => panels.includes(panel) && minutes !== null);
  return ending.reduce<WetEdge | null>(
    (first, edge) =>
      first === null || (edge.minutes ?? Infinity) < (first.minutes ?? Infinity) ? edge : first,
    null,
  );
}

/** The dwell that a product is given here: never longer than the panel stays wet. */
export function boundedDwell(
  dwell: NonNullable<WashStep['dwell']>,
  panels: readonly PanelId[],
  edges: readonly WetEdge[],
): StepDwell {
  const first = firstToEnd(panels, edges);
  const edgeMinutes = first?.minutes ?? Infinity;
  const isCut = edgeMinutes < dwell.to;
  return {
    fromMinutes: dwell.from,
    toMinutes: Math.min(dwell.to, edgeMinutes),
    cutBy: isCut ? (first?.panel ?? null) : null,
    cutAs: isCut && first && first.ends !== 'lasts' ? first.ends : null,
    isTooShort: edgeMinutes < dwell.from,
  };
}

/**
 * In which order is this wash done, for how long each, and why there?
 *
 * @param method as the shop does it
 * @param around wet edge of each panel in that hour, the panels, after which paid runs the meter is stopped, whether the ground freezes
 * @returns steps in order; dwell never longer than the wet edge of the panels it lies on
 */
export function runSteps(
  method: Pick<Method, 'steps' | 'setUpMinutes'>,
  around: {
    readonly edges: readonly WetEdge[];
    readonly panels: readonly Pick<Panel, 'id' | 'tiltDeg'>[];
    readonly stopAfter: readonly number[];
    readonly isGroundFreezing: boolean;
  },
): RunStep[] {
  const runs = meterRunOf(method.steps);
  let atMinute = method.setUpMinutes / 2;
  // Once the ground is wet it stays so: told where the first water falls.
  const firstWet = method.steps.findIndex(({ litres }) => litres > 0);
  return method.steps.map((step, i): RunStep => {
    const run = runs[i] ?? null;
    const endsRun = run !== null && runs[i + 1] !== run;
    const fromMinute = atMinute;
    atMinute += step.minutes;
    const wheelsLast = step.id === 'wheels' && i > 0;
    const wets = i === firstWet && around.isGroundFreezing;
    return {
      id: step.id,
      groups: step.groups,
      direction: step.direction ?? null,
      fromMinute,
      minutes: step.minutes,
      litres: step.litres,
      onMeter: step.onMeter,
      stopsMeter: endsRun && around.stopAfter.includes(run),
      dwell: step.dwell && boundedDwell(step.dwell, panelsFor(step.groups, around.panels), around.edges),
      reason: wheelsLast ? 'dirtiest-last' : REASONS[step.id],
      cautions: [...(CAUTIONS[step.id] ?? []), ...(wets ? (['ice-underfoot'] as const) : [])],
    };
  });
}
