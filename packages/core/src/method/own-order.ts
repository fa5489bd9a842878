import type { Variant, VariantStep } from '../house-rules/index.js';
import type { ZoneGroup } from '../vehicle/index.js';
import { EXTRA_STEPS } from './data/methods.js';
import type { WashStep } from './wash-step.js';

const EXTRA_SIGN = '+';

/** The steps of a method by keys that stay when the house rules add or move others: the id and its number among the same id. */
export function stepKeys(steps: readonly Pick<WashStep, 'id'>[]): string[] {
  const counts = new Map<string, number>();
  return steps.map(({ id }) => {
    const count = counts.get(id) ?? 0;
    counts.set(id, count + 1);
    return `${id}-${count}`;
  });
}

/** Key of a step that a shop adds; counted from 0 where it adds several of the same. */
export const extraKey = (id: WashStep['id'], number = 0): string =>
  number === 0 ? `${EXTRA_SIGN}${id}` : `${EXTRA_SIGN}${id}-${number}`;

/** What a machine does is done once, and paint is stripped, sealed and looked at once. */
const ONCE: ReadonlySet<WashStep['id']> = new Set([
  'before-machine',
  'machine-soak',
  'machine-jets',
  'machine-blower',
  'after-machine',
  'strip',
  'seal',
  'bare-check',
  'water-test',
  'wet-seal',
  'dry-seal',
  'foam-seal',
]);

/** Steps that a shop may put into a method: those that it does not have, and its own once more, which take no more salt off. */
export function addableSteps(steps: readonly WashStep[]): WashStep[] {
  const own = steps.filter(({ id }, i) => !ONCE.has(id) && steps.findIndex((one) => one.id === id) === i);
  const others = EXTRA_STEPS.filter(({ id }) => !own.some((one) => one.id === id));
  return [...others, ...own.map((step) => ({ ...step, removes: {} }))];
}

/** The step that a key adds; undefined: it adds none that the method may have. */
export function extraOf(key: string, steps: readonly WashStep[]): WashStep | undefined {
  const id = /^\+(?<id>.+?)(?:-\d+)?$/.exec(key)?.groups?.id;
  return id === undefined ? undefined : addableSteps(steps).find((step) => step.id === id);
}

/** The keys of all steps in the order of the variant, those left out among them where they stood; extra ones as told. */
export function ownOrderKeys(steps: readonly WashStep[], { steps: own }: Variant): string[] {
  const keys = stepKeys(steps);
  const order = own.map(({ key }) => key).filter((key) => keys.includes(key) || extraOf(key, steps));
  keys.forEach((key, i) => {
    if (order.includes(key)) return;
    const before = keys.slice(0, i).findLast((one) => order.includes(one));
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, key);
  });
  return order;
}

/**
 * The steps in the shop's own order, with its minutes, zones, litres, dwell, bottles, strengths and notes.
 *
 * @param steps as the house rules have them
 * @returns told steps in the order of the variant, extra ones among them; a step that the variant does not tell of stays behind the one
 * that it followed; keys that no step has are passed over
 */
export function inOwnOrder(steps: readonly WashStep[], variant: Variant): WashStep[] {
  const byKey = new Map(stepKeys(steps).map((key, i) => [key, steps[i]]));
  return ownOrderKeys(steps, variant).flatMap((key) => {
    const step = byKey.get(key) ?? extraOf(key, steps);
    if (!step || variant.leftOut.includes(key)) return [];
    return [
      {
        ...inOwnWay(
          step,
          variant.steps.find((one) => one.key === key),
        ),
        key,
      },
    ];
  });
}

/** At least so long is somebody at a step, minutes. */
const LEAST_MINUTES = 0.5;

/** What is asked of fewer zones takes off what it took off there, and of others nothing that is known. */
function onOwnGroups(step: WashStep, groups: readonly ZoneGroup[] | undefined): WashStep {
  if (!groups) return step;
  const removes = Object.fromEntries(
    Object.entries(step.removes).filter(([group]) => groups.includes(group as ZoneGroup)),
  );
  return { ...step, groups, removes };
}

/** Minutes as the shop has them; else those of the method, longer or shorter by what it is to dwell. */
function ownMinutes(step: WashStep, { minutes, dwell }: VariantStep): Partial<WashStep> {
  if (minutes !== null) return { minutes, hasOwnMinutes: true };
  if (!dwell) return {};
  const moreMinutes = dwell.minMinutes - (step.dwell?.minMinutes ?? 0);
  return { minutes: Math.max(LEAST_MINUTES, step.minutes + moreMinutes), hasOwnMinutes: true };
}

/** One step as the shop has it. */
function inOwnWay(step: WashStep, own: VariantStep | undefined): WashStep {
  if (!own) return step;
  const { note, groups, litres, dwell, section, stage, product, parts } = own;
  return {
    ...onOwnGroups(step, groups),
    ...ownMinutes(step, own),
    ...(dwell ? { dwell, hasOwnDwell: true } : {}),
    ...(litres === undefined ? {} : { litres, hasOwnLitres: true, mixLitres: undefined }),
    ...(section === undefined ? {} : { ownSection: section }),
    ...(stage === undefined ? {} : { ownStage: stage }),
    ...(product === undefined ? {} : { ownBottle: product }),
    ...(parts === undefined ? {} : { ownParts: parts }),
    ...(note ? { note } : {}),
  };
}
