import {
  BODY_CLASSES,
  type BodyClass,
  METHODS,
  type MethodId,
  MINOR_PER_UNIT,
  type SeasonJobId,
  type Settings,
} from '@keen/core';
import { useState } from 'react';
import { ApiError } from '../../api/client.js';
import { useSaveSettings } from '../../api/queries.js';
import { BODY_NAMES, SEASON_JOB_NAMES } from '../../words/car-names.js';
import { METHOD_NAMES, optionsOf } from '../../words/names.js';
import classes from './customers.module.css';
import { numberOf } from '../../parts/number-text.js';
import { useMayChange } from '../../api/access-queries.js';
import { TypedNumber } from '../../parts/typed-number.js';

interface CellProps {
  readonly label: string;
  readonly minor: number | undefined;
  readonly onSave: (minor: number | null) => Promise<unknown>;
}

/** One price; empty is none. Saved when one leaves the field. */
function PriceCell({ label, minor, onSave }: CellProps) {
  const [error, setError] = useState<string | null>(null);
  const mayChange = useMayChange();
  const save = (text: string): void => {
    const amount = numberOf(text);
    const next = amount === null ? null : Math.round(amount * MINOR_PER_UNIT);
    if (next === (minor ?? null)) return;
    setError(null);
    onSave(next).catch((failure: unknown) =>
      setError(failure instanceof ApiError ? failure.message : 'Not saved; the server is not responding.'),
    );
  };
  return (
    <TypedNumber
      key={minor ?? 'none'}
      aria-label={label}
      defaultValue={minor === undefined ? '' : minor / MINOR_PER_UNIT}
      hideControls
      readOnly={!mayChange}
      min={0}
      decimalScale={2}
      fixedDecimalScale
      onBlur={(event) => save(event.currentTarget.value)}
      onKeyDown={(event) => event.key === 'Enter' && save(event.currentTarget.value)}
      error={error}
    />
  );
}

/** What customers pay, by method and body, and for work of the season. */
export function PriceListTable({ settings }: { readonly settings: Settings }) {
  const save = useSaveSettings();
  const { priceList } = settings;
  const { currency } = settings.display;
  const setMethod = (methodId: MethodId, body: BodyClass) => (minor: number | null) =>
    save.mutateAsync({ priceList: { methods: { [methodId]: { [body]: minor } } } });
  const setExtra = (jobId: SeasonJobId) => (minor: number | null) =>
    save.mutateAsync({ priceList: { extras: { [jobId]: minor } } });
  return (
    <section className={classes.box}>
      <p className="muted" style={{ marginTop: 0 }}>
        In {currency}; empty: no price yet. A quote takes the method for the body and adds the work of the
        season.
      </p>
      <div className={classes.scroll} tabIndex={0} role="region" aria-label="Prices by method and body">
        <table className={classes.table}>
          <thead>
            <tr>
              <th>Method</th>
              {BODY_CLASSES.map((body) => (
                <th key={body}>{BODY_NAMES[body]}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {METHODS.filter(({ scope }) => scope === 'wash').map(({ id }) => (
              <tr key={id}>
                <th scope="row">{METHOD_NAMES[id]}</th>
                {BODY_CLASSES.map((body) => (
                  <td key={body} data-label={BODY_NAMES[body]}>
                    <PriceCell
                      label={`${METHOD_NAMES[id]}, ${BODY_NAMES[body]}, ${currency}`}
                      minor={priceList.methods[id]?.[body]}
                      onSave={setMethod(id, body)}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <h2>Seasonal jobs</h2>
      <div className={classes.extras}>
        {optionsOf(SEASON_JOB_NAMES).map(({ value, label }) => (
          <div key={value}>
            <div>{label}</div>
            <PriceCell
              label={`${label}, ${currency}`}
              minor={priceList.extras[value]}
              onSave={setExtra(value)}
            />
          </div>
        ))}
      </div>
    </section>
  );
}
