import { Checkbox, Fieldset, RangeSlider } from '@mantine/core';
import { isOverMidnight, type OpenSpan } from '@keen/core';
import { ClockField } from './clock-field.js';
import classes from './hours-fields.module.css';
import { clockOf } from './wall-clock.js';

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const DAY_MINUTES = 1440;
/** The bar goes on to the morning after, for hours over midnight. */
const BAR_MINUTES = DAY_MINUTES + 360;
const STEP_MINUTES = 15;
const MARKS = [0, 360, 720, 1080, DAY_MINUTES].map((value) => ({ value, label: clockOf(value) }));
const USUAL: OpenSpan = { openMinute: 420, closeMinute: 1260 };

interface HoursFieldsProps {
  readonly openHours: readonly (OpenSpan | null)[];
  readonly errors: Readonly<Record<string, string>>;
  readonly legend?: string;
  /** What is said of a day without hours. */
  readonly without?: string;
  readonly onChange: (openHours: readonly (OpenSpan | null)[]) => void;
}

/** As the bar has it: an end over midnight lies behind the day; what is no time stands at the end of the day. */
const onBar = (span: OpenSpan): [number, number] => [
  span.openMinute || 0,
  isOverMidnight(span) ? span.closeMinute + DAY_MINUTES : span.closeMinute || DAY_MINUTES,
];

const fromBar = ([from, to]: [number, number]): OpenSpan => ({
  openMinute: Math.min(from, DAY_MINUTES - STEP_MINUTES),
  closeMinute: to > DAY_MINUTES ? to - DAY_MINUTES : to,
});

interface DayFieldsProps {
  readonly label: string;
  readonly span: OpenSpan;
  readonly isFirst: boolean;
  readonly error: string | undefined;
  readonly onChange: (span: OpenSpan) => void;
}

/** One day as a bar whose ends are dragged, and the same in figures. */
function DayFields({ label, span, isFirst, error, onChange }: DayFieldsProps) {
  return (
    <>
      <span className={classes.times}>
        <ClockField
          label={`${label}, from`}
          minutes={span.openMinute}
          onChange={(openMinute) => onChange({ ...span, openMinute: openMinute % DAY_MINUTES })}
        />
        –
        <ClockField
          label={`${label}, to`}
          minutes={span.closeMinute}
          onChange={(closeMinute) =>
            onChange({ ...span, closeMinute: closeMinute === 0 ? DAY_MINUTES : closeMinute })
          }
          error={Number.isNaN(span.openMinute + span.closeMinute) ? undefined : error}
        />
        {isOverMidnight(span) && <span className="muted">next day</span>}
      </span>
      <RangeSlider
        className={classes.bar}
        classNames={{ markLabel: classes.hour }}
        data-marked={isFirst || undefined}
        min={0}
        max={BAR_MINUTES}
        step={STEP_MINUTES}
        minRange={STEP_MINUTES}
        label={clockOf}
        marks={isFirst ? MARKS : MARKS.map(({ value }) => ({ value }))}
        thumbFromLabel={`${label}, begins`}
        thumbToLabel={`${label}, ends`}
        value={onBar(span)}
        onChange={(ends) => onChange(fromBar(ends))}
      />
    </>
  );
}

/** Hours by weekday, Monday first, on one scale of the day. */
export function HoursFields({
  openHours,
  errors,
  onChange,
  legend = 'Open',
  without = 'closed',
}: HoursFieldsProps) {
  const setDay = (weekday: number, span: OpenSpan | null): void =>
    onChange(openHours.map((old, i) => (i === weekday ? span : old)));
  const first = openHours.findIndex((span) => span !== null);
  return (
    <Fieldset legend={legend} className={classes.hours}>
      <ul className={classes.days}>
        {WEEKDAYS.map((name, weekday) => {
          const span = openHours[weekday] ?? null;
          return (
            <li key={name}>
              <Checkbox
                label={name}
                checked={span !== null}
                onChange={(event) => setDay(weekday, event.currentTarget.checked ? USUAL : null)}
              />
              {span ? (
                <DayFields
                  label={`${legend} ${name}`}
                  span={span}
                  isFirst={weekday === first}
                  error={errors[`openHours.${weekday}`]}
                  onChange={(next) => setDay(weekday, next)}
                />
              ) : (
                <span className="muted">{without}</span>
              )}
            </li>
          );
        })}
      </ul>
    </Fieldset>
  );
}
