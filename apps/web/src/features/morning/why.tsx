import { ruleOf, type Window, type PlaceRecord, type VehicleAnswer } from '@keen/core';
import type { Format } from '../../format/format.js';
import { Glyph } from '../../parts/glyph.js';
import { verdictText } from '../../words/verdict-words.js';
import { methodName, nameOf } from '../../words/names.js';
import { fallbackText } from '../../words/plan-words.js';
import classes from './morning.module.css';

interface WhyProps {
  readonly answer: VehicleAnswer;
  readonly best: Window;
  readonly places: readonly PlaceRecord[] | undefined;
  readonly format: Format;
}

const PARTS = [
  ['saltMinor', 'Salt kept from eating'],
  ['moneyMinor', 'Paid at the place'],
  ['timeMinor', 'Your time, travel included'],
  ['coldMinor', 'Cold hands'],
  ['paintMinor', 'Risk to paint and protection'],
  ['troubleMinor', 'Trouble of the "if"'],
  ['lateMinor', 'Lateness'],
  ['seasonMinor', 'Work of the season, beyond what it takes'],
] as const;

function Worth({ best, format }: Pick<WhyProps, 'best' | 'format'>) {
  return (
    <section>
      <h4>What it is worth</h4>
      <dl className={classes.pairs}>
        {PARTS.filter(([part]) => best.value[part] !== 0).map(([part, label]) => (
          <div key={part} style={{ display: 'contents' }}>
            <dt>{label}</dt>
            <dd className="figure">{format.money(best.value[part])}</dd>
          </div>
        ))}
        <dt className={classes.total}>In all</dt>
        <dd className={`figure ${classes.total}`}>{format.money(best.value.totalMinor)}</dd>
      </dl>
      <p className="muted">
        Saves {best.activeHoursSaved.toFixed(1)} active salt hours over the forecast (estimated). Prices are
        judgement; change them in Settings. One plan for all cars chose this start; the next best say what it
        would lose by them.
      </p>
    </section>
  );
}

function NextBest({ answer, places, format }: Omit<WhyProps, 'best'>) {
  if (answer.alternatives.length === 0) return null;
  return (
    <section>
      <h4>Next best</h4>
      <ul>
        {answer.alternatives.map(({ window, costMinor }) => (
          <li key={`${window.placeId} ${window.methodId} ${window.startMs}`}>
            <strong>{format.dayTime(window.startMs)}</strong>, {nameOf(places, window.placeId)},{' '}
            {methodName(window.methodId)} (costs the plan{' '}
            <span className="figure">{format.money(costMinor)}</span>).{' '}
            {verdictText(window.verdict, window.limiting, format)}
          </li>
        ))}
      </ul>
      {answer.fallback && <p className="muted">{fallbackText(answer.fallback, places, format)}</p>}
    </section>
  );
}

function WhyNot({ answer, places, format }: Omit<WhyProps, 'best'>) {
  if (answer.refusals.length === 0) return null;
  return (
    <section>
      <h4>Why not otherwise at that hour</h4>
      <ul>
        {answer.refusals.map(({ placeId, methodId, verdict, limiting, untilMs }) => (
          <li key={`${placeId} ${methodId}`} className={classes.verdict}>
            <Glyph glyph={ruleOf(limiting.ruleId).glyph} size={18} />
            <span>
              <strong>{nameOf(places, placeId)}</strong>, {methodName(methodId)}:{' '}
              {verdictText(verdict, limiting, format)}
              {untilMs !== null && <>, until {format.dayTime(untilMs)}</>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Why this window, what comes next, and what rules out the rest. */
export function Why(props: WhyProps) {
  return (
    <div className={classes.why}>
      <Worth {...props} />
      <NextBest {...props} />
      <WhyNot {...props} />
    </div>
  );
}
