import { METHODS, type MethodId, type Settings } from '@keen/core';
import { useState } from 'react';
import { ApiError } from '../../api/client.js';
import { METHOD_NAMES } from '../../words/names.js';
import { numberOf } from '../../parts/number-text.js';
import { TypedNumber } from '../../parts/typed-number.js';
import classes from './settings.module.css';

interface StockProps {
  readonly stock: Settings['stock'];
  /** What changes; null: not counted. */
  readonly onSave: (stock: Readonly<Record<string, number | null>>) => Promise<unknown>;
}

/** For how many washes product is left; the plan does not go beyond it, and a wash that is done uses one. */
export function Stock({ stock, onSave }: StockProps) {
  const [error, setError] = useState<{ readonly id: MethodId; readonly text: string } | null>(null);
  const save = (id: MethodId, text: string): void => {
    const value = numberOf(text);
    if (value === (stock[id] ?? null)) return;
    setError(null);
    onSave({ [id]: value }).catch((failure: unknown) =>
      setError({
        id,
        text: failure instanceof ApiError ? failure.message : 'Not saved; the server is not responding.',
      }),
    );
  };
  return (
    <section className={classes.box}>
      <h2>Product left</h2>
      <p className="muted" style={{ marginTop: 0 }}>
        Washes for which there is product, counted by hand; empty: what the bottles in the kit give. The plan
        does not go beyond the less of the two, and each wash that is done uses one.
      </p>
      <div className={classes.stock}>
        {METHODS.filter(({ scope }) => scope === 'wash').map(({ id }) => (
          <TypedNumber
            key={`${id} ${stock[id] ?? ''}`}
            label={METHOD_NAMES[id]}
            placeholder="plenty"
            defaultValue={stock[id] ?? ''}
            min={0}
            allowDecimal={false}
            onBlur={(event) => save(id, event.currentTarget.value)}
            onKeyDown={(event) => event.key === 'Enter' && save(id, event.currentTarget.value)}
            error={error?.id === id ? error.text : undefined}
          />
        ))}
      </div>
    </section>
  );
}
