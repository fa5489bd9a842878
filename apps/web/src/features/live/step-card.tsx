import { acidNow, type BodyClass, type RunDeed, type RunMoment, type RunState } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { faultText, mixName, mixText } from '../../words/mix-words.js';
import { CAUTION_TEXTS, GROUP_NAMES, RUN_STEP_NAMES } from '../../words/run-words.js';
import { reasonText } from '../../words/reason-words.js';
import { PART_NAMES } from '../../words/way-words.js';
import { clockText } from '../../parts/clock-text.js';
import { StepCar } from '../../parts/step-car.js';
import type { MainTap } from './live-view.js';
import shared from './live.module.css';
import classes from './step-card.module.css';

interface StepCardProps {
  readonly bodyClass: BodyClass;
  readonly moment: RunMoment;
  readonly state: RunState;
  readonly tap: MainTap;
  readonly act: (...deeds: readonly RunDeed[]) => void;
}

/** The step at hand, large, and what comes after it. */
export function StepCard({ bodyClass, moment, state, tap, act }: StepCardProps) {
  const format = useFormat();
  const list = new Intl.ListFormat('en');
  const { current, next, stepSeconds, isPaused } = moment;
  const shown = current ?? next;
  if (!shown)
    return (
      <section className={shared.step} aria-label="Step at hand">
        <p className={shared.kicker}>All steps are done</p>
        <h2>Close the run</h2>
        <p>What was found goes into the log; then see to the freeze care.</p>
      </section>
    );
  const { step } = shown;
  const index = state.steps.findIndex(({ key }) => key === shown.key) + 1;
  const after = state.steps
    .filter(({ state: is }) => is === 'waiting')
    .filter(({ key }) => key !== shown.key);
  const clash = acidNow(state, shown);
  const tooSoon = tap.kind === 'begin' || tap.kind === 'done' ? tap.tooSoon : [];
  const parts = state.timers.filter((timer) => timer.step === shown.key).length;
  const isOver = current !== null && stepSeconds > step.minutes * 60;
  return (
    <section className={shared.step} aria-label="Step at hand">
      <p className={shared.kicker}>
        {isPaused ? 'Paused at' : current ? 'Now' : 'Next'}, step {index} of {state.steps.length}
        {step.onMeter && ', on the meter'}
      </p>
      <StepCar bodyClass={bodyClass} groups={step.groups} part={step.part} />
      <h2>{RUN_STEP_NAMES[step.id]}</h2>
      <p className={classes.where}>
        {step.part ? PART_NAMES[step.part] : list.format(step.groups.map((group) => GROUP_NAMES[group]))}
        {step.direction === 'bottom-up' && ', bottom up'}
        {step.direction === 'top-down' && ', top down'}
      </p>
      <p className={`${classes.clock} figure`} data-over={isOver || undefined}>
        {current ? clockText(stepSeconds) : '0:00'} <span>of {clockText(step.minutes * 60)}, estimated</span>
      </p>
      {tooSoon.map(({ timer, step: on, earliestInSeconds }) => (
        <p key={timer.id} className={classes.wait}>
          Wait {clockText(earliestInSeconds)}: “{RUN_STEP_NAMES[on.step.id]}” has not worked long enough.
        </p>
      ))}
      {step.note && <p>{step.note}</p>}
      {step.mix && (
        <p>
          <strong>{mixName(step.mix)}: </strong>
          {mixText(step.mix, format)}
        </p>
      )}
      {[...step.faults, ...(clash ? [clash] : [])].map((fault, n) => (
        <p key={n} className={classes.wait}>
          {faultText(fault, format)}
        </p>
      ))}
      {step.cautions.map((caution) => (
        <p key={caution} className={shared.caution}>
          {CAUTION_TEXTS[caution]}
        </p>
      ))}
      <details className={classes.why}>
        <summary>Why here</summary>
        {reasonText(step, format)}
      </details>
      {current?.step.dwell && (
        <div className={shared.pair}>
          <button
            type="button"
            onClick={() => act({ kind: 'product-on', step: current.key, part: `part ${parts + 1}` })}
          >
            Product on another part
          </button>
        </div>
      )}
      {after[0] && (
        <p className={classes.then}>
          Then {RUN_STEP_NAMES[after[0].step.id].toLowerCase()}
          {after[0].step.part &&
            after[0].step.part !== step.part &&
            `, ${PART_NAMES[after[0].step.part]}`},{' '}
          {format.minutes(after[0].step.minutes)}
          {after[0].step.onMeter && ' on the meter'}
          {after[1] && `; after that ${RUN_STEP_NAMES[after[1].step.id].toLowerCase()}`}
        </p>
      )}
    </section>
  );
}
