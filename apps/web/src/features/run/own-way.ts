import {
  addableSteps,
  extraKey,
  extraOf,
  type HouseRules,
  ownOrderKeys,
  shopMethod,
  stepKeys,
  type Variant,
  type WashedCar,
  type WashStep,
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
    const step = steps[keys.indexOf(key)] ?? extraOf(key, steps);
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

/** Steps that can be put into this method, those of its own that it can do once more among them. */
export const addable = (
  methodId: string,
  house: HouseRules,
  { bodyClass: _, ...car }: WashedCar,
): WashStep[] => addableSteps(shopMethod(methodId, { ...house, variants: {} }, car).steps);

/** The steps with one more, behind the last of its kind or at the end. */
export function withExtra(
  steps: readonly OwnStep[],
  { id, minutes }: Pick<WashStep, 'id' | 'minutes'>,
): OwnStep[] {
  const taken = new Set(steps.map(({ key }) => key));
  const number = Array.from(steps, (_, i) => i).find((i) => !taken.has(extraKey(id, i))) ?? steps.length;
  const added: OwnStep = {
    key: extraKey(id, number),
    id,
    shippedMinutes: minutes,
    minutes,
    note: '',
    isLeftOut: false,
    isExtra: true,
  };
  const behind = steps.findLastIndex((step) => step.id === id);
  const at = behind < 0 ? steps.length : behind + 1;
  return [...steps.slice(0, at), added, ...steps.slice(at)];
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
