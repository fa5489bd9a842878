import { Checkbox, Fieldset, Group, Stack, TextInput } from '@mantine/core';
import { isOverMidnight, type OpenSpan } from '@keen/core';
import { clockOf, minutesOf } from './wall-clock.js';

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

interface HoursFieldsProps {
  readonly openHours: readonly (OpenSpan | null)[];
  readonly errors: Readonly<Record<string, string>>;
  readonly legend?: string;
  /** What is said of a day without hours. */
  readonly without?: string;
  readonly onChange: (openHours: readonly (OpenSpan | null)[]) => void;
}

/** Hours by weekday, Monday first. */
export function HoursFields({
  openHours,
  errors,
  onChange,
  legend = 'Open',
  without = 'closed',
}: HoursFieldsProps) {
  const setDay = (weekday: number, span: OpenSpan | null): void =>
    onChange(openHours.map((old, i) => (i === weekday ? span : old)));
  return (
    <Fieldset legend={legend}>
      <Stack gap={6}>
        {WEEKDAYS.map((name, weekday) => {
          const span = openHours[weekday] ?? null;
          const setTime = (field: keyof OpenSpan, text: string): void => {
            const minutes = minutesOf(text);
            if (span && minutes !== null)
              setDay(weekday, {
                ...span,
                [field]: minutes === 0 && field === 'closeMinute' ? 1440 : minutes,
              });
          };
          return (
            <Group key={name} gap="xs" align="center">
              <Checkbox
                w={120}
                label={name}
                checked={span !== null}
                onChange={(event) =>
                  setDay(weekday, event.currentTarget.checked ? { openMinute: 420, closeMinute: 1260 } : null)
                }
              />
              {span ? (
                <>
                  <TextInput
                    type="time"
                    aria-label={`${legend} ${name}, from`}
                    value={clockOf(span.openMinute)}
                    onChange={(event) => setTime('openMinute', event.currentTarget.value)}
                  />
                  <TextInput
                    type="time"
                    aria-label={`${legend} ${name}, to`}
                    value={clockOf(span.closeMinute)}
                    onChange={(event) => setTime('closeMinute', event.currentTarget.value)}
                    error={errors[`openHours.${weekday}`]}
                  />
                  {isOverMidnight(span) && <span className="muted">next day</span>}
                </>
              ) : (
                <span className="muted">{without}</span>
              )}
            </Group>
          );
        })}
      </Stack>
    </Fieldset>
  );
}
