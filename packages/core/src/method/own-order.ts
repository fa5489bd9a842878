import type { Variant } from '../house-rules/index.js';
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
]);

/** Steps that a shop may put into a method: those that it does not have, and its own once more, which take no more salt off. */
export function addableSteps(steps: readonly WashStep[]): WashStep[] {
  const own = steps.filter(({ id }, i) => !ONCE.has(id) && steps.findIndex((one) => one.id === id) === i);
  const again = own.filter(({ id }) => !EXTRA_STEPS.some((extra) => extra.id === id));
  return [...EXTRA_STEPS, ...again.map((step) => ({ ...step, removes: {} }))];
}

/** The step that a key adds; undefined: it adds none that the method may have. */
export function extraOf(key: string, steps: readonly WashStep[]): WashStep | undefined {
  const id = /^\+(?<id>.+?)(?:-\d+)?$/.exec(key)?.groups?.id;
  return id === undefined ? undefined : addableSteps(steps).find((step) => step.id === id);
}

/** The keys of all steps in the order of the variant, those left out among them where they stood; extra ones as told. */
export function ownOrderKeys(steps: readonly WashStep[], { steps: told }: Variant): string[] {
  const keys = stepKeys(steps);
  const order = told.map(({ key }) => key).filter((key) => keys.includes(key) || extraOf(key, steps));
  keys.forEach((key, i) => {
    if (order.includes(key)) return;
    const before = keys.slice(0, i).findLast((one) => order.includes(one));
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, key);
  });
  return order;
}

/**
 * The steps in the shop's own order, with its minutes and notes.
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
    const own = variant.steps.find((one) => one.key === key);
    const minutes = own?.minutes ?? null;
    return [
      {
        ...step,
        ...(minutes === null ? {} : { minutes, hasOwnMinutes: true }),
        ...(own?.note ? { note: own.note } : {}),
      },
    ];
  });
}
