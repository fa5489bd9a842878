import type { Method, WashStep, WashStepId } from '../method/index.js';
import {
  compatibility,
  type Compatibility,
  protectionOn,
  type ProductRole,
  type Stands,
} from '../protection/index.js';
import { CAR_ZONES, type CarZone, type Vehicle } from '../vehicle/index.js';
import { dilution } from '../water/index.js';
import { MIX_ORDER, type MixInto, STEP_PRODUCTS, type StepProductRow } from './data/step-products.js';
import { firstOfKind, type Kit, type Product } from './product.js';

/** What stands against a mix, with its number. */
export type MixFault =
  | { readonly kind: 'none-in-kit' }
  | { readonly kind: 'too-little'; readonly needMl: number; readonly leftMl: number }
  | { readonly kind: 'too-cold'; readonly tempC: number; readonly lowestC: number }
  | {
      readonly kind: 'meets';
      readonly zone: CarZone;
      readonly finding: Exclude<Compatibility, { kind: 'fine' }>;
    };

/** What is mixed for one step. */
export interface Mix {
  readonly step: WashStepId;
  readonly role: ProductRole;
  readonly into: MixInto;
  /** null: the kit holds none of its role. */
  readonly product: Pick<Product, 'id' | 'name' | 'inUsePh' | 'dwell'> | null;
  readonly productMl: number;
  readonly waterMl: number;
  /** 0: neat. */
  readonly parts: number;
  readonly percent: number;
  readonly caps: number | null;
  /** What arrives on the panel from a bottle whose lance thins it further, %; null: as mixed. */
  readonly panelPercent: number | null;
  readonly faults: readonly MixFault[];
}

/** Where and on what it is used. */
export interface MixCase {
  readonly vehicle: Pick<Vehicle, 'protection' | 'protections' | 'delicateWheels'>;
  readonly kit: Kit;
  /** Air where it is used, °C. */
  readonly placeC: number;
  /** What each protection stands in this shop; absent: as shipped. */
  readonly stands?: Stands;
}

/** The wash it belongs to. */
interface MixInWash extends MixCase {
  /** Protection is to come off: that it does is no fault. */
  readonly isToStrip: boolean;
}

const WEIGHTS: Readonly<Record<Compatibility['kind'], number>> = {
  fine: 0,
  warn: 1,
  're-protect': 2,
  block: 3,
};

/** The worst that a product meets on the zones of a step; null: it is fine on all. */
function worstMeeting(
  product: Product,
  groups: WashStep['groups'],
  { vehicle, isToStrip, stands }: MixInWash,
): Extract<MixFault, { kind: 'meets' }> | null {
  let worst: Extract<MixFault, { kind: 'meets' }> | null = null;
  for (const { zone, group, surface } of CAR_ZONES) {
    if (!groups.includes(group)) continue;
    const found = compatibility({
      role: product.role,
      inUsePh: product.inUsePh,
      protection: protectionOn(vehicle, zone),
      isDelicateMetal: surface === 'wheel' && vehicle.delicateWheels,
      stands,
    });
    if (found.kind === 'fine' || (isToStrip && found.kind === 're-protect')) continue;
    if (!worst || WEIGHTS[found.kind] > WEIGHTS[worst.finding.kind])
      worst = { kind: 'meets', zone, finding: found };
  }
  return worst;
}

/** The product of the first role that the kit holds; of several the one that harms least, then the one that is left most. */
function chosen(row: StepProductRow, step: WashStep, of: MixInWash): Product | null {
  for (const role of row.roles) {
    const [best] = of.kit.products
      .filter((product) => product.role === role)
      .map((product) => ({
        product,
        harm: WEIGHTS[worstMeeting(product, step.groups, of)?.finding.kind ?? 'fine'],
      }))
      .sort((a, b) => a.harm - b.harm || b.product.leftMl - a.product.leftMl);
    if (best) return best.product;
  }
  return null;
}

function amounts(product: Product, totalMl: number, parts: number) {
  if (parts < 1)
    return { productMl: totalMl, waterMl: 0, percent: 100, caps: product.capMl && totalMl / product.capMl };
  const { productMl, waterMl, percent, caps } = dilution({
    totalMl,
    partsWater: parts,
    ...(product.capMl === null ? {} : { capMl: product.capMl }),
  });
  return { productMl, waterMl, percent, caps };
}

/** A bottle that is drawn into the jet: what arrives, %. */
function panelPercentOf({ into }: StepProductRow, percent: number, { kit }: MixCase): number | null {
  if (into !== 'foamer') return null;
  const foamer = firstOfKind(kit, 'foamer');
  if (!foamer?.volumeMl || foamer.outputLitresPerBottle === null) return null;
  return (percent * foamer.volumeMl) / (foamer.outputLitresPerBottle * 1000);
}

