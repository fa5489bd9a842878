import {
  EXTRA_STEPS,
  extraKey,
  type HouseRules,
  ownOrderKeys,
  shopMethod,
  stepKeys,
  type Variant,
  type WashedCar,
  type WashStepId,
} from '@keen/core';

/** A step as it stands in the editor. */
export interface OwnStep {
  readonly key: string;
  readonly id: WashStepId;
  /** As the method has it. */
  readonly shippedMinutes: number;
  readonly minutes: number | string;
  readonly note: string;
  readonly isLeftOut: boolean;
  readonly isExtra: boolean;
}

const NOTHING: Variant = { steps: [], leftOut: [] };

/** The steps of a method for the editor: in the shop's own order, those left out among them; minutes are a saloon's. */
export function ownSteps(
  methodId: string,
  house: HouseRules,
  { bodyClass: _, ...car }: WashedCar,
): OwnStep[] {
  const variant = house.variants?.[methodId] ?? NOTHING;
  const { steps } = shopMethod(methodId, { ...house, variants: {} }, car);
  const keys = stepKeys(steps);
  return ownOrderKeys(steps, variant).flatMap((key): OwnStep[] => {
    const step = steps[keys.indexOf(key)] ?? EXTRA_STEPS.find(({ id }) => extraKey(id) === key);
    const own = variant.steps.find((one) => one.key === key);
    if (!step) return [];
    return [
      {
        key,
        id: step.id,
        shippedMinutes: step.minutes,
        minutes: own?.minutes ?? step.minutes,
        note: own?.note ?? '',
        isLeftOut: variant.leftOut.includes(key),
        isExtra: !keys.includes(key),
      },
    ];
  });
}

/** Steps that can still be added. */
export const extrasFor = (steps: readonly OwnStep[]): WashStepId[] =>
  EXTRA_STEPS.map(({ id }) => id).filter((id) => !steps.some((step) => step.id === id));

export function withExtra(steps: readonly OwnStep[], id: WashStepId): OwnStep[] {
  const extra = EXTRA_STEPS.find((step) => step.id === id);
  if (!extra) return [...steps];
  const { minutes } = extra;
  const added = {
    key: extraKey(id),
    id,
    shippedMinutes: minutes,
    minutes,
    note: '',
    isLeftOut: false,
    isExtra: true,
  };
  return [...steps, added];
}

/** One place up (−1) or down (1). */
export function movedBy(steps: readonly OwnStep[], key: string, by: 1 | -1): OwnStep[] {
  const from = steps.findIndex((step) => step.key === key);
  const to = from + by;
  const moved = steps[from];
  if (!moved || to < 0 || to >= steps.length) return [...steps];
  const rest = steps.filter((step) => step.key !== key);
  return [...rest.slice(0, to), moved, ...rest.slice(to)];
}

const MOST_MINUTES = 240;

/** What is wrong with the minutes of each step, by its key. */
export const minuteErrors = (steps: readonly OwnStep[]): Record<string, string> =>
  Object.fromEntries(
    steps.flatMap(({ key, minutes, isLeftOut }) =>
      isLeftOut || (Number(minutes) > 0 && Number(minutes) <= MOST_MINUTES)
        ? []
        : [[key, `Above 0, up to ${MOST_MINUTES}.`]],
    ),
  );

/** The editor's steps as they are kept. Only for steps without faults. */
export const variantFrom = (steps: readonly OwnStep[]): Variant => ({
  steps: steps
    .filter(({ isLeftOut }) => !isLeftOut)
    .map(({ key, minutes, shippedMinutes, note }) => ({
      key,
      minutes: Number(minutes) === shippedMinutes ? null : Number(minutes),
      note: note.trim(),
    })),
  leftOut: steps.filter(({ isLeftOut, isExtra }) => isLeftOut && !isExtra).map(({ key }) => key),
});
