import { TextInput } from '@mantine/core';
import { fromLocalInput, toLocalInput } from '../../format/local-input.js';
import { useFormat } from '../../format/use-format.js';
import { useClock } from '../../api/queries.js';
import type { VehicleFieldsProps } from './vehicle-fields-props.js';

const NOON = 'T12:00';

/** The day of its last wash before the first one in the log. */
export function LastWashField({ draft, set, errors }: VehicleFieldsProps) {
  const { timeZone } = useFormat();
  const { data: clock } = useClock();
  const nowMs = clock?.nowMs ?? Infinity;
  const today = clock && toLocalInput(clock.nowMs, timeZone).slice(0, 10);
  const dayOf = (atMs: number): string => toLocalInput(atMs, timeZone).slice(0, 10);
  const { washedBefore } = draft;
  const onDay = (day: string): void => {
    const noonMs = fromLocalInput(`${day}${NOON}`, timeZone);
    // Today's wash is over by now, though it be before noon.
    set({
      washedBefore:
        noonMs === null ? null : { atMs: day === today ? Math.min(noonMs, nowMs) : noonMs, isKnown: true },
    });
  };
  return (
    <TextInput
      type="date"
      label="Last washed, before the log"
      description="Empty: not known. Half of the days between washes are then assumed, until somebody looks at it"
      max={today}
      value={washedBefore?.isKnown ? dayOf(washedBefore.atMs) : ''}
      onChange={(event) => onDay(event.currentTarget.value)}
      error={errors.washedBefore}
    />
  );
}
