import type { Variant } from '../house/index.js';
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

/** Key of a step that a shop adds. */
export const extraKey = (id: WashStep['id']): string => `${EXTRA_SIGN}${id}`;

const extraOf = (key: string): WashStep | undefined =>
  key.startsWith(EXTRA_SIGN) ? EXTRA_STEPS.find(({ id }) => extraKey(id) === key) : undefined;

/** The keys of all steps in the order of the variant, those left out among them where they stood; extra ones as told. */
export function ownOrderKeys(steps: readonly Pick<WashStep, 'id'>[], { steps: told }: Variant): string[] {
  const keys = stepKeys(steps);
  const order = told.map(({ key }) => key).filter((key) => keys.includes(key) || extraOf(key));
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
    const step = byKey.get(key) ?? extraOf(key);
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
