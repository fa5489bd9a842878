import type { Visit } from '@keen/core';
import { clockText } from '../../parts/clock-text.js';
import { RUN_STEP_NAMES } from '../../words/run-words.js';
import { bucketText, holdText } from '../../words/visit-words.js';
import type { LiveRun } from './use-live-run.js';
import classes from './visit-tabs.module.css';

interface VisitTabsProps {
  readonly names: readonly [string, string];
  readonly lives: readonly [LiveRun, LiveRun];
  readonly shown: 0 | 1;
  /** Whose turn it is; null: both are done. */
  readonly turn: 0 | 1 | null;
  readonly visit: Visit;
  readonly onShow: (car: 0 | 1) => void;
}

/** What a car waits for, in one line. */
function standsText({ state, moment }: LiveRun): string {
  if (state.phase === 'closed') return 'closed';
  if (state.phase === 'not-begun') return 'not started';
  const [due] = moment.dwells.toSorted((a, b) => a.latestInSeconds - b.latestInSeconds);
  if (due)
    return due.latestInSeconds > 0
      ? `${RUN_STEP_NAMES[due.step.step.id].toLowerCase()}: off within ${clockText(due.latestInSeconds)}`
      : `${RUN_STEP_NAMES[due.step.step.id].toLowerCase()}: take it off now`;
  const step = moment.current ?? moment.next;
  return step ? RUN_STEP_NAMES[step.step.id].toLowerCase() : 'all steps done';
}

/** Both cars of a visit, which one is next, and what to mind between them. */
export function VisitTabs({ names, lives, shown, turn, visit, onShow }: VisitTabsProps) {
  const isBefore = lives.every(({ state }) => state.phase === 'not-begun');
  return (
    <section className={classes.both} aria-label="The visit">
      <div className={classes.tabs} role="group" aria-label="Cars of this visit">
        {([0, 1] as const).map((car) => (
          <button
            key={car}
            type="button"
            aria-pressed={shown === car}
            data-turn={turn === car || undefined}
            onClick={() => onShow(car)}
          >
            <strong>{names[car]}</strong>
            <span>{standsText(lives[car])}</span>
          </button>
        ))}
      </div>
      {isBefore && (
        <p>
          {holdText(visit)} {bucketText(visit.bucket, names)}
        </p>
      )}
    </section>
  );
}
