import { Group, Select } from '@mantine/core';
import { TypedNumber } from '../../parts/typed-number.js';
import { DUTY_NAMES } from '../../words/kit-names.js';
import { optionsOf } from '../../words/names.js';
import { type GearDraft, gearHas } from './gear-form.js';
import type { FormErrors } from './product-form.js';
import { VolumeField } from './volume-field.js';

interface GearFieldsProps {
  readonly draft: GearDraft;
  readonly set: (change: Partial<GearDraft>) => void;
  readonly errors: FormErrors;
}

interface CountFieldProps extends GearFieldsProps {
  readonly field: 'count' | 'cleanCount' | 'launderedTimes';
  readonly label: string;
  readonly description?: string;
}

/** How many, or how often. */
export function CountField({ draft, set, errors, field, label, description }: CountFieldProps) {
  return (
    <TypedNumber
      label={label}
      description={description}
      value={draft[field]}
      onChange={(value) => set({ [field]: value })}
      decimalScale={2}
      error={errors[field]}
    />
  );
}

/** Of cloths and mitts: what they may touch, how old they are, and of drying towels what they take up. */
export function ClothFields(form: GearFieldsProps) {
  const { draft, set, errors } = form;
  return (
    <>
      <Group grow align="start">
        <Select
          label="Used on"
          description="Only what is for paint is counted for a wash"
          data={optionsOf(DUTY_NAMES)}
          value={draft.duty}
          onChange={(duty) => duty && set({ duty })}
          allowDeselect={false}
        />
        <CountField
          {...form}
          field="launderedTimes"
          label="Laundered, times"
          description="Each of them, on average; counted on from here"
        />
      </Group>
      {gearHas(draft.kind).pile && (
        <VolumeField
          label="Takes up, each"
          hint="Weigh one dry and dripping: pile and blend decide; empty takes the house’s figure"
          value={draft.holdsGrams}
          onChange={(holdsGrams) => set({ holdsGrams })}
          error={errors.holdsGrams}
        />
      )}
    </>
  );
}

/** Of what is filled: how much it holds, and how much a lance makes of it. */
export function BottleFields({ draft, set, errors }: GearFieldsProps) {
  return (
    <Group grow align="start">
      <VolumeField
        label={draft.kind === 'bucket' ? 'Filled with' : 'Bottle'}
        value={draft.volumeMl}
        onChange={(volumeMl) => set({ volumeMl })}
        error={errors.volumeMl}
      />
      {gearHas(draft.kind).output && (
        <VolumeField
          label="Leaves per bottle"
          hint="Measured: all that leaves while the bottle is drawn; empty where it puts out what is in it"
          inLitres
          value={draft.outputLitresPerBottle}
          onChange={(outputLitresPerBottle) => set({ outputLitresPerBottle })}
          error={errors.outputLitresPerBottle}
        />
      )}
    </Group>
  );
}

/** Of filters and resin: what they last, and what ran through them. */
export function LifeFields({ draft, set, errors }: GearFieldsProps) {
  return (
    <Group grow align="start">
      <VolumeField
        label="Lasts"
        hint="At your water; the reference desk works it out"
        inLitres
        value={draft.lifeLitres}
        onChange={(lifeLitres) => set({ lifeLitres })}
        error={errors.lifeLitres}
      />
      <VolumeField
        label="Run through"
        inLitres
        value={draft.litresUsed}
        onChange={(litresUsed) => set({ litresUsed })}
        error={errors.litresUsed}
      />
    </Group>
  );
}
