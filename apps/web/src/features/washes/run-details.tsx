import type { RunRecord } from '@keen/core';
import { runPhotoUrl } from '../../api/run-queries.js';
import { useFormat } from '../../format/use-format.js';
import { PANEL_NAMES } from '../../words/car-names.js';
import { STEP_NAMES } from '../../words/step-names.js';
import { SKIP_NAMES } from '../../words/run-words.js';
import classes from './washes.module.css';

const stepName = (id: string): string => (STEP_NAMES as Readonly<Record<string, string>>)[id] ?? id;
const skipName = (reason: string): string =>
  (SKIP_NAMES as Readonly<Record<string, string>>)[reason] ?? reason;

/** A run as the log has it: each step against the sheet, the meter, readings, notes and photographs. */
export function RunDetails({ washId, run }: { readonly washId: string; readonly run: RunRecord }) {
  const format = useFormat();
  return (
    <details className={classes.run}>
      <summary>How it went</summary>
      <ul>
        {run.steps.map(({ id, minutes, plannedMinutes, skipped }, i) => (
          <li key={`${id} ${i}`}>
            {stepName(id)}:{' '}
            {skipped === null
              ? `${format.minutes(minutes)} of ${format.minutes(plannedMinutes)} estimated`
              : `left out (${skipName(skipped)})`}
          </li>
        ))}
      </ul>
      <p>
        {run.waterMinutes !== null &&
          `${format.minutes(run.waterMinutes)} on the meter, ${format.money(run.meterMinor ?? 0)} of ${format.money(run.meterEstimateMinor ?? 0)} estimated. `}
        {run.foldedTowels} folded and {run.dryingTowels} drying towels.
      </p>
      {run.readings.map(({ of, tempC, atMs }) => (
        <p key={of}>
          {of === 'air' ? 'Air' : PANEL_NAMES[of]} {format.temp(tempC)} at {format.time(atMs)}, measured.
        </p>
      ))}
      {run.notes.map(({ id, atMs, text, photoId }) => (
        <p key={id}>
          {format.time(atMs)} {text}{' '}
          {photoId !== null && (
            <a href={runPhotoUrl(washId, photoId)} target="_blank" rel="noreferrer">
              photograph
            </a>
          )}
        </p>
      ))}
    </details>
  );
}
