import { type Method, STEP_KINDS, type StepProduct, type WashStep, withSteps } from '../method/index.js';
import type { MinutesRange } from '../quantity/index.js';
import type { ProductRole } from '../protection/index.js';
import { BUCKET_ROLES, stepProductRow, type StepProductRow } from './data/step-products.js';
import { bottleFor, type ChoiceCase, typicalFor } from './choose-bottle.js';
import { bucketAt } from './cold-class.js';
import type { Shelf, ShelfBottle, Vessel } from './shelf.js';
import {
  type EquipCase,
  MACHINE_PH,
  soapAt,
  isSiteFoam,
  removedBySite,
  siteProduct,
} from './site-product.js';

type Around = EquipCase & Pick<ChoiceCase, 'isToStrip'>;

/** How much stronger than in a bucket soap has to be in a foamer or a sprayer, at the least: a lance draws at about 1:10 (judgement). */
const SPRAYED_STRENGTH = 10;

/** Does a hand come to what this step puts on before it is rinsed off? Then it is soap for the mitt, and a mild one does. */
function isForTheHand(step: WashStep, steps: readonly WashStep[]): boolean {
  const behind = steps.slice(steps.indexOf(step) + 1).filter(({ groups }) => groups.includes('upper'));
  const next = behind.find(({ id, contact }) => contact || STEP_KINDS[id].rinses === 'body');
  return next?.contact ?? false;
}

const MILD_FIRST: readonly ProductRole[] = ['shampoo', 'rinseless'];

/** What the step takes, as the table has it, or the mild ones first. */
function rowFor(step: WashStep, steps: readonly WashStep[]): StepProductRow | undefined {
  const row = stepProductRow(step.id);
  if (!row || row.into !== 'foamer' || !isForTheHand(step, steps)) return row;
  const isMild = (role: ProductRole): boolean => MILD_FIRST.includes(role);
  return { ...row, roles: row.roles.toSorted((a, b) => Number(isMild(b)) - Number(isMild(a))) };
}

const vesselFor = ({ into }: StepProductRow, { vessels }: Shelf): Vessel | null =>
  into === 'neat' ? null : vessels[into];

/** Parts of water for soap that is sprayed on: through a lance that thins more, as strong as in a bucket when it arrives. */
function partsToSpray(bottle: ShelfBottle, vessel: Vessel | null): number {
  const thins = vessel ? (vessel.outputLitres ?? 0) * (1000 / vessel.volumeMl) : 0;
  return Math.max(0, (bottle.usualParts + 1) / Math.max(SPRAYED_STRENGTH, thins) - 1);
}

function partsOf(
  row: StepProductRow,
  { ownParts }: Pick<WashStep, 'ownParts'>,
  { bottle, vessel }: { readonly bottle: ShelfBottle; readonly vessel: Vessel | null },
): number {
  if (ownParts !== undefined) return ownParts;
  if (row.parts === null)
    return row.into !== 'bucket' && BUCKET_ROLES.has(bottle.role)
      ? partsToSpray(bottle, vessel)
      : bottle.usualParts;
  // A strength of the step is kept within the label.
  return Math.min(bottle.mostParts, Math.max(bottle.fewestParts, row.parts));
}

/** Less than one part of water to one of product is neat. */
const neatBelowOne = (parts: number): number => (parts < 1 ? 0 : parts);

/** Finished mix and product in it for one car, mL, and parts of water. */
function amountsOf(
  row: StepProductRow,
  step: WashStep,
  {
    bottle,
    vessel,
    factor,
  }: { readonly bottle: ShelfBottle; readonly vessel: Vessel | null; readonly factor: number },
): Pick<StepProduct, 'mixMl' | 'productMl' | 'parts'> {
  const usual = partsOf(row, step, { bottle, vessel });
  // What the shop found one car to take holds for the use that the bottle is meant for.
  const ownMl =
    bottle.carMl !== null && row.parts === null && step.ownParts === undefined ? bottle.carMl * factor : null;
  const fullMl = row.ml === null ? (step.mixLitres ?? step.litres) * 1000 : row.ml * factor;
  if (ownMl !== null && row.into === 'bucket' && fullMl > ownMl)
    return { mixMl: fullMl, productMl: ownMl, parts: fullMl / ownMl - 1 };
  const parts = neatBelowOne(usual);
  const mixMl = ownMl === null ? fullMl : ownMl * (1 + parts);
  return { mixMl, productMl: mixMl / (1 + parts), parts };
}

