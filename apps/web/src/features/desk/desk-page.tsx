import { Checkbox, Select, TextInput } from '@mantine/core';
import { calculate, CALCULATORS } from '@keen/core';
import { useState } from 'react';
import { NavLink, useParams } from 'react-router';
import { Page } from '../../parts/page.js';
import { Empty } from '../../parts/states.js';
import {
  type DeskField,
  type DeskValues,
  EXAMPLES,
  fieldLabel,
  fieldsOf,
  figureText,
  inputFrom,
  outputUnits,
} from './desk-view.js';
import classes from './desk.module.css';

const NAMES = [...CALCULATORS.keys()];

/** The sums of the trade, each with its units; the answer moves as one types. */
export function DeskPage() {
  const { name = NAMES[0] ?? '' } = useParams();
  const calculator = CALCULATORS.get(name);
  return (
    <Page title="Reference desk" lead="Every sum that the program does, for any figures of your own.">
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
        {calculator ? (
          <Sum key={name} name={name} question={calculator.question} />
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
  readonly onChange: (value: string | boolean) => void;
}

function Field({ field, value, error, onChange }: FieldProps) {
  const label = `${fieldLabel(field.name)}${field.unit ? `, ${field.unit}` : ''}${field.isOptional ? ' (if known)' : ''}`;
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

function Sum({ name, question }: { readonly name: string; readonly question: string }) {
  const fields = fieldsOf(name);
  const [values, setValues] = useState<DeskValues>(EXAMPLES[name] ?? {});
  const calculator = CALCULATORS.get(name);
  if (!calculator) return null;
  const answer = calculate(calculator, inputFrom(fields, values));
  const units = outputUnits(name);
  return (
    <section className={classes.sum} aria-label={question}>
      <div className={classes.fields}>
        <strong>{question}</strong>
        {fields.map((field) => (
          <Field
            key={field.name}
            field={field}
            value={values[field.name]}
            error={!answer.ok && answer.error.field === field.name ? answer.error.message : undefined}
            onChange={(value) => setValues((old) => ({ ...old, [field.name]: value }))}
          />
        ))}
      </div>
      <div aria-live="polite">
        {answer.ok ? (
          <dl className={classes.result}>
            {Object.entries(answer.value as Record<string, unknown>).map(([field, value]) => (
              <div key={field} style={{ display: 'contents' }}>
                <dt>
                  {fieldLabel(field)} <span className="muted">{units[field]}</span>
                </dt>
                <dd className="figure">{figureText(value)}</dd>
              </div>
            ))}
          </dl>
        ) : (
          <p role="alert">{answer.error.message}</p>
        )}
      </div>
    </section>
  );
}
