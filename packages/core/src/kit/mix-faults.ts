import { STEP_KINDS, type StepProduct, type WashStep } from '../method/index.js';
import { BUCKET_ROLES } from './data/step-products.js';
import { type Meeting, type MeetingCase, worstMeeting } from './meeting.js';
import type { Kit } from './product.js';

/** What is wrong with a mix, with its number. */
export type MixFault =
  | { readonly kind: 'none-in-kit' }
  | { readonly kind: 'too-little'; readonly needMl: number; readonly leftMl: number }
  | { readonly kind: 'too-cold'; readonly tempC: number; readonly lowestC: number }
  /** Stronger than the label allows, as parts of water. */
  | { readonly kind: 'too-strong'; readonly parts: number; readonly fewestParts: number }
  /** So much stronger than usual that it smears where it is wiped, on paint that is warm. */
  | {
      readonly kind: 'smears';
      readonly parts: number;
      readonly usualParts: number;
      readonly panelC: number;
      /** From here on it does, °C (judgement). */
      readonly warmC: number;
    }
  | ({ readonly kind: 'meets' } & Meeting);

/** Where and on what it is used. */
export interface MixCase extends Omit<MeetingCase, 'isToStrip'> {
  readonly kit: Pick<Kit, 'products'>;
  /** Air where it is used, °C. */
  readonly placeC: number;
  /** The warmest paint before any water comes to it, °C; absent: as the air. */
  readonly panelC?: number;
}

/** Parts of water in what arrives on the panel: a lance thins what is in its bottle. */
const onPanel = ({ parts, panelPercent }: StepProduct): number =>
  panelPercent === null ? parts : 100 / panelPercent - 1;

/** Parts that are worked back from a percentage. */
const STRENGTH_SLACK = 1e-6;

/** Stronger than the label allows: of a bucket always, of what is sprayed where somebody chose its strength. */
function isTooStrong(product: StepProduct): boolean {
  const { into, fewestParts, hasOwnParts = false } = product;
  // A label that tells its strength in a bucket says nothing of a sprayer.
  const isOfLabel = into === 'bucket' || (hasOwnParts && !BUCKET_ROLES.has(product.role));
  return isOfLabel && onPanel(product) < fewestParts - STRENGTH_SLACK;
}

/** A double dose is from here on: so many times the usual strength (practice: "twice the product in heat smears"). */
const DOUBLE_DOSE = 1.9;
/** From here on paint dries what is wiped over it before the cloth has it (judgement). */
const WARM_PANEL_C = 25;

/** Twice the product, wiped and not rinsed, on warm paint. */
function smearsOf(
  product: StepProduct,
  step: WashStep,
  { kit, placeC, panelC = placeC }: MixCase,
): Extract<MixFault, { kind: 'smears' }> | null {
  const { wantsRinse, clearsItself, goesOverBody } = STEP_KINDS[step.id];
  const bottle = kit.products.find(({ id }) => id === product.id);
  if (!bottle || wantsRinse || clearsItself || !goesOverBody || panelC < WARM_PANEL_C) return null;
  const { usualParts } = bottle;
  const parts = onPanel(product);
  const isDouble = (usualParts + 1) / (parts + 1) >= DOUBLE_DOSE;
  return isDouble ? { kind: 'smears', parts, usualParts, panelC, warmC: WARM_PANEL_C } : null;
}

/** What is wrong with what this step puts on, where and on what it does. */
export function faultsOf(product: StepProduct, step: WashStep, of: MixCase & MeetingCase): MixFault[] {
  const { from, id, productMl, lowestWorkC, fewestParts } = product;
  if (from === 'typical') return of.kit.products.length === 0 ? [] : [{ kind: 'none-in-kit' }];
  const leftMl = of.kit.products.find((bottle) => bottle.id === id)?.leftMl ?? 0;
  const smears = smearsOf(product, step, of);
  const meeting = worstMeeting(product, step.groups, of);
  return [
    ...(leftMl < productMl ? [{ kind: 'too-little' as const, needMl: productMl, leftMl }] : []),
    ...(lowestWorkC !== null && of.placeC < lowestWorkC
      ? [{ kind: 'too-cold' as const, tempC: of.placeC, lowestC: lowestWorkC }]
      : []),
    ...(isTooStrong(product) ? [{ kind: 'too-strong' as const, parts: onPanel(product), fewestParts }] : []),
    ...(smears ? [smears] : []),
    ...(meeting ? [{ kind: 'meets' as const, ...meeting }] : []),
  ];
}
