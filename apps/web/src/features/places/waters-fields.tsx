import { Checkbox } from '@mantine/core';
import { DEFAULT_WATER } from '../../drafts/place-draft.js';
import type { PlaceFieldsProps } from './place-fields-props.js';
import { WaterFields } from './place-parts.js';

/** The water that washes there, and the last one where it is another. */
export function WatersFields({ draft, set, errors }: PlaceFieldsProps) {
  return (
    <>
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
    </>
  );
}
