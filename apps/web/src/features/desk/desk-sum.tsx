import { calculate, CALCULATORS, type FilmInput } from '@keen/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useFormat } from '../../format/use-format.js';
import { labPath } from '../../parts/lab-path.js';
import { DeskInput } from './desk-field.js';
import { deskSentence } from './desk-sentence.js';
import { fieldsOf, inputFrom, outputUnits, shownExample, shownFigure, shownFigures } from './desk-view.js';
import type { DeskValues } from './examples.js';
import { fieldWords, isSaid, unitWords } from './field-words.js';
import { MeterStrip } from './meter-strip.js';
import { VesselDrawing } from './vessel-drawing.js';
import { vesselOf } from './vessel-view.js';
import type { Worked } from './worked.js';
import { workingOf } from './working.js';
import classes from './desk.module.css';

interface DeskSumProps {
  readonly name: string;
  readonly question: string;
}

/** One sum in the user's units: fields, the answer in a sentence and drawn, its figures, and the way to it. */
export function DeskSum({ name, question }: DeskSumProps) {
  const format = useFormat();
  const { display } = format;
  const fields = fieldsOf(name);
  const [values, setValues] = useState<DeskValues>(() => shownExample(name, display));
  const calculator = CALCULATORS.get(name);
  if (!calculator) return null;
  const input = inputFrom(fields, values, display);
  const answer = calculate(calculator, input);
  const pull = (change: Readonly<Record<string, number>>): void =>
    setValues((old) => ({ ...old, ...shownFigures(fields, change, display) }));
  return (
    <section className={classes.sum} aria-label={question}>
      <div className={classes.fields}>
        <strong>{question}</strong>
        {fields.map((field) => (
          <DeskInput
            key={field.name}
            sum={name}
            field={field}
            value={values[field.name]}
            display={display}
            error={!answer.ok && answer.error.field === field.name ? answer.error.message : undefined}
            onChange={(value) => setValues((old) => ({ ...old, [field.name]: value }))}
          />
        ))}
      </div>
      <div className={classes.answer} aria-live="polite">
        {answer.ok ? (
          <Answered
            name={name}
            worked={{ input, output: answer.value as Record<string, unknown> }}
            onPull={pull}
          />
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

interface AnsweredProps {
  readonly name: string;
  readonly worked: Worked;
  readonly onPull: (change: Readonly<Record<string, number>>) => void;
}

function Answered({ name, worked, onPull }: AnsweredProps) {
  const format = useFormat();
  const units = outputUnits(name);
  const working = workingOf(name, worked.input);
  const vessel = vesselOf(name, worked, format);
  const figures = Object.entries(worked.output).filter(([field]) => !isSaid(name, field));
  const sentence = deskSentence(name, worked, format);
  return (
    <>
      {sentence && <p className={classes.sentence}>{sentence}</p>}
      {vessel && (
        <VesselDrawing
          vessel={vessel}
          onPull={vessel.handle && ((share) => vessel.handle && onPull(vessel.handle.set(share)))}
        />
      )}
      {name === 'meter' && <MeterStrip worked={worked} />}
      <dl className={classes.result}>
        {figures.map(([field, value]) => {
          const { unit, text } = shownFigure(units[field] ?? '', value, format);
          return (
            <div key={field} style={{ display: 'contents' }}>
              <dt>
                {fieldWords(name, field)} <span className="muted">{unitWords(name, unit)}</span>
              </dt>
              <dd className="figure">{text}</dd>
            </div>
          );
        })}
      </dl>
      {working.length > 0 && (
        <details className={classes.working}>
          <summary>How this is worked out</summary>
          <ol>
            {working.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
          <p className="muted">In the sum's own units: °C, m/s or km/h, mL and L.</p>
        </details>
      )}
    </>
  );
}
