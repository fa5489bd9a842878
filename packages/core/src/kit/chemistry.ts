import type { WashStep } from '../method/index.js';

/** Acid on top of alkali that was not rinsed off. */
export interface AcidOverAlkali {
  /** Index of the step with the acid, and of the alkali under it. */
  readonly acid: number;
  readonly alkali: number;
}

/** In-use pH from and to which a product counts as alkali or acid here (judgement). */
export const ALKALI_PH = 9.5;
export const ACID_PH = 5;

/** Steps whose water takes a product off the groups that they go over. */
const TAKES_OFF: ReadonlySet<string> = new Set([
  'rinse',
  'final-rinse',
  'machine-jets',
  'contact',
  'rinseless',
  'strip',
  'towel',
]);

/** Does this step take off what lies on those groups? */
export const takesOff = (step: Pick<WashStep, 'id' | 'groups'>, product: Pick<WashStep, 'groups'>): boolean =>
  TAKES_OFF.has(step.id) && step.groups.some((group) => product.groups.includes(group));

/**
 * Does an acid go over an alkali that still lies there? Together they neutralise each other, and some give off gas.
 *
 * @param steps in the order in which they are done, each with the in-use pH of its product, or null
 * @returns each such pair
 */
export function acidOverAlkali(
  steps: readonly (Pick<WashStep, 'id' | 'groups'> & { readonly inUsePh: number | null })[],
): AcidOverAlkali[] {
  const found: AcidOverAlkali[] = [];
  let lying: number[] = [];
  steps.forEach((step, i) => {
    const under = lying.filter((at) => steps[at]?.groups.some((group) => step.groups.includes(group)));
    if (step.inUsePh !== null && step.inUsePh <= ACID_PH)
      found.push(...under.map((alkali) => ({ acid: i, alkali })));
    lying = lying.filter((at) => {
      const alkali = steps[at];
      return !alkali || !takesOff(step, alkali);
    });
    if (step.inUsePh !== null && step.inUsePh >= ALKALI_PH) lying.push(i);
  });
  return found;
}