function mixFor(row: StepProductRow, step: WashStep, of: MixInWash): Mix {
  const totalMl = row.ml ?? (step.mixLitres ?? step.litres) * 1000;
  const product = chosen(row, step, of);
  const base = { step: step.id, into: row.into };
  if (!product)
    return {
      ...base,
      role: row.roles[0] ?? 'shampoo',
      product: null,
      productMl: 0,
      waterMl: totalMl,
      parts: 0,
      percent: 0,
      caps: null,
      panelPercent: null,
      faults: [{ kind: 'none-in-kit' }],
    };
  // A strength of the step is kept within the label.
  const parts =
    row.parts === null
      ? product.usualParts
      : Math.min(product.mostParts, Math.max(product.fewestParts, row.parts));
  const made = amounts(product, totalMl, parts);
  const { lowestWorkC, leftMl } = product;
  const meeting = worstMeeting(product, step.groups, of);
  const faults: MixFault[] = [
    ...(leftMl < made.productMl ? [{ kind: 'too-little' as const, needMl: made.productMl, leftMl }] : []),
    ...(lowestWorkC !== null && of.placeC < lowestWorkC
      ? [{ kind: 'too-cold' as const, tempC: of.placeC, lowestC: lowestWorkC }]
      : []),
    ...(meeting ? [meeting] : []),
  ];
  const { id, name, inUsePh, dwell } = product;
  return {
    ...base,
    ...made,
    role: product.role,
    product: { id, name, inUsePh, dwell },
    parts,
    panelPercent: panelPercentOf(row, made.percent, of),
    faults,
  };
}

/** Steps of one kind that are done part by part are mixed for at once. */
function inBatches(steps: Method['steps']): WashStep[] {
  const batches = new Map<string, WashStep>();
  for (const step of steps) {
    const key = step.part === undefined ? `${step.id} ${batches.size}` : step.id;
    const known = batches.get(key);
    const litres = (one: WashStep): number => one.mixLitres ?? one.litres;
    batches.set(
      key,
      known
        ? { ...known, litres: known.litres + step.litres, mixLitres: litres(known) + litres(step) }
        : step,
    );
  }
  return [...batches.values()];
}

/**
 * What has to be mixed for this wash, and how much of each?
 *
 * @param steps as the shop does them; paid steps whose soap is the site's own need no mix
 * @returns one mix for each step that puts something on, in the order to mix: bottles first, warm buckets last. mL, 1:N as parts
 * of water, % of the finished mix, caps of that bottle; what stands against it with its number. A step without its product in the
 * kit is told, not left out
 * Source: amounts of `STEP_PRODUCTS` (judgement); strength by the label.
 */
export function mixesFor(steps: Method['steps'], of: MixCase): Mix[] {
  if (of.kit.products.length === 0) return [];
  const rows: readonly StepProductRow[] = STEP_PRODUCTS;
  const inWash = { ...of, isToStrip: steps.some(({ id }) => id === 'strip') };
  const mixes = inBatches(steps).flatMap((step) => {
    const row = rows.find((one) => one.step === step.id);
    // What aids drying lays something on the paint that was just stripped.
    const isWanted = row && !step.onMeter && !(inWash.isToStrip && step.id === 'towel');
    return isWanted ? [mixFor(row, step, inWash)] : [];
  });
  const rank = ({ into }: Mix): number => MIX_ORDER.indexOf(into);
  return mixes.toSorted((a, b) => rank(a) - rank(b));
}

/** mL of each product that these mixes take. */
export function productUse(mixes: readonly Mix[]): { readonly productId: string; readonly ml: number }[] {
  const sums = new Map<string, number>();
  for (const { product, productMl } of mixes)
    if (product) sums.set(product.id, (sums.get(product.id) ?? 0) + productMl);
  return [...sums].map(([productId, ml]) => ({ productId, ml }));
}

/**
 * For how many washes by this method there is product; null: nothing of the kit limits it. Only what the method cannot do without
 * counts, with all that it takes of that bottle: a wash is not given up for want of wheel cleaner.
 */
export function washesLeft(steps: Method['steps'], of: MixCase): number | null {
  const rows: readonly StepProductRow[] = STEP_PRODUCTS;
  const mixes = mixesFor(steps, of);
  const essential = new Set(
    mixes
      .filter(({ step }) => rows.find((row) => row.step === step)?.isEssential)
      .map(({ product }) => product?.id),
  );
  const uses = productUse(mixes).filter(({ productId }) => essential.has(productId));
  const counts = uses.flatMap(({ productId, ml }) => {
    const product = of.kit.products.find(({ id }) => id === productId);
    return product && ml > 0 ? [Math.floor(product.leftMl / ml + 1e-9)] : [];
  });
  return counts.length === 0 ? null : Math.min(...counts);
}
