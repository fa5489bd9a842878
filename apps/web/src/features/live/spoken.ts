import type { RunMoment } from '@keen/core';
import { RUN_STEP_NAMES } from '../../words/run-words.js';
import type { Alarm } from './live-view.js';

const DUE: Readonly<Record<Alarm, string>> = {
  worked: 'It has worked. You may rinse.',
  'dries-soon': 'It dries soon. Rinse next.',
  over: 'Rinse now.',
  'meter-low': 'The meter runs out soon.',
  'wipe-soon': 'Dry the next panel now.',
};

/** What is said aloud between two moments of a run: what becomes due, then the step that began, or the one to begin next. */
export function spokenBetween(before: RunMoment | null, now: RunMoment, alarms: readonly Alarm[]): string[] {
  const due = alarms.map((alarm) => DUE[alarm]);
  if (!before) return due;
  const [was, is] = [before.current, now.current];
  if (is && is.key !== was?.key) return [...due, `Now: ${RUN_STEP_NAMES[is.step.id].toLowerCase()}.`];
  const next = now.next;
  const hasEnded = was !== null && is === null;
  return hasEnded && next ? [...due, `Next: ${RUN_STEP_NAMES[next.step.id].toLowerCase()}.`] : due;
}
