import type { Protection } from '../vehicle/index.js';
import type { ProductRole } from './data/product-roles.js';
import { PRODUCT_ROLES } from './data/product-roles.js';

/** What a product does to what lies on a zone. */
export type Compatibility =
  | { readonly kind: 'fine' }
  | { readonly kind: 'warn'; readonly reason: CompatibilityReason; readonly limitPh: number | null }
  | { readonly kind: 're-protect'; readonly reason: CompatibilityReason; readonly limitPh: number | null }
  | { readonly kind: 'block'; readonly reason: CompatibilityReason; readonly limitPh: number | null };

export type CompatibilityReason =
  | 'too-alkaline'
  | 'too-acid'
  | 'dissolves'
  | 'abrades'
  | 'will-not-bond'
  | 'delicate-metal'
  | 'acid-on-metal';

/** pH that a protection stands, from and to. */
export interface PhRange {
  readonly low: number;
  readonly high: number;
}

/** Of each protection. */
export type Stands = Readonly<Record<Exclude<Protection, 'bare'>, PhRange>>;

/** Highest and lowest in-use pH that each protection stands in short contact (judgement; the data sheet goes first). */
export const PH_STANDS: Readonly<Record<Protection, PhRange>> = {
  bare: { low: 2, high: 13 },
  wax: { low: 5, high: 9.5 },
  sealant: { low: 3.5, high: 11.5 },
  'spray-ceramic': { low: 3, high: 11.5 },
  coating: { low: 2, high: 13 },
  film: { low: 3, high: 11 },
};

/** Beyond what it stands by this much, it is not worn but ruined, or the surface under it is. */
const RUINED_BY_PH = 2;
/** Bare and polished metal take neither end. */
const METAL_STANDS = { low: 5, high: 10 };

const finding = (
  kind: Exclude<Compatibility['kind'], 'fine'>,
  reason: CompatibilityReason,
  limitPh: number | null = null,
): Compatibility => ({ kind, reason, limitPh });

function byPh(inUsePh: number, protection: Protection, stands: Stands): Compatibility | null {
  const { low, high } = protection === 'bare' ? PH_STANDS.bare : stands[protection];
  const beyond = Math.max(inUsePh - high, low - inUsePh);
  if (beyond <= 0) return null;
  const reason = inUsePh > high ? 'too-alkaline' : 'too-acid';
  const limitPh = inUsePh > high ? high : low;
  if (protection === 'bare') return finding('warn', reason, limitPh);
  return finding(beyond > RUINED_BY_PH && protection === 'film' ? 'block' : 're-protect', reason, limitPh);
}

/** What a product meets on one zone. */
export interface ProductMeets {
  readonly role: ProductRole;
  /** From the label: dilution moves it little. */
  readonly inUsePh: number;
  readonly protection: Protection;
  /** Polished, anodised or bare metal there. */
  readonly isDelicateMetal: boolean;
  /** What each protection stands in this shop; absent: as shipped. */
  readonly stands?: Stands;
}

/**
 * May this product touch what lies on this zone?
 *
 * @returns fine, warn, re-protect afterwards, or block; with the reason and the pH limit where it is one of pH
 * Source: table of roles and pH limits (judgement; the product's data sheet goes first).
 */
export function compatibility({
  role,
  inUsePh,
  protection,
  isDelicateMetal,
  stands = PH_STANDS,
}: ProductMeets): Compatibility {
  const row = PRODUCT_ROLES[role];
  if (isDelicateMetal && (inUsePh < METAL_STANDS.low || inUsePh > METAL_STANDS.high)) {
    return finding(
      'block',
      'delicate-metal',
      inUsePh < METAL_STANDS.low ? METAL_STANDS.low : METAL_STANDS.high,
    );
  }
  if (row.abrades)
    return protection === 'film' ? finding('block', 'abrades') : finding('re-protect', 'abrades');
  if (row.dissolves.includes(protection)) return finding('re-protect', 'dissolves');
  const ph = byPh(inUsePh, protection, stands);
  if (ph) return ph;
  if (row.wantsBare && protection !== 'bare') return finding('warn', 'will-not-bond');
  return { kind: 'fine' };
}
