import { useState } from 'react';
import type { RunHand, RunRecord } from '@keen/core';
import { runPhotoUrl, useRunHands } from '../../api/run-queries.js';
import { useFormat } from '../../format/use-format.js';
import { PANEL_NAMES } from '../../words/car-names.js';
import { STEP_NAMES } from '../../words/step-names.js';
import { SKIP_NAMES } from '../../words/run-words.js';
import classes from './washes.module.css';

const stepName = (id: string): string => (STEP_NAMES as Readonly<Record<string, string>>)[id] ?? id;
const skipName = (reason: string): string =>
  (SKIP_NAMES as Readonly<Record<string, string>>)[reason] ?? reason;

/** Whose deeds these are; a shop without accounts has one pair of hands as far as the program knows. */
function Hands({ washId, isOpen }: { readonly washId: string; readonly isOpen: boolean }) {
  const format = useFormat();
  const { data = [] } = useRunHands(washId, isOpen);
  const named = data.filter(({ who, device }) => who !== null || device !== null);
  if (named.length === 0) return null;
  const line = ({ who, device, deeds, fromMs, toMs }: RunHand): string =>
    `${who ?? 'Nobody signed in'}${device === null ? '' : ` on ${device}`}: ${deeds} ${deeds === 1 ? 'tap' : 'taps'}, ${format.time(fromMs)} to ${format.time(toMs)}`;
  return (
    <>
      <p>Noted by</p>
      <ul>
        {named.map((hand) => (
          <li key={`${hand.who} ${hand.device}`}>{line(hand)}</li>
        ))}
      </ul>
    </>
  );
}

/** A run as the log has it: each step against the sheet, the meter, readings, notes and photographs. */
export function RunDetails({ washId, run }: { readonly washId: string; readonly run: RunRecord }) {
  const format = useFormat();
  const [isOpen, setOpen] = useState(false);
  return (
    <details className={classes.run} onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
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
      <Hands washId={washId} isOpen={isOpen} />
    </details>
  );
}
