import { ruleOf, type Window, type PlaceRecord, type VehicleAnswer } from '@keen/core';
import type { Format } from '../../format/format.js';
import { Glyph } from '../../parts/glyph.js';
import { verdictText } from '../../words/verdict-words.js';
import { methodName, nameOf } from '../../words/names.js';
import { fallbackText, worthText } from '../../words/plan-words.js';
import classes from './morning.module.css';

interface WhyProps {
  readonly answer: VehicleAnswer;
  readonly best: Window;
  readonly places: readonly PlaceRecord[] | undefined;
  readonly format: Format;
}

const PARTS = [
  ['saltMinor', 'salt damage avoided'],
  ['moneyMinor', 'place and product'],
  ['timeMinor', 'your time, travel included'],
  ['coldMinor', 'cold hands'],
  ['paintMinor', 'risk to paint and protection'],
  ['troubleMinor', 'trouble of the "if"'],
  ['lateMinor', 'lateness'],
  ['seasonMinor', 'work of the season, its own cost counted'],
] as const;

/** What comes in first, what it costs after; both without a sign. */
const SIDES = [
  { sign: 1, name: 'Gives' },
  { sign: -1, name: 'Takes' },
] as const;

function Worth({ best, format }: Pick<WhyProps, 'best' | 'format'>) {
  return (
    <section>
      <h4>What it gives and takes</h4>
      <dl className={classes.pairs}>
        {SIDES.map(({ sign, name }) =>
          PARTS.filter(([part]) => sign * best.value[part] > 0).map(([part, label]) => (
            <div key={part} style={{ display: 'contents' }}>
              <dt>
                {name}: {label}
              </dt>
              <dd className="figure">{format.money(sign * best.value[part])}</dd>
            </div>
          )),
        )}
      </dl>
      <p className={classes.total}>{worthText(best.value.totalMinor, format)}.</p>
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
