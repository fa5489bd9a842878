import type { DwellMoment, RunDeed, RunMoment } from '@keen/core';
import { GROUP_NAMES, RUN_STEP_NAMES } from '../../words/run-words.js';
import { clockText } from '../../parts/clock-text.js';
import shared from './live.module.css';
import classes from './dwell-cards.module.css';

interface DwellCardsProps {
  readonly moment: RunMoment;
  readonly act: (...deeds: readonly RunDeed[]) => void;
}

const ENDS: Readonly<Record<DwellMoment['ends'], string>> = {
  dries: 'dries on',
  freezes: 'freezes on',
  lasts: 'longest over',
  label: 'longest over',
};
const OVER: Readonly<Record<DwellMoment['ends'], string>> = {
  dries: 'dries on: wet it again, then take it off',
  freezes: 'freezes on: take it off now',
  lasts: 'has lain too long: take it off',
  label: 'has lain too long: take it off',
};

/** What lies on the car: from when it may come off, and by when it must. */
export function DwellCards({ moment, act }: DwellCardsProps) {
  const list = new Intl.ListFormat('en');
  return moment.dwells.map((dwell) => {
    const { timer, step, seconds, earliestInSeconds, latestInSeconds, ends, isComingOff } = dwell;
    const state = latestInSeconds <= 0 ? 'over' : earliestInSeconds <= 0 ? 'worked' : 'working';
    const total = seconds + Math.max(latestInSeconds, 1);
    const where = timer.part || list.format(step.step.groups.map((group) => GROUP_NAMES[group]));
    return (
      <section
        key={timer.id}
        className={shared.dwell}
        data-state={isComingOff ? 'off' : state}
        aria-label={`Dwell: ${RUN_STEP_NAMES[step.step.id]}, ${where}`}
      >
        <div>
          <h2>
            {RUN_STEP_NAMES[step.step.id]}
            {timer.part && `, ${timer.part}`}
          </h2>
          <p>
            {isComingOff
              ? 'coming off now'
              : earliestInSeconds > 0
                ? `may come off in ${clockText(earliestInSeconds)}`
                : latestInSeconds > 0
                  ? `has worked; ${ENDS[ends]} in`
                  : OVER[ends]}
          </p>
        </div>
        <p className={`${shared.dwellClock} figure`}>{clockText(Math.max(0, latestInSeconds))}</p>
        <button
          type="button"
          aria-label={`${RUN_STEP_NAMES[step.step.id]} is off`}
          onClick={() => act({ kind: 'product-off', timer: timer.id })}
        >
          Off
        </button>
        <div className={classes.dwellTrack} aria-hidden>
          <span style={{ width: `${Math.min(100, (seconds / total) * 100)}%` }} />
          <i style={{ left: `${Math.min(100, ((seconds + earliestInSeconds) / total) * 100)}%` }} />
        </div>
      </section>
    );
  });
}
