import { Button } from '@mantine/core';
import { useState } from 'react';
import { ApiError } from '../../api/client.js';
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

/** Numbers that decide, each with its meaning, unit, origin and the shipped value; saved when one leaves the field. */
export function NumberRows({ rows, values, onSave }: NumberRowsProps) {
  const [errors, setErrors] = useState<Record<string, string>>({});
  const save = (id: string, text: string | number): void => {
    const value = numberOf(text);
    if (value === null || value === values[id]) return;
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
      {rows.map((row) => (
        <div key={row.id} className={classes.row}>
          <div>
            {row.means.charAt(0).toUpperCase() + row.means.slice(1)}
            <div className="muted">
              {row.origin}; shipped as {String(row.value).replace('-', '−')} {row.unit}
            </div>
          </div>
          <TypedNumber
            key={values[row.id]}
            aria-label={`${row.means}, ${row.unit}`}
            rightSection={<span className="muted">{row.unit.length <= 5 ? row.unit : ''}</span>}
            rightSectionWidth={48}
            hideControls
            defaultValue={values[row.id]}
            onBlur={(event) => save(row.id, event.currentTarget.value)}
            onKeyDown={(event) => event.key === 'Enter' && save(row.id, event.currentTarget.value)}
            error={errors[row.id]}
          />
          <Button
            variant="default"
            size="compact-md"
            disabled={values[row.id] === row.value}
            onClick={() => save(row.id, row.value)}
          >
            As shipped
          </Button>
        </div>
      ))}
    </div>
  );
}
