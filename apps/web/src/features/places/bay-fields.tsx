import { Group, Select } from '@mantine/core';
import { optionsOf } from '../../words/names.js';
import { BUCKET_WATER_NAMES, SITE_SOAP_NAMES } from '../../words/place-words.js';
import type { PlaceFieldsProps } from './place-fields-props.js';

/** What a bay gives besides water under pressure; nothing is asked of any other place. */
export function BayFields({ draft, set }: Pick<PlaceFieldsProps, 'draft' | 'set'>) {
  if (draft.kind !== 'self-serve-bay') return null;
  return (
    <Group grow align="start">
      <Select
        label="The bay’s own soap"
        description="What it takes off, and how it bites, goes by this (judgement)"
        data={optionsOf(SITE_SOAP_NAMES)}
        value={draft.siteSoap}
        onChange={(siteSoap) => siteSoap && set({ siteSoap })}
        allowDeselect={false}
      />
      <Select
        label="Water for your buckets"
        description="Filled there it runs on the meter, and is as warm as the bay’s water"
        data={optionsOf(BUCKET_WATER_NAMES)}
        value={draft.bucketWater}
        onChange={(bucketWater) => bucketWater && set({ bucketWater })}
        allowDeselect={false}
      />
    </Group>
  );
}
