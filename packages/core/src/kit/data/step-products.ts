import type { MixInto, WashStepId } from '../../method/index.js';
import type { ProductRole } from '../../protection/index.js';

export interface StepProductRow {
  readonly step: WashStepId;
  /** The first role of which the kit holds a bottle that may be used there is taken. */
  readonly roles: readonly ProductRole[];
  /** Taken only where the shop says so. */
  readonly onlyAsked: readonly ProductRole[];
  readonly into: MixInto;
  /** mL of finished mix (or of neat product) for one car; null: the litres of the step. */
  readonly ml: number | null;
  /** Parts of water where the step wants another strength than the usual; null: the product's usual. */
  readonly parts: number | null;
  /** Without its product the method is not done at all; any other step is left out, or done with water. */
  readonly isEssential: boolean;
  readonly status: 'judgement';
}

const ESSENTIAL: ReadonlySet<WashStepId> = new Set([
  'foam',
  'contact',
  'rinseless',
  'spray-wipe',
  'strip',
  'seal',
  'wet-seal',
  'dry-seal',
  'foam-seal',
]);

const row = (
  step: WashStepId,
  roles: readonly ProductRole[],
  rest: Pick<StepProductRow, 'into'> & Partial<Pick<StepProductRow, 'ml' | 'parts' | 'onlyAsked'>>,
): StepProductRow => ({
  step,
  roles,
  onlyAsked: [],
  ml: null,
  parts: null,
  isEssential: ESSENTIAL.has(step),
  status: 'judgement',
  ...rest,
});

/**
 * What each step puts on the car. Amounts for one car and strengths are trade practice (practice notes §3: rinseless 15:1 as a
 * pre-soak; foam 1 L of finished mix; a drying aid of 1–2 sprays a panel); labels go before them.
 */
export const STEP_PRODUCTS = [
  row('wheels', ['wheel-cleaner', 'iron-remover', 'shampoo'], {
    into: 'sprayer',
    ml: 400,
    onlyAsked: ['wheel-acid'],
  }),
  row('foam', ['alkaline-pre-wash', 'shampoo', 'film-remover'], {
    into: 'foamer',
    ml: 1000,
    onlyAsked: ['salt-neutraliser'],
  }),
  row('pre-soak', ['rinseless', 'alkaline-pre-wash'], { into: 'sprayer', ml: null, parts: 15 }),
  row('contact', ['shampoo', 'rinseless'], {
    into: 'bucket',
    ml: null,
    onlyAsked: ['residue-free-soap', 'household-soap'],
  }),
  row('rinseless', ['rinseless'], { into: 'bucket' }),
  row('spray-wipe', ['waterless'], { into: 'sprayer' }),
  row('strip', ['strip-shampoo'], { into: 'bucket', ml: null, onlyAsked: ['residue-free-soap'] }),
  row('seal', ['sealant', 'spray-ceramic', 'spray-wax'], { into: 'neat', ml: 60 }),
  row('salt-neutraliser', ['salt-neutraliser'], { into: 'sprayer' }),
  row('bugs', ['bug-remover', 'all-purpose-cleaner'], { into: 'sprayer' }),
  row('film-remover', ['film-remover', 'alkaline-pre-wash'], { into: 'sprayer', ml: 1000 }),
  row('iron', ['iron-remover'], { into: 'sprayer' }),
  row('tar', ['tar-remover'], { into: 'sprayer' }),
  row('bare-check', ['panel-wipe'], { into: 'sprayer', ml: 120 }),
  row('towel', ['drying-aid', 'rinseless'], { into: 'sprayer', ml: 150, parts: 15 }),
  row('underbody-foam', ['underbody-foam'], { into: 'foamer', ml: 2000 }),
  row('clay', ['rinseless', 'drying-aid'], { into: 'sprayer', ml: 500, parts: 60 }),
  row('polish', ['polish'], { into: 'neat', ml: 60 }),
  row('top-up', ['spray-wax', 'spray-ceramic', 'sealant'], { into: 'neat', ml: 40 }),
  row('coat', ['spray-ceramic', 'sealant'], { into: 'neat', ml: 50 }),
  row('wet-seal', ['wet-sealant'], { into: 'sprayer', ml: 150 }),
  row('dry-seal', ['drying-sealant', 'spray-ceramic', 'spray-wax'], { into: 'sprayer', ml: 60 }),
  row('foam-seal', ['foaming-sealant'], { into: 'foamer', ml: 1000 }),
  row('engine-bay', ['all-purpose-cleaner', 'alkaline-pre-wash'], { into: 'sprayer', ml: 500 }),
  row('tyres', ['tyre-dressing'], { into: 'neat', ml: 40 }),
] as const satisfies readonly StepProductRow[];

/** Where mixes stand in the order of mixing: bottles first, so that the warm buckets wait least. */
export const MIX_ORDER: readonly MixInto[] = ['neat', 'sprayer', 'foamer', 'bucket'];

export const stepProductRow = (step: WashStepId): StepProductRow | undefined =>
  STEP_PRODUCTS.find((one) => one.step === step);

/** Their label tells the strength in a bucket; sprayed on they have to be stronger. */
export const BUCKET_ROLES: ReadonlySet<ProductRole> = new Set([
  'shampoo',
  'rinseless',
  'strip-shampoo',
  'residue-free-soap',
  'household-soap',
]);
