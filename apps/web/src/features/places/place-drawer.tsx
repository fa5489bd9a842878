import type { PlaceRecord } from '@keen/core';
import { Select, Textarea, TextInput } from '@mantine/core';
import { useSavePlace } from '../../api/queries.js';
import { FormDrawer } from '../../parts/form-drawer.js';
import { useRecordForm } from '../../parts/use-record-form.js';
import { optionsOf } from '../../words/names.js';
import { PLACE_KIND_NAMES } from '../../words/place-words.js';
import { AirFields } from './air-fields.js';
import { BayFields } from './bay-fields.js';
import { FinishFields } from './finish-fields.js';
import { KIND_FACTS } from '../../drafts/kind-facts.js';
import { draftOf, newPlace, ofKind } from '../../drafts/place-draft.js';
import { placeErrors } from '../../drafts/place-errors.js';
import { placeFrom } from '../../drafts/place-form.js';
import { OfferFields, TariffFields } from './offer-fields.js';
import { HorizonFields, OpeningFields } from './place-parts.js';
import { TimesFields } from './times-fields.js';
import { WatersFields } from './waters-fields.js';
import { WhereFields } from './where-fields.js';

interface PlaceDrawerProps {
  /** null: a new one. */
  readonly place: PlaceRecord | null;
  /** All that the shop has: a new one is somewhere near them. */
  readonly places: readonly PlaceRecord[];
  readonly timeZone: string;
  readonly currency: string;
  readonly onClose: () => void;
}

/** Adding or editing a place and its waters. */
export function PlaceDrawer({ place, places, timeZone, currency, onClose }: PlaceDrawerProps) {
  const initial = place ? draftOf(place) : newPlace(timeZone, places[0]);
  const save = useSavePlace();
  const { draft, set, errors, failure, submit, cancel } = useRecordForm({
    draftKey: `place-${place?.id ?? 'new'}`,
    record: place,
    initial,
    errorsOf: placeErrors,
    fieldsOf: placeFrom,
    save: (fields) => save.mutateAsync({ id: place?.id, ...fields }),
    onSaved: onClose,
    onClose,
  });
  const facts = KIND_FACTS[draft.kind];
  return (
    <FormDrawer
      title={place ? `Edit ${place.name}` : 'Add a place'}
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
      <Select
        label="Kind"
        data={optionsOf(PLACE_KIND_NAMES)}
        value={draft.kind}
        onChange={(kind) => kind && set(ofKind(kind))}
        allowDeselect={false}
      />
      <AirFields draft={draft} set={set} errors={errors} />
      <OfferFields
        kind={draft.kind}
        offers={draft.offers}
        currency={currency}
        errors={errors}
        onChange={(offers) => set({ offers })}
      />
      <TariffFields
        tariff={draft.tariff}
        currency={currency}
        errors={errors}
        onChange={(tariff) => set({ tariff })}
      />
      <BayFields draft={draft} set={set} />
      <WhereFields draft={draft} set={set} errors={errors} />
      <FinishFields
        draft={draft}
        set={set}
        errors={errors}
        currency={currency}
        seconds={places.filter(({ id, tariff }) => id !== place?.id && tariff === null)}
      />
      <WatersFields draft={draft} set={set} errors={errors} />
      <TimesFields draft={draft} set={set} errors={errors} />
      {facts.shelter === 'open' && (
        <HorizonFields rows={draft.horizon} onChange={(horizon) => set({ horizon })} />
      )}
      {facts.shelter === 'roofed' && (
        <OpeningFields rows={draft.openings} onChange={(openings) => set({ openings })} />
      )}
      <Textarea
        label="Notes"
        description="Who to ask, what to bring"
        autosize
        minRows={2}
        value={draft.notes}
        maxLength={2000}
        onChange={(event) => set({ notes: event.currentTarget.value })}
      />
    </FormDrawer>
  );
}
