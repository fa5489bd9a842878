import { Group, Select } from '@mantine/core';
import { guessedDriveMinutes, type PlaceRecord } from '@keen/core';
import { fromMinor, toMinor } from '../../format/minor.js';
import { NumberField } from '../../parts/number-field.js';
import type { PlaceFieldsProps } from './place-fields-props.js';

interface FinishFieldsProps extends PlaceFieldsProps {
  /** Where it can be ended: the shop's other places without a meter. */
  readonly seconds: readonly PlaceRecord[];
  readonly currency: string;
}

/** The first guess of what finishing there costs: its cheapest method; null where it has none yet. */
const cheapestMinor = ({ methods }: PlaceRecord): number | null =>
  methods.length > 0 ? Math.min(...methods.map(({ priceMinor }) => priceMinor)) : null;

/** The second place in which a wash that begins here may be dried, or washed by hand once it is rinsed. */
export function FinishFields({ draft, set, errors, seconds, currency }: FinishFieldsProps) {
  const choose = (placeId: string | null): void => {
    const second = seconds.find(({ id }) => id === placeId);
    const { latitudeDeg, longitudeDeg } = draft;
    const isKnown = second && latitudeDeg !== null && longitudeDeg !== null;
    set({
      finishPlaceId: placeId,
      finishMinutes: isKnown ? guessedDriveMinutes({ latitudeDeg, longitudeDeg }, second) : null,
      finishMinor: second ? cheapestMinor(second) : null,
    });
  };
  return (
    <Group grow align="start">
      <Select
        label="Rinsed here, finished at"
        description="Another of your places, warmer or dry, without a meter"
        placeholder="Nowhere else"
        data={seconds.map(({ id, name }) => ({ value: id, label: name }))}
        value={draft.finishPlaceId}
        onChange={choose}
        error={errors['finishAt.placeId']}
        clearable
        clearButtonProps={{ 'aria-label': 'Finished nowhere else' }}
      />
      {draft.finishPlaceId !== null && (
        <>
          <NumberField
            label="Drive from here to there"
            unit="min"
            hint="The first guess is from the map"
            value={draft.finishMinutes}
            onChange={(finishMinutes) => set({ finishMinutes })}
            decimals={0}
            error={errors.finishMinutes}
          />
          <NumberField
            label="Finishing there costs"
            unit={currency}
            hint="On top of the visit here"
            value={fromMinor(draft.finishMinor)}
            onChange={(price) => set({ finishMinor: toMinor(price) })}
            decimals={2}
            error={errors.finishMinor}
          />
        </>
      )}
    </Group>
  );
}
