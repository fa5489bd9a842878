import type { WashStep, WashStepId } from '../method/index.js';

/** A product put over another that still lies there and that it must not meet. */
export interface ChemicalClash {
  readonly kind: 'acid-over-alkali' | 'alkali-over-acid';
  /** Index of the step that puts the second on, and of the one whose product lies under it. */
  readonly over: number;
  readonly under: number;
}

/** In-use pH from and to which a product counts as alkali or acid here (judgement). */
export const ALKALI_PH = 9.5;
export const ACID_PH = 5;

/** Steps whose water takes a product off the groups that they go over. */
const RINSES: ReadonlySet<WashStepId> = new Set([
  'rinse',
  'final-rinse',
  'machine-jets',
  'contact',
  'rinseless',
  'strip',
]);
/** Water that goes under the car only. */
const RINSES_UNDER: ReadonlySet<WashStepId> = new Set(['arches', 'underbody-bounce', 'underbody-ramps']);
/** Products that a cloth does not take off: they are rinsed, by their data sheets. */
const WANTS_RINSE: ReadonlySet<WashStepId> = new Set([
  'machine-soak',
  'wheels',
  'foam',
  'strip',
  'salt-neutraliser',
  'bugs',
  'iron',
  'tar',
]);

type Laid = Pick<WashStep, 'id' | 'groups'>;

/** Does this step take off what lies on those groups? */
export const takesOff = (step: Laid, product: Laid): boolean =>
  (RINSES.has(step.id) || (step.id === 'towel' && !WANTS_RINSE.has(product.id))) &&
  step.groups.some((group) => product.groups.includes(group));

/** What kind of pair two pH make, the second laid over the first; null: they may meet. */
export function clashOf(underPh: number | null, overPh: number | null): ChemicalClash['kind'] | null {
  if (underPh === null || overPh === null) return null;
  if (underPh >= ALKALI_PH && overPh <= ACID_PH) return 'acid-over-alkali';
  if (underPh <= ACID_PH && overPh >= ALKALI_PH) return 'alkali-over-acid';
  return null;
}

/**
 * Does an acid meet an alkali that still lies there, or an alkali an acid? Together they neutralise each other, and some give off gas.
 *
 * @param steps in the order in which they are done, each with the in-use pH of its product, or null
 * @returns each such pair
 */
export function chemicalClashes(
  steps: readonly (Laid & { readonly inUsePh: number | null })[],
): ChemicalClash[] {
  const found: ChemicalClash[] = [];
  let lying: number[] = [];
  steps.forEach((step, over) => {
    for (const under of lying) {
      const below = steps[under];
      const kind = below?.groups.some((group) => step.groups.includes(group))
        ? clashOf(below.inUsePh, step.inUsePh)
        : null;
      if (kind) found.push({ kind, over, under });
    }
    lying = lying.filter((at) => {
      const product = steps[at];
      return !product || !takesOff(step, product);
    });
    if (step.inUsePh !== null) lying.push(over);
  });
  return found;
}

/**
 * On which zones does a product stay that wants rinsing?
 *
 * @param steps in the order in which they are done
 * @returns for each step the groups that nothing behind it rinses; empty where all are, or nothing has to be
 */
export const notRinsed = (
  steps: readonly Pick<WashStep, 'id' | 'groups' | 'dwell'>[],
): WashStep['groups'][] =>
  steps.map((step, i) => {
    if (step.dwell === null || !WANTS_RINSE.has(step.id)) return [];
    const behind = steps.slice(i + 1).filter(({ id }) => RINSES.has(id) || RINSES_UNDER.has(id));
    return step.groups.filter((group) => !behind.some(({ groups }) => groups.includes(group)));
  });
