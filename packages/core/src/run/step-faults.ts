import type { ChemicalClash, Mix } from '../kit/index.js';
import {
  isStrong,
  reachOf,
  STEP_KINDS,
  type StepCaution,
  type StepReason,
  type WashStep,
  type WashStepId,
} from '../method/index.js';
import type { SiteRule } from '../place/index.js';
import type { StepFault, StepsAround } from './steps-around.js';

/** Water so much warmer than ice cracks cold glass (judgement). */
const HOT_WATER_C = 25;
/** Less than this is wiped up (judgement). */
const PUDDLE_LITRES = 2;

const NEEDS_RULE: Readonly<Partial<Record<WashStepId, SiteRule>>> = {
  contact: 'no-own-bucket',
  foam: 'no-own-foam',
};

const isNeighbourClose = ({ forbids }: Pick<StepsAround, 'forbids'>): boolean =>
  forbids.includes('neighbour-close');

const OPENS_DOORS: ReadonlySet<WashStepId> = new Set(['shuts', 'charge-port', 'mats']);

const isUnderCar = ({ id, groups }: WashStep): boolean =>
  id.startsWith('underbody') && groups.includes('under');

/** What has to be minded under a car, where it may be lifted. */
export const underneath = (step: WashStep, { lifts }: StepsAround): StepCaution[] =>
  lifts && isUnderCar(step) && !STEP_KINDS[step.id].cautions.includes('never-under-a-jack')
    ? ['never-under-a-jack']
    : [];

const DIPS: ReadonlySet<WashStepId> = new Set(['contact', 'rinseless', 'strip']);

/** What has to be minded where a hand goes back into a bucket without a guard. */
export const inTheBucket = ({ id }: WashStep, { hasNoGuard }: StepsAround): StepCaution[] =>
  hasNoGuard && DIPS.has(id) ? ['grit-in-the-bucket'] : [];

/** What has to be minded at a step for the sake of the car that stands close. */
export function besideNeighbour(step: WashStep, around: StepsAround): StepCaution[] {
  if (!isNeighbourClose(around)) return [];
  if (OPENS_DOORS.has(step.id)) return ['one-door-at-a-time'];
  if (reachOf(step) !== 'drifts') return [];
  return [step.id === 'blow' ? 'blow-away-from-neighbour' : 'spray-at-the-cloth'];
}

export function faultsOf(
  step: WashStep,
  { mix, isFirstOnGlass }: { readonly mix: Mix | null; readonly isFirstOnGlass: boolean },
  around: StepsAround,
): StepFault[] {
  const rule = step.onMeter ? undefined : NEEDS_RULE[step.id];
  const { glassC, waterC, forbids, hasNoDrain } = around;
  const isForbidden = rule !== undefined && forbids.includes(rule);
  const isContact = step.contact && forbids.includes('no-contact');
  const landsOnNext = isNeighbourClose(around) && reachOf(step) === 'flies';
  return [
    ...(mix?.faults ?? []),
    ...(isForbidden ? [{ kind: 'forbidden' as const, rule }] : []),
    ...(isContact ? [{ kind: 'forbidden' as const, rule: 'no-contact' as const }] : []),
    ...(landsOnNext ? [{ kind: 'forbidden' as const, rule: 'neighbour-close' as const }] : []),
    ...(isFirstOnGlass && glassC < 0 && waterC >= HOT_WATER_C
      ? [{ kind: 'hot-on-frozen-glass' as const, glassC, waterC }]
      : []),
    ...(hasNoDrain && step.litres > PUDDLE_LITRES
      ? [{ kind: 'no-drain' as const, litres: step.litres }]
      : []),
  ];
}

/** A clash as a step tells of it. */
export const clashFault = (kind: ChemicalClash['kind'], under: WashStepId): StepFault =>
  kind === 'acid-over-alkali' ? { kind, alkali: under } : { kind, acid: under };

/** What a strong acid or alkali asks for besides what its step does; a mild product asks for nothing. */
export const ofStrong = ({ id }: WashStep, inUsePh: number | null): readonly StepCaution[] => {
  if (inUsePh === null || !isStrong(inUsePh)) return [];
  const own = STEP_KINDS[id].cautions;
  const wanted = ['gloves-and-goggles', 'never-acid-over-alkali'] as const;
  return wanted.filter((caution) => !own.includes(caution));
};

/** Why a step stands there, as it is true here. */
export function reasonOf({ id }: WashStep, { gapsFreeze }: StepsAround): StepReason {
  const { reason } = STEP_KINDS[id];
  return reason === 'gaps-hold-water' && gapsFreeze ? 'gaps-freeze' : reason;
}
