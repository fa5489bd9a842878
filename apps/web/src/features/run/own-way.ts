import {
  addableSteps,
  extraKey,
  extraOf,
  type HouseRules,
  ownOrderKeys,
  type SectionId,
  shopMethod,
  type StageId,
  stepKeys,
  type Variant,
  type VariantStep,
  type WashedCar,
  type WashStep,
  type WashStepId,
  type ZoneGroup,
} from '@keen/core';

/** What a step is done on and with, as it stands in the editor. */
export interface OwnDetails {
  readonly groups: readonly ZoneGroup[];
  readonly litres: number | string;
  /** Empty: nothing dwells. */
  readonly dwellMin: number | string;
  readonly dwellMax: number | string;
  /** null: as the way has it, or it is no step that goes by parts. */
  readonly section: SectionId | null;
  /** null: as a wash that ends in a second place has it. */
  readonly stage: StageId | null;
  /** null: the program chooses. */
  readonly product: string | null;
  /** Parts of water to one of product; empty: by the label. */
  readonly parts: number | string;
}

/** A step as it stands in the editor. */
export interface OwnStep {
  readonly key: string;
  readonly id: WashStepId;
  /** As the method has it. */
  readonly shippedMinutes: number;
  readonly minutes: number | string;
  readonly note: string;
  readonly shipped: OwnDetails;
  readonly own: OwnDetails;
  readonly isLeftOut: boolean;
  readonly isExtra: boolean;
}

export const AS_IT_SHIPS: Variant = { steps: [], leftOut: [] };

const detailsOf = ({ groups, litres, dwell }: Pick<WashStep, 'groups' | 'litres' | 'dwell'>): OwnDetails => ({
  groups,
  litres,
  dwellMin: dwell?.minMinutes ?? '',
  dwellMax: dwell?.maxMinutes ?? '',
  section: null,
  stage: null,
  product: null,
  parts: '',
});

const ownDetails = (step: WashStep, own: VariantStep | undefined): OwnDetails => ({
  ...detailsOf({
    groups: own?.groups ?? step.groups,
    litres: own?.litres ?? step.litres,
    dwell: own?.dwell ?? step.dwell,
  }),
  section: own?.section ?? null,
  stage: own?.stage ?? null,
  product: own?.product ?? null,
  parts: own?.parts ?? '',
});

/**
 * The steps of a method for the editor: in the shop's own order, those left out among them; minutes and litres are a saloon's.
 *
 * @param chosen the steps of this wash alone; absent: as the shop does it
 */
export function ownSteps(
  methodId: string,
  { house, chosen }: { readonly house: HouseRules; readonly chosen?: Variant | undefined },
  { bodyClass: _, ...car }: WashedCar,
): OwnStep[] {
  const variant = chosen ?? house.variants?.[methodId] ?? AS_IT_SHIPS;
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
        shipped: detailsOf(step),
        own: ownDetails(step, own),
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

/** The steps with one more: beside another where that is said, else behind the last of its kind or at the end. */
export function withExtra(
  steps: readonly OwnStep[],
  step: Pick<WashStep, 'id' | 'minutes' | 'groups' | 'litres' | 'dwell'>,
  beside?: { readonly key: string; readonly where: 'before' | 'behind' },
): OwnStep[] {
  const { id, minutes } = step;
  const taken = new Set(steps.map(({ key }) => key));
  const number = Array.from(steps, (_, i) => i).find((i) => !taken.has(extraKey(id, i))) ?? steps.length;
  const added: OwnStep = {
    key: extraKey(id, number),
    id,
    shippedMinutes: minutes,
    minutes,
    note: '',
    shipped: detailsOf(step),
    own: detailsOf(step),
    isLeftOut: false,
    isExtra: true,
  };
  const last = beside
    ? steps.findIndex(({ key }) => key === beside.key) - (beside.where === 'before' ? 1 : 0)
    : steps.findLastIndex((one) => one.id === id);
  const at = last < 0 && !beside ? steps.length : last + 1;
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

const sameGroups = (a: readonly ZoneGroup[], b: readonly ZoneGroup[]): boolean =>
  a.length === b.length && a.every((group) => b.includes(group));

/** What of a step is not as it ships. */
function changedDetails({ own, shipped }: OwnStep): Partial<VariantStep> {
  const isSameDwell =
    own.dwellMin === '' ||
    (Number(own.dwellMin) === shipped.dwellMin && Number(own.dwellMax) === shipped.dwellMax);
  return {
    ...(sameGroups(own.groups, shipped.groups) ? {} : { groups: own.groups }),
    ...(Number(own.litres) === shipped.litres ? {} : { litres: Number(own.litres) }),
    ...(isSameDwell ? {} : { dwell: { minMinutes: Number(own.dwellMin), maxMinutes: Number(own.dwellMax) } }),
    ...(own.section === null ? {} : { section: own.section }),
    ...(own.stage === null ? {} : { stage: own.stage }),
    ...(own.product === null ? {} : { product: own.product }),
    ...(own.parts === '' ? {} : { parts: Number(own.parts) }),
  };
}

/** Does anything of it stand otherwise than as it ships? */
export const hasOwnDetails = (step: OwnStep): boolean => Object.keys(changedDetails(step)).length > 0;

/** The editor's steps as they are kept. Only for steps without faults. */
export const variantFrom = (steps: readonly OwnStep[]): Variant => ({
  steps: steps
    .filter(({ isLeftOut }) => !isLeftOut)
    .map((step) => ({
      key: step.key,
      minutes: Number(step.minutes) === step.shippedMinutes ? null : Number(step.minutes),
      note: step.note.trim(),
      ...changedDetails(step),
    })),
  leftOut: steps.filter(({ isLeftOut, isExtra }) => isLeftOut && !isExtra).map(({ key }) => key),
});
