import {
  ACID_PH,
  ALKALI_PH,
  isStrong,
  type PartId,
  partsMeet,
  STEP_KINDS,
  type WashStep,
} from '../method/index.js';

/** A product put over another that still lies there and that it must not meet. */
export interface ChemicalClash {
  readonly kind: 'acid-over-alkali' | 'alkali-over-acid';
  /** Index of the step that puts the second on, and of the one whose product lies under it. */
  readonly over: number;
  readonly under: number;
}

type Laid = Pick<WashStep, 'id' | 'groups'> & { readonly part?: PartId | null };

/** Do both go over something of the car? */
const meets = (a: Laid, b: Laid): boolean =>
  a.groups.some((group) => b.groups.includes(group)) && partsMeet(a.part, b.part);

/** Does this step take off what lies there? */
export const takesOff = (step: Laid, product: Laid): boolean =>
  (STEP_KINDS[step.id].rinses === 'body' || (step.id === 'towel' && !STEP_KINDS[product.id].wantsRinse)) &&
  meets(step, product);

/** Is what this step puts on off again when it ends? Strong products want more water than a sprayer gives. */
export const isOffAtItsEnd = ({ id }: Pick<Laid, 'id'>, inUsePh: number | null): boolean =>
  STEP_KINDS[id].clearsItself && (inUsePh === null || !isStrong(inUsePh));

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
      const kind = below && meets(below, step) ? clashOf(below.inUsePh, step.inUsePh) : null;
      if (kind) found.push({ kind, over, under });
    }
    lying = lying.filter((at) => {
      const product = steps[at];
      return !product || !takesOff(step, product);
    });
    if (step.inUsePh !== null && !isOffAtItsEnd(step, step.inUsePh)) lying.push(over);
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
  steps: readonly (Pick<WashStep, 'id' | 'groups' | 'dwell' | 'part'> & {
    readonly inUsePh: number | null;
  })[],
): WashStep['groups'][] =>
  steps.map((step, i) => {
    const { wantsRinse, clearsItself } = STEP_KINDS[step.id];
    const isRinsedHere = clearsItself && isOffAtItsEnd(step, step.inUsePh);
    if (step.dwell === null || isRinsedHere || !(wantsRinse || clearsItself)) return [];
    const behind = steps
      .slice(i + 1)
      .filter((one) => STEP_KINDS[one.id].rinses !== null && partsMeet(one.part, step.part));
    return step.groups.filter((group) => !behind.some(({ groups }) => groups.includes(group)));
  });
