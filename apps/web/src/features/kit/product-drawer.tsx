import { Checkbox, Group, SegmentedControl, Select, Textarea, TextInput } from '@mantine/core';
import { PRODUCT_ROLES, type Product } from '@keen/core';
import { useSaveProduct } from '../../api/kit-queries.js';
import { useFormat } from '../../format/use-format.js';
import { FormDrawer } from '../../parts/form-drawer.js';
import { useRecordForm } from '../../parts/use-record-form.js';
import { KEPT_IN_NAMES, ROLE_NAMES } from '../../words/kit-names.js';
import { optionsOf } from '../../words/names.js';
import { productDraft, productErrors, productFrom } from './product-form.js';
import { NEW_PRODUCT, STRENGTH_WAYS } from './product-draft.js';
import { sayStrengths } from './strength.js';
import { productFields } from './product-fields.js';

interface ProductDrawerProps {
  /** null: a new one. */
  readonly product: Product | null;
  readonly onClose: () => void;
}

/** Adding or editing a bottle, as its label has it. */
export function ProductDrawer({ product, onClose }: ProductDrawerProps) {
  const { display } = useFormat();
  const save = useSaveProduct();
  const { draft, set, errors, failure, submit, cancel } = useRecordForm({
    draftKey: `product-${product?.id ?? 'new'}`,
    record: product,
    initial: product ? productDraft(product, display.temperature) : NEW_PRODUCT,
    errorsOf: productErrors,
    fieldsOf: (typed) => productFrom(typed, display.temperature),
    save: (fields) => save.mutateAsync({ id: product?.id, ...fields }),
    onSaved: onClose,
    onClose,
  });
  const { number, volume } = productFields({ draft, set, errors });
  const unit = `°${display.temperature}`;
  return (
    <FormDrawer
      title={product ? `Edit ${product.name}` : 'Add a product'}
      isSaving={save.isPending}
      failure={failure}
      onSave={submit}
      onCancel={cancel}
      onClose={onClose}
    >
      <TextInput
        label="Name"
        value={draft.name}
        maxLength={80}
        onChange={(event) => set({ name: event.currentTarget.value })}
        error={errors.name}
        data-autofocus
        required
      />
      <Group grow align="start">
        <Select
          label="What it is for"
          data={optionsOf(ROLE_NAMES)}
          value={draft.role}
          onChange={(role) => role && set({ role, inUsePh: PRODUCT_ROLES[role].typicalPh })}
          allowDeselect={false}
          searchable
        />
        {number('inUsePh', 'pH in use', { description: 'From the label' })}
      </Group>
      <Checkbox
        label="Ready to use, never diluted"
        checked={draft.isNeat}
        onChange={(event) => set({ isNeat: event.currentTarget.checked })}
      />
      {!draft.isNeat && (
        <>
          <SegmentedControl
            aria-label="How the strength is said"
            data={optionsOf(STRENGTH_WAYS)}
            value={draft.way}
            onChange={(way) => set(sayStrengths(draft, way))}
          />
          <Group grow align="start">
            {number('usual', `Usual, ${STRENGTH_WAYS[draft.way]}`, { decimals: 3 })}
            {number('strongest', 'Strongest allowed', { decimals: 3 })}
            {number('weakest', 'Weakest allowed', { decimals: 3 })}
          </Group>
        </>
      )}
      <Group grow align="start">
        {volume('capMl', 'One cap')}
        {volume('carMl', 'One saloon takes', 'Neat; empty: as usual')}
      </Group>
      <Group grow align="start">
        {number('dwellFrom', 'Dwell from, min')}
        {number('dwellTo', 'to, min')}
      </Group>
      <Group grow align="start">
        {number('lowestWork', `Works from, ${unit}`, { decimals: 1 })}
        {number('lowestStore', `Stored above, ${unit}`, { decimals: 1 })}
        <Select
          label="Stands overnight"
          data={optionsOf(KEPT_IN_NAMES)}
          value={draft.keptIn}
          onChange={(keptIn) => keptIn && set({ keptIn })}
          allowDeselect={false}
        />
      </Group>
      <Group grow align="start">
        {volume('bottleMl', 'Bottle')}
        {volume('leftMl', 'Left')}
        {volume('lowMl', 'Low at')}
        {number('price', `A bottle costs, ${display.currency}`)}
      </Group>
      <Textarea
        label="Notes"
        value={draft.notes}
        maxLength={1000}
        autosize
        minRows={2}
        onChange={(event) => set({ notes: event.currentTarget.value })}
      />
    </FormDrawer>
  );
}