function productOf(row: StepProductRow, step: WashStep, of: Around): StepProduct {
  const found = bottleFor(row, step, of);
  const bottle = found?.bottle ?? typicalFor(row, step, of);
  const vessel = vesselFor(row, of.shelf);
  const factor = STEP_KINDS[step.id].goesOverBody ? of.sizeFactor : 1;
  const amounts = amountsOf(row, step, { bottle, vessel, factor });
  const { role, inUsePh, dwell, lowestWorkC, capMl, fewestParts, priceMinor, bottleMl } = bottle;
  const thins = row.into === 'foamer' && vessel?.outputLitres ? vessel : null;
  const percent = 100 / (1 + amounts.parts);
  return {
    from: found ? 'kit' : 'typical',
    id: found ? bottle.id : null,
    name: found ? bottle.name : null,
    role,
    because: found?.because ?? 'typical',
    inUsePh,
    dwell,
    lowestWorkC,
    capMl,
    fewestParts,
    ...amounts,
    into: row.into,
    panelPercent: thins ? (percent * thins.volumeMl) / ((thins.outputLitres ?? 1) * 1000) : null,
    vesselMl: vessel?.volumeMl ?? null,
    costMinor: bottleMl > 0 ? (priceMinor * amounts.productMl) / bottleMl : 0,
    isEssential: row.isEssential,
    ...(step.ownParts === undefined ? {} : { hasOwnParts: true }),
  };
}

function productFor(step: WashStep, steps: readonly WashStep[], of: Around): StepProduct | null {
  if (step.id === 'machine-soak') return siteProduct(MACHINE_PH);
  if (isSiteFoam(step)) return siteProduct(soapAt(of).inUsePh);
  // What aids drying lays something on the paint that was just stripped.
  if (of.isToStrip && step.id === 'towel') return null;
  const row = rowFor(step, steps);
  return row ? productOf(row, step, of) : null;
}

/** Hands still have to put it on, however short the dwell, minutes. */
const LEAST_MINUTES = 1;

/** What leaves the foamer or sprayer, L; a bucket holds more than goes on, and what a step rinses with is no mix. */
function litresOf(step: WashStep, { into, mixMl, from }: StepProduct, { shelf }: Around): number {
  const isMixAlone = (into === 'foamer' || into === 'sprayer') && step.litres > 0;
  if (!isMixAlone || step.hasOwnLitres || from === 'site' || STEP_KINDS[step.id].clearsItself)
    return step.litres;
  const vessel = shelf.vessels[into];
  const thins = vessel?.outputLitres ? (vessel.outputLitres * 1000) / vessel.volumeMl : 1;
  // In figures that people read.
  return Math.round((mixMl * thins) / 100) / 10;
}

/** As long as the shop wants, and no longer than the label allows. */
const withinLabel = (own: MinutesRange, label: MinutesRange): MinutesRange => ({
  minMinutes: Math.min(own.minMinutes, label.maxMinutes),
  maxMinutes: Math.min(own.maxMinutes, label.maxMinutes),
});

/** A step whose bottle wants to dwell longer or shorter than is usual takes so much longer or shorter. */
function equipped(step: WashStep, steps: readonly WashStep[], of: Around): WashStep {
  const product = productFor(step, steps, of);
  if (!product) return step;
  const litres = litresOf(step, product, of);
  const { dwell } = product;
  if (isSiteFoam(step)) return { ...step, litres, product, removes: removedBySite(step, of) };
  if (!dwell || !step.dwell) return { ...step, litres, product };
  if (step.hasOwnDwell) return { ...step, litres, product, dwell: withinLabel(step.dwell, dwell) };
  const minutes = step.hasOwnMinutes
    ? step.minutes
    : Math.max(
        Math.min(LEAST_MINUTES, step.minutes),
        step.minutes + dwell.minMinutes - step.dwell.minMinutes,
      );
  return { ...step, litres, product, dwell, minutes };
}

/**
 * The method with what each of its steps puts on the car: the shop's own bottles, or typical ones where it has none.
 *
 * @param method as the shop does it, not cut up into parts yet
 * @param of the kit as a wash reads it, the car, what the shop chose
 * @returns pH, dwell, strength, mL and money of each step by the label of its bottle; minutes, money and the warmth that is needed follow.
 * Acid is taken only where a step is for it or where the shop says so
 * Source: amounts of `STEP_PRODUCTS` and typical labels are practice (judgement); the bottle's label goes first
 */
export function equip(method: Method, of: EquipCase): Method {
  const around = { ...of, isToStrip: method.strips };
  return withSteps(
    { ...method, bucketC: bucketAt(method, of.placeC) },
    method.steps.map((step) => equipped(step, method.steps, around)),
  );
}
