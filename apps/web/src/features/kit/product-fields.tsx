import type { ReactElement } from 'react';
import { shownNumber, TypedNumber } from '../../parts/typed-number.js';
import type { ProductDraft } from './product-draft.js';
import type { FormErrors } from './product-form.js';
import { VolumeField } from './volume-field.js';

interface OfForm {
  readonly draft: ProductDraft;
  readonly set: (change: Partial<ProductDraft>) => void;
  readonly errors: FormErrors;
}

type Rest = { readonly description?: string; readonly decimals?: number };

/** The fields of a bottle's form that hold numbers and amounts, each by the name under which it is kept. */
export const productFields = ({ draft, set, errors }: OfForm) => ({
  number: (
    field: Extract<keyof ProductDraft, string>,
    label: string,
    { description, decimals = 2 }: Rest = {},
  ): ReactElement => (
    <TypedNumber
      label={label}
      description={description}
      value={shownNumber(draft[field] as number | string, decimals)}
      onChange={(value) => set({ [field]: value })}
      decimalScale={decimals}
      error={errors[field]}
    />
  ),
  volume: (
    field: 'capMl' | 'carMl' | 'bottleMl' | 'leftMl' | 'lowMl',
    label: string,
    hint?: string,
  ): ReactElement => (
    <VolumeField
      label={label}
      hint={hint}
      value={draft[field]}
      onChange={(value) => set({ [field]: value })}
      error={errors[field]}
    />
  ),
});
