import { STEP_KINDS, type WashStep } from '../method/index.js';
import { PRODUCT_ROLES, type ProductRole } from '../protection/index.js';
import type { LaidCoat } from './wash-record.js';

/** A step with the bottle that it took; null or absent: not known. */
type Laying = Pick<WashStep, 'id' | 'groups'> & {
  readonly product?: { readonly role: ProductRole; readonly name: string | null } | null;
};

const coatOf = ({ product, groups }: Laying): LaidCoat => ({
  kind: (product ? PRODUCT_ROLES[product.role].lays : null) ?? 'sealant',
  productName: product?.name ?? null,
  groups,
});

/**
 * What do these steps leave on the car to protect it?
 *
 * @returns one coat for each bottle, in the order of the steps, however many parts of the car it was put on one after the other: its kind
 * by the role of the bottle, a sealant where no bottle is known
 */
export function coatsLaid(steps: readonly Laying[]): LaidCoat[] {
  const coats: LaidCoat[] = [];
  for (const coat of steps.filter(({ id }) => STEP_KINDS[id].lays).map(coatOf)) {
    const at = coats.findIndex(
      ({ kind, productName }) => kind === coat.kind && productName === coat.productName,
    );
    const known = coats[at];
    if (known) coats[at] = { ...known, groups: [...new Set([...known.groups, ...coat.groups])] };
    else coats.push(coat);
  }
  return coats;
}
