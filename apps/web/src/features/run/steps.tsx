import { type RunSheet, type WashRecord, MS_PER_MINUTE } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { seasonJobsText } from '../../words/names.js';
import {
  CAUTION_TEXTS,
  dwellText,
  faultText,
  GROUP_NAMES,
  mixText,
  REASON_TEXTS,
  RUN_STEP_NAMES,
} from '../../words/run-words.js';
import classes from './run.module.css';

const DIRECTIONS = { 'bottom-up': 'bottom up', 'top-down': 'top down' } as const;

/** The steps in order, each with its time, meter, dwell, reason and cautions. */
export function Steps({ sheet, wash }: { readonly sheet: RunSheet; readonly wash: WashRecord }) {
  const format = useFormat();
  const list = new Intl.ListFormat('en');
  return (
    <section className={`${classes.box} ${classes.steps}`}>
      <h2>In this order</h2>
      <ol>
        {sheet.steps.map((step, i) => {
          const dwell = dwellText(step, format);
          return (
            <li key={`${step.id} ${i}`} data-meter={step.onMeter || undefined}>
              <span className="figure">{format.time(wash.startMs + step.fromMinute * MS_PER_MINUTE)}</span>
              <div>
                <strong>{RUN_STEP_NAMES[step.id]}</strong>,{' '}
                {list.format(step.groups.map((group) => GROUP_NAMES[group]))}
                {step.direction && `, ${DIRECTIONS[step.direction]}`}: {format.minutes(step.minutes)}
                {step.litres > 0 && `, ${format.litres(step.litres)}`}
                {step.onMeter && <span className={classes.meter}> on the meter</span>}
                {step.stopsMeter && <span className={classes.meter}>, then stop it</span>}
                {step.note && <div className={classes.own}>{step.note}</div>}
                {step.mix && (
                  <div>
                    {step.mix.product && <>{step.mix.product.name}: </>}
                    {mixText(step.mix, format)}
                  </div>
                )}
                {dwell && <div className={step.dwell?.isTooShort ? classes.warn : undefined}>{dwell}</div>}
                {step.faults.map((fault, n) => (
                  <div key={n} className={classes.warn}>
                    {faultText(fault, format)}
                  </div>
                ))}
                <div className="muted">Why here: {REASON_TEXTS[step.reason]}</div>
                {step.cautions.map((caution) => (
                  <div key={caution} className={classes.caution} data-caution={caution}>
                    {CAUTION_TEXTS[caution]}
                  </div>
                ))}
              </div>
            </li>
          );
        })}
        {wash.extras.length > 0 && (
          <li>
            <span className="figure">{format.time(wash.startMs + sheet.minutes * MS_PER_MINUTE)}</span>
            <div>
              <strong>Work of the season</strong>, {seasonJobsText(wash.extras)}:{' '}
              {format.minutes(wash.minutes - sheet.minutes)}
              <div className={classes.caution}>{CAUTION_TEXTS['data-sheet']}</div>
              {wash.extras.some((id) => id === 'underbody' || id === 'anti-corrosion') && (
                <div className={classes.caution}>{CAUTION_TEXTS['never-under-a-jack']}</div>
              )}
            </div>
          </li>
        )}
      </ol>
    </section>
  );
}
