import type { Method, MixInto, ProductReason, StepProduct, WashStep, WashStepId } from '../method/index.js';
import type { ProductRole } from '../protection/index.js';
import { MIX_ORDER } from './data/step-products.js';
import type { MeetingCase } from './meeting.js';
import { faultsOf, type MixCase, type MixFault } from './mix-faults.js';
import type { Kit, Product } from './product.js';

/** What is mixed for one step. */
export interface Mix {
  readonly step: WashStepId;
  readonly role: ProductRole;
  readonly into: MixInto;
  /** null: the kit holds none of its role, and the figures are those of a typical label. */
  readonly product: Pick<Product, 'id' | 'name' | 'inUsePh' | 'dwell'> | null;
  /** Why this one; absent in sheets made before it was kept. */
  readonly because?: ProductReason;
  readonly productMl: number;
  readonly waterMl: number;
  /** 0: neat. */
  readonly parts: number;
  readonly percent: number;
  readonly caps: number | null;
  /** What arrives on the panel from a bottle whose lance thins it further, %; null: as mixed. */
  readonly panelPercent: number | null;
  /** What the shop's foamer, sprayer or bucket holds, mL, and how often it is filled; absent: the kit does not say. */
  readonly fills?: { readonly count: number; readonly vesselMl: number };
  readonly costMinor?: number;
  readonly faults: readonly MixFault[];
}

/** A hair over full is one fill. */
const FILL_SLACK = 1e-6;

function mixFor(step: WashStep, product: StepProduct, of: MixCase & MeetingCase): Mix {
  const { id, name, role, into, because, inUsePh, dwell, parts, productMl, mixMl, capMl, vesselMl } = product;
  return {
    step: step.id,
    role,
    into,
    because,
    product: id === null || name === null ? null : { id, name, inUsePh, dwell },
    productMl,
    waterMl: mixMl - productMl,
    parts,
    percent: 100 / (1 + parts),
    caps: capMl === null ? null : productMl / capMl,
    panelPercent: product.panelPercent,
    ...(vesselMl === null
      ? {}
      : { fills: { count: Math.max(1, Math.ceil(mixMl / vesselMl - FILL_SLACK)), vesselMl } }),
    costMinor: product.costMinor,
    faults: faultsOf(product, step, of),
  };
}

/** Is it the same batch: a step of the same kind with the same product, as strong? */
export const isSameBatch = (
  a: Pick<WashStep, 'id' | 'product'>,
  b: Pick<WashStep, 'id' | 'product'>,
): boolean =>
  a.id === b.id &&
  a.product?.id === b.product?.id &&
  a.product?.role === b.product?.role &&
  a.product?.parts === b.product?.parts;

/** Steps of one kind, part by part or done again, are mixed for at once. */
function inBatches(steps: Method['steps']): WashStep[] {
  const batches: WashStep[] = [];
  for (const step of steps) {
    const at = batches.findIndex((one) => isSameBatch(one, step));
    const known = batches[at];
    if (known) batches[at] = { ...known, product: together(known.product, step.product) };
    else batches.push(step);
  }
  return batches;
}

function together(a: StepProduct | undefined, b: StepProduct | undefined): StepProduct | undefined {
  if (!a || !b) return a ?? b;
  return {
    ...a,
    mixMl: a.mixMl + b.mixMl,
    productMl: a.productMl + b.productMl,
    costMinor: a.costMinor + b.costMinor,
  };
}

/**
 * What has to be mixed for this wash, and how much of each?
 *
 * @param steps with their products (`equip`), in the way in which they are done
 * @returns one mix for each step that puts something of the shop's own on, in the order to mix: bottles first, warm buckets last. mL, 1:N
 * as parts of water, % of the finished mix, caps of that bottle, fills of the vessel; what is wrong with it, with its number
 */
export function mixesFor(steps: Method['steps'], of: MixCase): Mix[] {
  const inWash = { ...of, isToStrip: steps.some(({ id }) => id === 'strip') };
  const mixes = inBatches(steps).flatMap((step) =>
    step.product && step.product.from !== 'site' ? [mixFor(step, step.product, inWash)] : [],
  );
  const rank = ({ into }: Mix): number => MIX_ORDER.indexOf(into);
  return mixes.toSorted((a, b) => rank(a) - rank(b));
}

/** mL of each bottle that these mixes take. */
export function productUse(mixes: readonly Mix[]): { readonly productId: string; readonly ml: number }[] {
  const sums = new Map<string, number>();
  for (const { product, productMl } of mixes)
    if (product) sums.set(product.id, (sums.get(product.id) ?? 0) + productMl);
  return [...sums].map(([productId, ml]) => ({ productId, ml }));
}

/**
 * For how many washes by this method there is product; null: nothing of the kit limits it. Only what the method cannot do without
 * counts, with all that it takes of that bottle: a wash is not given up for want of wheel cleaner.
 *
 * @param steps with their products (`equip`)
 */
export function washesLeft(steps: Method['steps'], { products }: Pick<Kit, 'products'>): number | null {
  const taken = new Map<string, number>();
  const essential = new Set<string>();
  for (const { product } of steps) {
    if (!product || product.id === null) continue;
    taken.set(product.id, (taken.get(product.id) ?? 0) + product.productMl);
    if (product.isEssential) essential.add(product.id);
  }
  const counts = products.flatMap(({ id, leftMl }) => {
    const ml = essential.has(id) ? (taken.get(id) ?? 0) : 0;
    return ml > 0 ? [Math.floor(leftMl / ml + 1e-9)] : [];
  });
  return counts.length === 0 ? null : Math.min(...counts);
}
