import type { ProductRole } from '../../protection/index.js';

/** What a typical label of a role says, where the kit holds no bottle of it. Dwell is that of the step. */
export interface TypicalProduct {
  readonly usualParts: number;
  readonly fewestParts: number;
  readonly mostParts: number;
  readonly lowestWorkC: number | null;
  /** Of a litre, minor units. */
  readonly litreMinor: number;
  readonly status: 'judgement';
}

const row = (
  [usualParts, fewestParts, mostParts]: readonly [number, number, number],
  litreMinor: number,
  lowestWorkC: number | null = null,
): TypicalProduct => ({ usualParts, fewestParts, mostParts, lowestWorkC, litreMinor, status: 'judgement' });

const NEAT = [0, 0, 0] as const;

/** Typical strengths, temperatures and prices by role (practice notes §3; judgement, the label goes first). */
export const TYPICAL_PRODUCTS: Readonly<Record<ProductRole, TypicalProduct>> = {
  shampoo: row([500, 200, 1000], 1200),
  rinseless: row([255, 15, 320], 2500),
  waterless: row(NEAT, 800),
  'alkaline-pre-wash': row([9, 4, 20], 900),
  'film-remover': row([9, 4, 30], 1000),
  'salt-neutraliser': row([19, 9, 40], 1500),
  'wheel-cleaner': row([3, 1, 6], 1200),
  'wheel-acid': row([3, 1, 10], 1000),
  'iron-remover': row(NEAT, 2000, 5),
  'bug-remover': row([4, 0, 10], 1200),
  'tar-remover': row(NEAT, 2000, 5),
  'mineral-acid': row(NEAT, 2500, 5),
  'strip-shampoo': row([60, 40, 120], 1500),
  'panel-wipe': row(NEAT, 1500, 5),
  clay: row(NEAT, 0),
  polish: row(NEAT, 5000, 10),
  'spray-wax': row(NEAT, 2500, 5),
  sealant: row(NEAT, 8000, 10),
  'spray-ceramic': row(NEAT, 8000, 10),
  'drying-aid': row([15, 8, 20], 2500),
  'underbody-foam': row([4, 4, 10], 1500, 1),
  'all-purpose-cleaner': row([10, 4, 30], 700),
  'residue-free-soap': row([400, 200, 800], 1800),
  'wet-sealant': row(NEAT, 2500, 2),
  'drying-sealant': row(NEAT, 3000, 2),
  'foaming-sealant': row([9, 4, 15], 4000, 5),
  'tyre-dressing': row(NEAT, 1500, 0),
  'household-soap': row([500, 200, 1000], 300),
};
