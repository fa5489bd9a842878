import { Chip, Group } from '@mantine/core';
import { SEASON_JOB_IDS, type SeasonJobId } from '@keen/core';
import { SEASON_JOB_NAMES } from '../words/car-names.js';

interface SeasonChipsProps {
  readonly value: readonly SeasonJobId[];
  readonly onChange: (chosen: readonly SeasonJobId[]) => void;
  readonly size?: 'sm' | 'md';
}

/** Seasonal jobs to choose from, any number of them. */
export function SeasonChips({ value, onChange, size = 'sm' }: SeasonChipsProps) {
  return (
    <Chip.Group
      multiple
      value={[...value]}
      onChange={(chosen) => onChange(SEASON_JOB_IDS.filter((id) => chosen.includes(id)))}
    >
      <Group gap="xs">
        {SEASON_JOB_IDS.map((id) => (
          <Chip key={id} value={id} size={size}>
            {SEASON_JOB_NAMES[id]}
          </Chip>
        ))}
      </Group>
    </Chip.Group>
  );
}
