import { type KeptIn, type ProductRole } from '@keen/core';

export type Typed = number | string;

/** What is typed into the form of a product. */
export interface ProductDraft {
  readonly name: string;
  readonly role: ProductRole;
  readonly inUsePh: Typed;
  readonly isNeat: boolean;
  readonly way: StrengthWay;
  readonly usual: Typed;
  readonly strongest: Typed;
  readonly weakest: Typed;
  readonly capMl: Typed;
  readonly carMl: Typed;
  readonly dwellFrom: Typed;
  readonly dwellTo: Typed;
  readonly lowestWork: Typed;
  readonly lowestStore: Typed;
  readonly keptIn: KeptIn;
  readonly bottleMl: Typed;
  readonly leftMl: Typed;
  readonly lowMl: Typed;
  readonly price: Typed;
  readonly notes: string;
}

export const NEW_PRODUCT: ProductDraft = {
  name: '',
  role: 'shampoo',
  inUsePh: 7.5,
  isNeat: false,
  way: 'parts',
  usual: '',
  strongest: '',
  weakest: '',
  capMl: '',
  carMl: '',
  dwellFrom: '',
  dwellTo: '',
  lowestWork: '',
  lowestStore: '',
  keptIn: 'indoors',
  bottleMl: 1000,
  leftMl: 1000,
  lowMl: 150,
  price: '',
  notes: '',
};

/** The ways in which a strength is said. */
export const STRENGTH_WAYS = {
  parts: '1:N',
  percent: '%',
  mlPerLitre: 'mL per L',
  flOzPerGal: 'fl oz per gal',
} as const;

export type StrengthWay = keyof typeof STRENGTH_WAYS;
