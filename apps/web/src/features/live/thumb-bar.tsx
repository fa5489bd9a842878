import { lastTap, type RunDeed, type RunMoment } from '@keen/core';
import { RUN_STEP_NAMES } from '../../words/run-words.js';
import type { MainTap } from './live-view.js';
import type { RunView } from './run-view.js';
import shared from './live.module.css';
import classes from './thumb-bar.module.css';

interface ThumbBarProps {
  readonly tap: MainTap;
  readonly view: RunView;
  readonly moment: RunMoment;
  readonly isRunning: boolean;
  /** The other car of a visit, which the hands go to when this step is done; null: they stay here. */
  readonly goesTo: string | null;
  readonly onPress: () => void;
  readonly onUndo: () => void;
  readonly onMore: () => void;
  readonly onClose: () => void;
  readonly act: (...deeds: readonly RunDeed[]) => void;
}

function mainLabel(tap: MainTap, goesTo: string | null): string {
  switch (tap.kind) {
    case 'start':
      return 'Start the run';
    case 'close':
      return 'Close the run';
    case 'closed':
      return '';
    case 'begin': {
      const begins = tap.deeds.some(({ kind }) => kind === 'meter-on') ? 'Start the meter: ' : 'Begin: ';
      return `${tap.tooSoon.length > 0 ? 'Begin all the same: ' : begins}${RUN_STEP_NAMES[tap.step.step.id].toLowerCase()}`;
    }
    case 'done': {
      const stops = tap.deeds.some(({ kind }) => kind === 'meter-off') ? ', stop the meter' : '';
      if (goesTo) return `Done${stops}; now the ${goesTo}`;
      return tap.then
        ? `Done${stops}; now ${RUN_STEP_NAMES[tap.then.step.id].toLowerCase()}`
        : `Done${stops}`;
    }
  }
}

/** What is under the thumb: the next tap, large, and the ways round it. */
export function ThumbBar(props: ThumbBarProps) {
  const { tap, view, moment, isRunning, goesTo, onPress, onUndo, onMore, onClose, act } = props;
  const last = lastTap(view.actions, view.deviceId);
  return (
    <nav className={classes.thumb} aria-label="Run">
      {tap.kind !== 'closed' && (
        <button
          type="button"
          className={shared.press} // A glove that bounces presses twice; the second is not meant.
          onClick={(event) => event.detail < 2 && onPress()}
        >
          {mainLabel(tap, goesTo)}
        </button>
      )}
      <div className={shared.around}>
        {tap.kind !== 'start' && (
          <button type="button" disabled={!last} onClick={onUndo}>
            {tap.kind === 'closed' ? 'Open it again' : 'Undo'}
          </button>
        )}
        {isRunning && (
          <>
            <button type="button" onClick={() => act({ kind: moment.isPaused ? 'resume' : 'pause' })}>
              {moment.isPaused ? 'Go on' : 'Pause'}
            </button>
            {tap.kind !== 'close' && (
              <button type="button" onClick={onClose}>
                Close
              </button>
            )}
            <button type="button" onClick={onMore}>
              More
            </button>
          </>
        )}
      </div>
    </nav>
  );
}
