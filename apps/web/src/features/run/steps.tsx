import { type BodyClass, type RunSheet, type RunStep, type WashRecord, MS_PER_MINUTE } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { SEASON_JOB_NAMES } from '../../words/car-names.js';
import { faultText, mixName, mixText } from '../../words/mix-words.js';
import { CAUTION_TEXTS, dwellText, GROUP_NAMES, RUN_STEP_NAMES } from '../../words/run-words.js';
import { reasonText } from '../../words/reason-words.js';
import { PART_NAMES } from '../../words/way-words.js';
import { StepCar } from '../../parts/step-car.js';
import { type SheetBlock, sheetBlocks } from './run-view.js';
import lines from './steps.module.css';
import classes from './run.module.css';

const DIRECTIONS = { 'bottom-up': 'bottom up', 'top-down': 'top down' } as const;

/** What one step is, with its meter, dwell, reason and cautions. */
function StepText({
  step,
  inAll,
  bodyClass,
}: {
  readonly step: RunStep;
  readonly inAll: boolean;
  readonly bodyClass: BodyClass;
}) {
  const format = useFormat();
  const list = new Intl.ListFormat('en');
  const dwell = dwellText(step, format);
  return (
    <div data-step={step.id}>
      <StepCar bodyClass={bodyClass} groups={step.groups} part={inAll ? null : step.part} />
      <strong>{RUN_STEP_NAMES[step.id]}</strong>
      {!inAll && step.groups.length > 0 && `, ${list.format(step.groups.map((group) => GROUP_NAMES[group]))}`}
      {step.direction && `, ${DIRECTIONS[step.direction]}`}: {format.minutes(step.minutes)}
      {inAll && ' altogether'}
      {step.litres > 0 && `, ${format.litres(step.litres)}`}
      {step.onMeter && <span className={lines.meter}> on the meter</span>}
      {step.stopsMeter && <span className={lines.meter}>, then stop it</span>}
      {step.jobId && <span className="muted"> · seasonal job: {SEASON_JOB_NAMES[step.jobId]}</span>}
      {step.note && <div className={lines.own}>{step.note}</div>}
      {step.mix && (
        <div className={lines.mixed}>
          {mixName(step.mix)}: {mixText(step.mix, format)}
        </div>
      )}
      {dwell && <div className={step.dwell?.isTooShort ? classes.warn : undefined}>{dwell}</div>}
      {step.faults.map((fault, n) => (
        <div key={n} className={classes.warn}>
          {faultText(fault, format)}
        </div>
      ))}
      <div className={`muted ${classes.because}`}>Why here: {reasonText(step, format)}</div>
      {step.cautions.map((caution) => (
        <div key={caution} className={lines.caution} data-caution={caution}>
          {CAUTION_TEXTS[caution]}
        </div>
      ))}
    </div>
  );
}

/** Steps that go round part by part: the parts with their times, then what is done on each. */
function Round({
  block,
  startMs,
  bodyClass,
}: {
  readonly block: Extract<SheetBlock, { kind: 'round' }>;
  readonly startMs: number;
  readonly bodyClass: BodyClass;
}) {
  const format = useFormat();
  const at = (minute: number): string => format.time(startMs + minute * MS_PER_MINUTE);
  return (
    <li>
      <span className="figure">{at(block.parts[0]?.fromMinute ?? 0)}</span>
      <div>
        <strong>Part by part:</strong>{' '}
        {block.parts.map(({ part, fromMinute }, i) => (
          <span key={part}>
            {i > 0 && ', '}
            {PART_NAMES[part]} <span className="figure">{at(fromMinute)}</span>
          </span>
        ))}
        . On each, before you go on:
        <ul className={lines.round}>
          {block.steps.map((step) => (
            <li key={step.id} data-meter={step.onMeter || undefined}>
              <StepText step={step} inAll bodyClass={bodyClass} />
            </li>
          ))}
        </ul>
      </div>
    </li>
  );
}

/** The steps in order, each with its time; those that go round part by part stand together. */
export function Steps({
  sheet,
  wash,
  bodyClass,
}: {
  readonly sheet: RunSheet;
  readonly wash: WashRecord;
  readonly bodyClass: BodyClass;
}) {
  const format = useFormat();
  return (
    <section className={`${classes.box} ${lines.steps}`}>
      <h2>In this order</h2>
      <ol>
        {sheetBlocks(sheet.steps).map((block, i) =>
          block.kind === 'round' ? (
            <Round key={i} block={block} startMs={wash.startMs} bodyClass={bodyClass} />
          ) : (
            <li key={i} data-meter={block.step.onMeter || undefined}>
              <span className="figure">
                {format.time(wash.startMs + block.step.fromMinute * MS_PER_MINUTE)}
              </span>
              <StepText step={block.step} inAll={false} bodyClass={bodyClass} />
            </li>
          ),
        )}
      </ol>
    </section>
  );
}
