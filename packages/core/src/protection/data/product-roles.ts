import type { Protection } from '../../vehicle/index.js';

export const PRODUCT_ROLE_IDS = [
  'shampoo',
  'rinseless',
  'waterless',
  'alkaline-pre-wash',
  'film-remover',
  'salt-neutraliser',
  'wheel-cleaner',
  'wheel-acid',
  'iron-remover',
  'bug-remover',
  'tar-remover',
  'mineral-acid',
  'strip-shampoo',
  'panel-wipe',
  'clay',
  'polish',
  'spray-wax',
  'sealant',
  'spray-ceramic',
  'drying-aid',
  'underbody-foam',
  'all-purpose-cleaner',
  'residue-free-soap',
  'wet-sealant',
  'drying-sealant',
  'foaming-sealant',
  'tyre-dressing',
  'household-soap',
] as const;
export type ProductRole = (typeof PRODUCT_ROLE_IDS)[number];

export interface ProductRoleRow {
  /** Typical in-use pH of the role, where no label is at hand (judgement). */
  readonly typicalPh: number;
  /** Protections that its solvent takes off whatever the pH. */
  readonly dissolves: readonly Protection[];
  readonly abrades: boolean;
  /** Bonds to bare paint only. */
  readonly wantsBare: boolean;
  /** What it is once it lies there; null: it protects nothing. */
  readonly lays: Exclude<Protection, 'bare'> | null;
}

const row = (typicalPh: number, rest: Partial<ProductRoleRow> = {}): ProductRoleRow => ({
  typicalPh,
  dissolves: [],
  abrades: false,
  wantsBare: false,
  lays: null,
  ...rest,
});

/** Roles of products; in-use pH by role is judgement and gives way to the label. */
export const PRODUCT_ROLES: Readonly<Record<ProductRole, ProductRoleRow>> = {
  shampoo: row(7.5),
  rinseless: row(7.5),
  waterless: row(7),
  'alkaline-pre-wash': row(11),
  'film-remover': row(12.5),
  'salt-neutraliser': row(4.5),
  'wheel-cleaner': row(8.5),
  'wheel-acid': row(2),
  'iron-remover': row(6.5),
  'bug-remover': row(9),
  'tar-remover': row(7, { dissolves: ['wax', 'sealant'] }),
  'mineral-acid': row(3),
  'strip-shampoo': row(11.5, { dissolves: ['wax', 'sealant', 'spray-ceramic'] }),
  'panel-wipe': row(7, { dissolves: ['wax', 'sealant'] }),
  clay: row(7, { abrades: true }),
  polish: row(7.5, { abrades: true }),
  'spray-wax': row(7, { lays: 'wax' }),
  sealant: row(7, { wantsBare: true, lays: 'sealant' }),
  'spray-ceramic': row(7, { lays: 'spray-ceramic' }),
  'drying-aid': row(7),
  'underbody-foam': row(8),
  'all-purpose-cleaner': row(10.5),
  'residue-free-soap': row(7.5),
  'wet-sealant': row(7, { lays: 'sealant' }),
  'drying-sealant': row(7, { lays: 'sealant' }),
  'foaming-sealant': row(7, { wantsBare: true, lays: 'sealant' }),
  'tyre-dressing': row(7),
  // Made to take fat off plates: wax goes with it.
  'household-soap': row(8, { dissolves: ['wax'] }),
};
