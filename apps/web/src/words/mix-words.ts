import type { Mix, MixInto, ProductReason, StepFault } from '@keen/core';
import type { Format } from '../format/format.js';
import { COMPATIBILITY_REASONS, ZONE_NAMES } from './car-names.js';
import { ROLE_NAMES } from './kit-names.js';
import { SITE_RULE_NAMES } from './names.js';
import { GROUP_NAMES, RUN_STEP_NAMES } from './run-words.js';

const AIR_WORDS: Readonly<Record<MixInto, string>> = {
  foamer: 'in the foamer',
  sprayer: 'in a sprayer',
  bucket: 'in the bucket',
  neat: 'neat',
};

/** Why this bottle. */
export const PRODUCT_REASONS: Readonly<Record<ProductReason, string>> = {
  chosen: 'the shop’s choice',
  'only-one': 'the only one in the kit for it',
  meant: 'made for this step',
  mildest: 'the mildest of those made for this step',
  gentler: 'gentler than what else is made for this step',
  cold: 'the one that works in that cold',
  'stand-in': 'stands in: the kit has no other for it',
  typical: 'typical figures: the kit has none',
  site: 'the site’s own',
};

/** What is mixed: the bottle by its name, or the kind of product where the kit has none. */
export const mixName = ({ product, role }: Mix): string =>
  product?.name ?? `${ROLE_NAMES[role]} (typical, not in the kit)`;

/** A vessel so much larger than what a car takes is filled for several. */
const FOR_SEVERAL = 1.5;

function vesselText({ fills, into, productMl, waterMl }: Mix, format: Format): string {
  if (!fills) return AIR_WORDS[into];
  const { count, vesselMl } = fills;
  const size = format.ml(vesselMl);
  if (into === 'bucket') return count > 1 ? `in ${count} buckets of ${size}` : AIR_WORDS[into];
  if (count > 1) return `${AIR_WORDS[into]}, ${count} fills of ${size}`;
  const cars = Math.floor(vesselMl / (productMl + waterMl));
  return cars >= 2 && vesselMl > FOR_SEVERAL * (productMl + waterMl)
    ? `${AIR_WORDS[into]} (${size}: a full one lasts ${cars} cars)`
    : AIR_WORDS[into];
}

/** One decimal; a half that a sum of parts just misses goes up as the half itself does. */
const oneDecimal = (value: number): string => Number(value.toPrecision(9)).toFixed(1);

/** "40 mL and 360 mL water (1:9, 10 %), 1.3 caps, in the foamer". */
export function mixText(mix: Mix, format: Format): string {
  const { productMl, waterMl, parts, percent, caps, panelPercent } = mix;
  // A sheet from before typical labels were counted.
  if (!mix.product && productMl === 0) return 'none in the kit';
  const capsText = caps === null ? '' : `, ${oneDecimal(caps)} caps`;
  const onPanel = panelPercent === null ? '' : `, ${panelPercent.toFixed(1)} % on the panel`;
  if (parts < 1) return `${format.ml(productMl)} neat${capsText}`;
  return `${format.ml(productMl)} and ${format.ml(waterMl)} water (1:${Math.round(parts)}, ${percent.toFixed(percent < 2 ? 2 : 0)} %)${capsText}, ${vesselText(mix, format)}${onPanel}`;
}

/** What is wrong with a step, with its number and what to do. */
export function faultText(fault: StepFault, format: Format): string {
  switch (fault.kind) {
    case 'none-in-kit':
      return 'Not in the kit: buy it, or leave the step out. Amounts are those of a typical label.';
    case 'too-little':
      return `${format.ml(fault.needMl)} wanted, ${format.ml(fault.leftMl)} left: make less, or open a new bottle.`;
    case 'too-cold':
      return `${format.temp(fault.tempC)} there, and the label says ${format.temp(fault.lowestC)} or more (${format.kelvin(fault.lowestC - fault.tempC)} short): warm the product, or another product.`;
    case 'too-strong':
      return `1:${Math.round(fault.parts)} is stronger than the label’s 1:${Math.round(fault.fewestParts)}: put less in, or more water.`;
    case 'smears':
      return `1:${Math.round(fault.parts)} is twice the usual 1:${Math.round(fault.usualParts)} or more, on paint at ${format.temp(fault.panelC)} (estimated; from ${format.temp(fault.warmC)} on, judgement): it smears before the cloth has it. Mix it as usual, or wait for shade.`;
    case 'meets':
      return `On the ${ZONE_NAMES[fault.zone].toLowerCase()}: ${COMPATIBILITY_REASONS[fault.finding.reason]}${fault.finding.limitPh === null ? '' : `, limit pH ${fault.finding.limitPh}`}; ${MEETS_WAY[fault.finding.kind]}.`;
    case 'acid-over-alkali':
      return `Acid over alkali: “${RUN_STEP_NAMES[fault.alkali].toLowerCase()}” still lies there. Rinse first.`;
    case 'alkali-over-acid':
      return `Alkali over acid: “${RUN_STEP_NAMES[fault.acid].toLowerCase()}” still lies there. Rinse first.`;
    case 'not-rinsed':
      return `Nothing after it rinses it off the ${new Intl.ListFormat('en').format(fault.groups.map((group) => GROUP_NAMES[group]))}. Rinse there before the next product.`;
    case 'wet-paint':
      return `It wants dry paint, and the water of “${RUN_STEP_NAMES[fault.wet].toLowerCase()}” still stands there. Towel it dry first.`;
    case 'hot-on-frozen-glass':
      return `Glass is near ${format.temp(fault.glassC)} and the water ${format.temp(fault.waterC)}: hot water cracks frozen glass. Begin low on the body, bring the glass above freezing slowly.`;
    case 'forbidden':
      return `The place forbids it (${SITE_RULE_NAMES[fault.rule]}): ask there, or leave the step out.`;
    case 'driven-back':
      return `It is to be done in the first place, after “${RUN_STEP_NAMES[fault.there].toLowerCase()}” in the second: nobody drives back. Done in one place until that is mended.`;
    case 'needs-first-place':
      return 'It needs the water, the drain or the meter of the first place, and stands after the drive. Move it ahead of the drive; until then all is done in one place.';
    case 'not-rinsed-here':
      return 'The drive would stand before it, and nothing has rinsed the body yet: salt would be driven on and rubbed. Rinse first; until then all is done in one place.';
    case 'no-drain':
      return `No drain, and ${format.litres(fault.litres)} falls: keep it drip-free, mop up, no puddle at the door.`;
  }
}

const MEETS_WAY = {
  warn: 'mind it',
  're-protect': 'protect it again afterwards',
  block: 'not with this product',
} as const;
