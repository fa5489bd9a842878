import type { PlaceRecord } from '@keen/core';
import { Checkbox, Group, MultiSelect, Select, Textarea, TextInput } from '@mantine/core';
import { useSavePlace } from '../../api/queries.js';
import { tempScale } from '../../format/scales.js';
import { useFormat } from '../../format/use-format.js';
import { FormDrawer } from '../../parts/form-drawer.js';
import { NumberField } from '../../parts/number-field.js';
import { useRecordForm } from '../../parts/use-record-form.js';
import { optionsOf, PLACE_KIND_NAMES, SITE_RULE_NAMES, TAP_NAMES } from '../../words/names.js';
import { DEFAULT_WATER, draftOf, KIND_FACTS, newPlace, placeErrors, placeFrom } from './place-form.js';
import { OfferFields, TariffFields } from './offer-fields.js';
import { HoursFields } from '../../parts/hours-fields.js';
import { HorizonFields, OpeningFields, QueueFields, WaterFields } from './place-parts.js';

interface PlaceDrawerProps {
  /** null: a new one. */
  readonly place: PlaceRecord | null;
  /** Another place of the shop, for a first guess of where the new one is. */
  readonly near: PlaceRecord | undefined;
  readonly timeZone: string;
  readonly currency: string;
  readonly onClose: () => void;
}

const ZONES = Intl.supportedValuesOf('timeZone');

/** Adding or editing a place and its waters. */
export function PlaceDrawer({ place, near, timeZone, currency, onClose }: PlaceDrawerProps) {
  const { display } = useFormat();
  const initial = place ? draftOf(place) : newPlace(timeZone, near);
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
      <Group grow align="start">
        <Select
          label="Kind"
          data={optionsOf(PLACE_KIND_NAMES)}
          value={draft.kind}
          onChange={(kind) =>
            kind && set({ kind, offers: [{ methodId: KIND_FACTS[kind].methodId, priceMinor: 0 }] })
          }
          allowDeselect={false}
        />
        {facts.shelter === 'indoors' && (
          <NumberField
            label="Humidity read there"
            unit="%"
            hint="Empty: the model's own"
            value={draft.relHumidityPercent}
            onChange={(relHumidityPercent) => set({ relHumidityPercent })}
            decimals={0}
            error={errors.relHumidityPercent}
          />
        )}
      </Group>
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
      <Group grow align="start">
        <NumberField
          label="Latitude"
          unit="° north"
          value={draft.latitudeDeg}
          onChange={(latitudeDeg) => set({ latitudeDeg })}
          decimals={4}
          error={errors.latitudeDeg}
        />
        <NumberField
          label="Longitude"
          unit="° east"
          value={draft.longitudeDeg}
          onChange={(longitudeDeg) => set({ longitudeDeg })}
          decimals={4}
          error={errors.longitudeDeg}
        />
        <Select
          label="Time zone"
          data={ZONES}
          searchable
          value={draft.timeZone}
          onChange={(zone) => zone && set({ timeZone: zone })}
          allowDeselect={false}
          error={errors.timeZone}
        />
      </Group>
      <Group grow align="start">
        <NumberField
          label="Car's nose points"
          unit="° from north"
          value={draft.carHeadingDeg}
          onChange={(carHeadingDeg) => set({ carHeadingDeg })}
          decimals={0}
          error={errors.carHeadingDeg}
        />
        <NumberField
          label="Drive there"
          unit="min"
          value={draft.travelMinutes}
          onChange={(travelMinutes) => set({ travelMinutes })}
          decimals={0}
          error={errors.travelMinutes}
        />
        <NumberField
          label="Room for"
          unit="cars"
          value={draft.carsAtOnce}
          onChange={(carsAtOnce) => set({ carsAtOnce })}
          decimals={0}
          error={errors.carsAtOnce}
        />
        {facts.climate === 'heated' && (
          <NumberField
            label="Kept at"
            unit={`°${display.temperature}`}
            scale={tempScale(display)}
            value={draft.setpointC}
            onChange={(setpointC) => set({ setpointC })}
            error={errors.setpointC}
          />
        )}
      </Group>
      <Group>
        <Checkbox
          label="Floor drain"
          checked={draft.hasDrain}
          onChange={(event) => set({ hasDrain: event.currentTarget.checked })}
        />
        <Checkbox
          label="Lamps"
          checked={draft.hasLight}
          onChange={(event) => set({ hasLight: event.currentTarget.checked })}
        />
        <Select
          aria-label="Tap"
          data={optionsOf(TAP_NAMES).map((option) => ({
            ...option,
            label: `Tap: ${option.label.toLowerCase()}`,
          }))}
          value={draft.tap}
          onChange={(tap) => tap && set({ tap })}
          allowDeselect={false}
          w={260}
        />
      </Group>
      <WaterFields
        legend="Wash water"
        prefix="washWater"
        water={draft.washWater}
        errors={errors}
        onChange={(washWater) => set({ washWater })}
      />
      <Checkbox
        label="There is another last rinse (softened, filtered or demineralised)"
        checked={draft.finalRinse !== null}
        onChange={(event) =>
          set({
            finalRinse: event.currentTarget.checked
              ? { ...DEFAULT_WATER, name: 'Last rinse', tdsMgPerLitre: 20, hardnessMgPerLitre: 5 }
              : null,
          })
        }
      />
      {draft.finalRinse && (
        <WaterFields
          legend="Last rinse"
          prefix="finalRinse"
          water={draft.finalRinse}
          errors={errors}
          onChange={(finalRinse) => set({ finalRinse })}
        />
      )}
      <HoursFields openHours={draft.openHours} errors={errors} onChange={(openHours) => set({ openHours })} />
      <QueueFields
        legend="Waiting, Monday to Friday"
        rows={draft.weekdayQueue}
        onChange={(weekdayQueue) => set({ weekdayQueue })}
      />
      <QueueFields
        legend="Waiting at the weekend"
        rows={draft.weekendQueue}
        onChange={(weekendQueue) => set({ weekendQueue })}
      />
      {errors.queue && (
        <p role="alert" style={{ margin: 0, color: 'var(--kr-lamp)' }}>
          {errors.queue}
        </p>
      )}
      <MultiSelect
        label="Forbidden here"
        description="By the site, its landlord or the town; ask where in doubt"
        data={optionsOf(SITE_RULE_NAMES)}
        value={[...draft.forbids]}
        onChange={(forbids) => set({ forbids })}
        clearable
        clearButtonProps={{ 'aria-label': 'Nothing forbidden' }}
      />
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
