import { Button } from '@mantine/core';
import { useState } from 'react';
import { ApiError } from '../../api/client.js';
import type { Format } from '../../format/format.js';
import { shownUnit, typed } from '../../format/shown-unit.js';
import { useFormat } from '../../format/use-format.js';
import { numberOf } from '../../parts/number-text.js';
import { TypedNumber } from '../../parts/typed-number.js';
import classes from './settings.module.css';

export interface NumberRow {
  readonly id: string;
  /** As shipped. */
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly unit: string;
  readonly means: string;
  readonly origin: string;
}

interface NumberRowsProps {
  readonly rows: readonly NumberRow[];
  readonly values: Readonly<Record<string, number>>;
  readonly onSave: (id: string, value: number) => Promise<unknown>;
}

const MINOR = 'minor units';

const signed = (value: number): string => typed(value).replace('-', '−');

/** A row in the user's own unit: how it is shown, read back, and what is wrong with what was typed. */
function shownRow({ unit, value, min, max, means }: NumberRow, { display, money }: Format) {
  const { label, toShown, fromShown } = shownUnit(unit, display);
  return {
    label: `${means}, ${label}`,
    /** Beside the field, where there is room for it. */
    short: label.length <= 5 ? label : '',
    shipped: unit.startsWith(MINOR)
      ? money(value) + unit.slice(MINOR.length)
      : `${signed(toShown(value))} ${label}`,
    toShown: (kept: number): number => Number(typed(toShown(kept))),
    read: (text: string | number): number | null => {
      const found = numberOf(text);
      return found === null ? null : fromShown(found);
    },
    fault: (kept: number): string | null =>
      kept < min || kept > max ? `From ${signed(toShown(min))} to ${signed(toShown(max))} ${label}.` : null,
  };
}

/** Numbers that decide, each with its meaning, unit, origin and the shipped value; saved when one leaves the field. */
export function NumberRows({ rows, values, onSave }: NumberRowsProps) {
  const format = useFormat();
  const { display } = format;
  const [errors, setErrors] = useState<Record<string, string>>({});
  const save = (row: NumberRow, value: number | null): void => {
    const { id } = row;
    // As it was, to the places that are shown.
    if (value === null || Math.abs(value - (values[id] ?? NaN)) <= 1e-6 * Math.abs(value)) return;
    const fault = shownRow(row, format).fault(value);
    if (fault) {
      setErrors((old) => ({ ...old, [id]: fault }));
      return;
    }
    onSave(id, value).then(
      () => setErrors(({ [id]: _, ...others }) => others),
      (error: unknown) =>
        setErrors((old) => ({
          ...old,
          [id]: error instanceof ApiError ? error.message : 'Not saved; the server is not responding.',
        })),
    );
  };
  return (
    <div>
      {rows.map((row) => {
        const shown = shownRow(row, format);
        const value = values[row.id];
        const isChanged = value !== row.value;
        return (
          <div key={row.id} className={classes.row} data-changed={isChanged || undefined}>
            <div>
              {row.means.charAt(0).toUpperCase() + row.means.slice(1)}
              <div className="muted">
                {row.origin}; shipped as {shown.shipped}
              </div>
            </div>
            <TypedNumber
              key={`${value} ${display.temperature} ${display.volume} ${display.wind} ${display.currency}`}
              aria-label={shown.label}
              rightSection={<span className="muted">{shown.short}</span>}
              rightSectionWidth={48}
              hideControls
              defaultValue={value === undefined ? undefined : shown.toShown(value)}
              onBlur={(event) => save(row, shown.read(event.currentTarget.value))}
              onKeyDown={(event) => event.key === 'Enter' && save(row, shown.read(event.currentTarget.value))}
              error={errors[row.id]}
            />
            {isChanged && (
              <Button variant="default" size="compact-md" onClick={() => save(row, row.value)}>
                As shipped
              </Button>
            )}
          </div>
        );
      })}
    </div>
  );
}
