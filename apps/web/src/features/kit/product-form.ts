import { MINOR_PER_UNIT, MOST_MINOR, type Product } from '@keen/core';
import { fromMinor, toMinor } from '../../format/minor.js';
import { numberOf } from '../../parts/number-text.js';
import { partsOf, rounded, orEmpty } from './strength.js';
import type { Typed, ProductDraft } from './product-draft.js';

const shownTemp = (tempC: number | null, unit: 'C' | 'F'): Typed =>
  tempC === null ? '' : rounded(unit === 'F' ? tempC * 1.8 + 32 : tempC);

export const productDraft = (product: Product, unit: 'C' | 'F'): ProductDraft => ({
  name: product.name,
  role: product.role,
  inUsePh: product.inUsePh,
  isNeat: product.usualParts === 0,
  way: 'parts',
  usual: product.usualParts === 0 ? '' : product.usualParts,
  strongest: product.fewestParts === 0 ? '' : product.fewestParts,
  weakest: product.mostParts === 0 ? '' : product.mostParts,
  capMl: orEmpty(product.capMl),
  carMl: orEmpty(product.carMl),
  dwellFrom: product.dwell?.minMinutes ?? '',
  dwellTo: product.dwell?.maxMinutes ?? '',
  lowestWork: shownTemp(product.lowestWorkC, unit),
  lowestStore: shownTemp(product.lowestStoreC, unit),
  keptIn: product.keptIn,
  bottleMl: product.bottleMl,
  leftMl: product.leftMl,
  lowMl: product.lowMl,
  price: fromMinor(product.priceMinor) ?? 0,
  notes: product.notes,
});

const numberOrNull = numberOf;

const tempC = (typed: Typed, unit: 'C' | 'F'): number | null => {
  const value = numberOrNull(typed);
  return value === null || unit === 'C' ? value : rounded((value - 32) / 1.8);
};

/** Parts of the usual, the strongest and the weakest; left out, the range is the usual alone. */
function strengths(
  draft: ProductDraft,
): { usualParts: number; fewestParts: number; mostParts: number } | null {
  if (draft.isNeat) return { usualParts: 0, fewestParts: 0, mostParts: 0 };
  const usualParts = partsOf(draft.usual, draft.way);
  if (usualParts === null) return null;
  return {
    usualParts,
    fewestParts: partsOf(draft.strongest, draft.way) ?? usualParts,
    mostParts: partsOf(draft.weakest, draft.way) ?? usualParts,
  };
}

export type FormErrors = Readonly<Record<string, string | undefined>>;

const isIn = (typed: Typed, min: number, max: number): boolean => {
  const value = numberOf(typed);
  return value !== null && value >= min && value <= max;
};

/** Empty, or a temperature that a label may tell. */
const isTemp = (typed: Typed): boolean => typed === '' || isIn(typed, -60, 160);

/** The form's faults by field. */
export function productErrors(draft: ProductDraft): FormErrors {
  const parts = strengths(draft);
  const slip = 'More product than water: is the unit right? 1:9 is 10 %, and 9:1 is no dilution.';
  const isSlip = parts !== null && !draft.isNeat && parts.fewestParts < 1;
  const isRange =
    parts === null || (parts.usualParts >= parts.fewestParts && parts.usualParts <= parts.mostParts);
  const hasDwell = draft.dwellFrom !== '' || draft.dwellTo !== '';
  return {
    name: draft.name.trim() === '' ? 'Give a name.' : undefined,
    inUsePh: isIn(draft.inUsePh, 0, 14) ? undefined : 'From 0 to 14, as the label has it in use.',
    usual:
      parts === null
        ? 'Give the usual strength.'
        : parts.usualParts < 1 && !draft.isNeat
          ? slip
          : isRange
            ? undefined
            : 'Outside the label’s strongest and weakest.',
    strongest: isSlip && parts.usualParts >= 1 ? slip : undefined,
    capMl: draft.capMl === '' || isIn(draft.capMl, 0.1, 10_000) ? undefined : 'Above 0.',
    carMl: draft.carMl === '' || isIn(draft.carMl, 0.1, 10_000) ? undefined : 'Above 0, or nothing.',
    dwellTo:
      !hasDwell || (isIn(draft.dwellFrom, 0, 120) && isIn(draft.dwellTo, numberOf(draft.dwellFrom) ?? 0, 120))
        ? undefined
        : 'Both, the longest not shorter than the shortest.',
    bottleMl: isIn(draft.bottleMl, 1, 10_000_000) ? undefined : 'Above 0.',
    leftMl: isIn(draft.leftMl, 0, 10_000_000) ? undefined : 'From 0.',
    lowMl: isIn(draft.lowMl, 0, 10_000_000) ? undefined : 'From 0.',
    price: draft.price === '' || isIn(draft.price, 0, MOST_MINOR / MINOR_PER_UNIT) ? undefined : 'From 0.',
    lowestWork: isTemp(draft.lowestWork) ? undefined : 'A temperature, or nothing.',
    lowestStore: isTemp(draft.lowestStore) ? undefined : 'A temperature, or nothing.',
  };
}

function dwellOf({ dwellFrom, dwellTo }: ProductDraft): Product['dwell'] {
  const minMinutes = numberOf(dwellFrom);
  const maxMinutes = numberOf(dwellTo);
  return minMinutes === null || maxMinutes === null ? null : { minMinutes, maxMinutes };
}

/** The form as the server takes it. Only for a form without faults. */
export function productFrom(draft: ProductDraft, unit: 'C' | 'F'): Omit<Product, 'id'> {
  const { name, role, keptIn, notes } = draft;
  return {
    name: name.trim(),
    role,
    keptIn,
    notes,
    inUsePh: numberOf(draft.inUsePh) ?? 7,
    ...(strengths(draft) ?? { usualParts: 0, fewestParts: 0, mostParts: 0 }),
    capMl: numberOrNull(draft.capMl),
    carMl: numberOrNull(draft.carMl),
    dwell: dwellOf(draft),
    lowestWorkC: tempC(draft.lowestWork, unit),
    lowestStoreC: tempC(draft.lowestStore, unit),
    bottleMl: numberOf(draft.bottleMl) ?? 0,
    leftMl: numberOf(draft.leftMl) ?? 0,
    lowMl: numberOf(draft.lowMl) ?? 0,
    priceMinor: toMinor(numberOf(draft.price) ?? 0) ?? 0,
  };
}
