import { MultiSelect } from '@mantine/core';
import { HoursFields } from '../../parts/hours-fields.js';
import { optionsOf, SITE_RULE_NAMES } from '../../words/names.js';
import type { PlaceFieldsProps } from './place-fields-props.js';
import { QueueFields } from './place-parts.js';

/** When it is open, how long one waits there, and what is forbidden. */
export function TimesFields({ draft, set, errors }: PlaceFieldsProps) {
  return (
    <>
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
    </>
  );
}
