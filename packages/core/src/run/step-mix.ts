import { isSameBatch, type Mix } from '../kit/index.js';
import { type WashStep } from '../method/index.js';

/** Is it mixed for this step? Steps of old packs do not say what they put on. */
export const isMixOf = (mix: Mix, { id, product }: WashStep): boolean =>
  mix.step === id &&
  (product === undefined ||
    (mix.role === product.role &&
      (mix.product?.id ?? null) === product.id &&
      (product.hasOwnParts !== true || mix.parts === product.parts)));

/** What of a batch goes on with this step, where its kind stands there several times. */
export function shareOfMix(mix: Mix, step: WashStep, steps: readonly WashStep[]): Mix {
  const same = steps.filter((one) => isSameBatch(one, step));
  if (same.length === 1) return mix;
  // By what goes on with each part; by minutes where a pack does not say.
  const of = ({ product, minutes }: WashStep): number => product?.productMl ?? minutes;
  const share = of(step) / same.reduce((sum, one) => sum + of(one), 0);
  const { fills: _, costMinor, ...batch } = mix;
  return {
    ...batch,
    productMl: mix.productMl * share,
    waterMl: mix.waterMl * share,
    caps: mix.caps === null ? null : mix.caps * share,
    ...(costMinor === undefined ? {} : { costMinor: costMinor * share }),
  };
}
