import { FieldError, requireInRange } from '../quantity/index.js';

export interface PanelImpactInput {
  readonly panelPercent: number;
  readonly applicator: 'hand-sprayer' | 'lance';
  readonly bottleMl: number;
  /** Everything that leaves the lance while one bottle is drawn, litres. Needed for a lance. */
  readonly outputLitresPerBottle?: number;
}

export interface PanelImpact {
  readonly possible: boolean;
  readonly bottlePercent: number | null;
  readonly productMl: number | null;
  readonly waterMl: number | null;
  readonly highestPanelPercent: number;
}

/** How many times a full bottle is thinned on its way to the panel. */
function thinning({ applicator, bottleMl, outputLitresPerBottle }: PanelImpactInput): number {
  if (applicator === 'hand-sprayer') return 1;
  if (outputLitresPerBottle === undefined) {
    throw new FieldError(
      'missing-field',
      'outputLitresPerBottle',
      'panelImpact: outputLitresPerBottle is needed for a lance',
    );
  }
  requireInRange(
    'panelImpact',
    { outputLitresPerBottle },
    { min: bottleMl / 1000, max: 10_000, unit: 'L (at least the bottle)' },
  );
  return (outputLitresPerBottle * 1000) / bottleMl;
}

/**
 * What must be in the bottle, so that this much arrives on the panel?
 *
 * @param input panelPercent 0.001…100 of product on the panel; bottleMl 1…100 000; the lance's output
 * @returns bottle strength and amounts, null where even neat product is too thin; the strongest that can arrive
 * @throws FieldError naming the field
 * @example panelImpact({ panelPercent: 6, applicator: 'lance', bottleMl: 1000, outputLitresPerBottle: 10 }).bottlePercent // 60
 */
export function panelImpact(input: PanelImpactInput): PanelImpact {
  const { panelPercent, bottleMl } = input;
  requireInRange('panelImpact', { panelPercent }, { min: 0.001, max: 100, unit: '%' });
  requireInRange('panelImpact', { bottleMl }, { min: 1, max: 100_000, unit: 'mL' });
  const times = thinning(input);
  const bottlePercent = panelPercent * times;
  const highestPanelPercent = 100 / times;
  if (bottlePercent > 100 + 1e-9) {
    return { possible: false, bottlePercent: null, productMl: null, waterMl: null, highestPanelPercent };
  }
  const productMl = (bottleMl * bottlePercent) / 100;
  return { possible: true, bottlePercent, productMl, waterMl: bottleMl - productMl, highestPanelPercent };
}
