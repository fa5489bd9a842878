import { Checkbox, Select, TextInput } from '@mantine/core';
import { calculate, CALCULATORS, type DisplaySettings, type FilmInput } from '@keen/core';
import { useState } from 'react';
import { Link, NavLink, useParams } from 'react-router';
import { useFormat } from '../../format/use-format.js';
import { labPath } from '../../parts/lab-path.js';
import { Page } from '../../parts/page.js';
import { Empty } from '../../parts/states.js';
import {
  type DeskField,
  type DeskValues,
  fieldLabel,
  fieldsOf,
  figureText,
  inputFrom,
  outputUnits,
  shownExample,
} from './desk-view.js';
import { shownUnit } from '../../format/shown-unit.js';
import { WashSum } from './wash/wash-sum.js';
import { workingOf } from './working.js';
import classes from './desk.module.css';

const NAMES = [...CALCULATORS.keys()];

/** The sums of the trade, each with its units; the answer moves as one types. */
export function DeskPage() {
  const { name = NAMES[0] ?? '' } = useParams();
  const calculator = CALCULATORS.get(name);
  const format = useFormat();
  return (
    <Page
      title="Reference desk"
      lead="Every sum that the program does, for any figures of your own, in the units of your settings."
    >
      <div className={classes.desk}>
        <nav aria-label="Sums">
          <ul className={classes.list}>
            {NAMES.map((other) => (
              <li key={other}>
                <NavLink to={`/desk/${other}`} aria-current={other === name ? 'page' : undefined}>
                  {fieldLabel(other.replaceAll('-', ' '))}
                </NavLink>
              </li>
            ))}
          </ul>
        </nav>
        {name === 'wash' ? (
          <WashSum key={JSON.stringify(format.display)} />
        ) : calculator ? (
          <Sum
            key={`${name} ${JSON.stringify(format.display)}`}
            name={name}
            question={calculator.question}
            display={format.display}
          />
        ) : (
          <Empty title="There is no such sum">Choose one from the list.</Empty>
        )}
      </div>
    </Page>
  );
}

interface FieldProps {
  readonly field: DeskField;
  readonly value: string | boolean | undefined;
  readonly error: string | undefined;
  readonly display: DisplaySettings;
  readonly onChange: (value: string | boolean) => void;
}

function Field({ field, value, error, display, onChange }: FieldProps) {
  const { label: unit } = shownUnit(field.unit, display);
  const label = `${fieldLabel(field.name)}${unit ? `, ${unit}` : ''}${field.isOptional ? ' (if known)' : ''}`;
  const text = typeof value === 'string' ? value : '';
  if (field.kind === 'switch')
    return (
      <Checkbox
        label={label}
        checked={value === true}
        onChange={(event) => onChange(event.currentTarget.checked)}
      />
    );
  if (field.kind === 'choice')
    return (
      <Select
        label={label}
        data={[...field.choices]}
        value={text || null}
        onChange={(choice) => onChange(choice ?? '')}
        error={error}
      />
    );
  return (
    <TextInput
      label={label}
      description={field.kind === 'list' ? 'Several, with spaces between' : undefined}
      inputMode={field.kind === 'number' ? 'decimal' : undefined}
      value={text}
      onChange={(event) => onChange(event.currentTarget.value)}
      error={error}
    />
  );
}

interface SumProps {
  readonly name: string;
  readonly question: string;
  readonly display: DisplaySettings;
}

/** One sum in the user's units: fields, answer, and the way to it. */
function Sum({ name, question, display }: SumProps) {
  const fields = fieldsOf(name);
  const [values, setValues] = useState<DeskValues>(() => shownExample(name, display));
  const calculator = CALCULATORS.get(name);
  if (!calculator) return null;
  const input = inputFrom(fields, values, display);
  const answer = calculate(calculator, input);
  const units = outputUnits(name);
  const working = workingOf(name, input);
  return (
    <section className={classes.sum} aria-label={question}>
      <div className={classes.fields}>
        <strong>{question}</strong>
        {fields.map((field) => (
          <Field
            key={field.name}
            field={field}
            value={values[field.name]}
            display={display}
            error={!answer.ok && answer.error.field === field.name ? answer.error.message : undefined}
            onChange={(value) => setValues((old) => ({ ...old, [field.name]: value }))}
          />
        ))}
      </div>
      <div aria-live="polite">
        {answer.ok ? (
          <>
            <dl className={classes.result}>
              {Object.entries(answer.value as Record<string, unknown>).map(([field, value]) => {
                const unit = shownUnit(units[field] ?? '', display);
                return (
                  <div key={field} style={{ display: 'contents' }}>
                    <dt>
                      {fieldLabel(field)} <span className="muted">{unit.label}</span>
                    </dt>
                    <dd className="figure">
                      {figureText(typeof value === 'number' ? unit.toShown(value) : value)}
                    </dd>
                  </div>
                );
              })}
            </dl>
            {working.length > 0 && (
              <div className={classes.working}>
                <h2>The working</h2>
                <ol>
                  {working.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ol>
                <p className="muted">In the sum's own units: °C, m/s or km/h, mL and L.</p>
              </div>
            )}
          </>
        ) : (
          <p role="alert">{answer.error.message}</p>
        )}
        {name === 'film' && answer.ok && (
          <p>
            <Link to={labPath({ ...(input as unknown as FilmInput), horizonMinutes: 720 })}>
              Open this film in the lab
            </Link>
          </p>
        )}
      </div>
    </section>
  );
}
