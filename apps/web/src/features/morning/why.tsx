import { type PlaceRecord, type PlanWorth, ruleOf, type VehicleAnswer, type Window } from '@keen/core';
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

/** One sum: above zero it comes in, below it goes out. */
interface Part {
  readonly label: string;
  readonly minor: number;
}

/** What the start comes to for the plan, in parts that add up to its total. */
const partsOf = ({ value }: Window, worth: PlanWorth): readonly Part[] => [
  { label: 'salt damage avoided', minor: value.saltMinor },
  { label: 'lateness spared, up to the end of the forecast', minor: worth.lateAvoidedMinor },
  { label: 'a wash at its cheapest, due some day anyway', minor: worth.dueAnywayMinor },
  { label: 'a promise kept', minor: worth.promiseMinor },
  { label: 'seasonal jobs, their own cost counted', minor: value.seasonMinor },
  { label: 'place and product', minor: value.moneyMinor },
  { label: 'your time, travel included', minor: value.timeMinor },
  { label: 'cold hands', minor: value.coldMinor },
  { label: 'risk to paint and protection', minor: value.paintMinor },
  { label: 'trouble of the "if"', minor: value.troubleMinor },
  { label: 'not the kind that you ask for', minor: -worth.otherKindMinor },
  { label: 'the forecasts in which it fails', minor: -worth.failingMinor },
];

/** What comes in first, what it costs after; both without a sign. */
const SIDES = [
  { sign: 1, name: 'Gives' },
  { sign: -1, name: 'Takes' },
] as const;

/** Parts that are seen: half a cent and less is none. */
const LEAST_MINOR = 0.5;

function Worth({ best, worth, format }: Pick<WhyProps, 'best' | 'format'> & { readonly worth: PlanWorth }) {
  const parts = partsOf(best, worth);
  return (
    <section>
      <h4>What it gives and takes</h4>
      <dl className={classes.pairs}>
        {SIDES.map(({ sign, name }) =>
          parts
            .filter(({ minor }) => sign * minor >= LEAST_MINOR)
            .map(({ label, minor }) => (
              <div key={label} style={{ display: 'contents' }}>
                <dt>
                  {name}: {label}
                </dt>
                <dd className="figure">{format.money(sign * minor)}</dd>
              </div>
            )),
        )}
      </dl>
      <p className={classes.total}>{worthText(worth.totalMinor, format)}.</p>
      <p className="muted">
        Against leaving it unwashed up to the end of the forecast. Salt damage avoided:{' '}
        {best.activeHoursSaved.toFixed(1)} h (estimated). Prices are judgement; change them in Settings. One
        plan for all cars chose this start; the next best say what it would lose by them.
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
      {props.answer.worth && <Worth {...props} worth={props.answer.worth} />}
      <NextBest {...props} />
      <WhyNot {...props} />
    </div>
  );
}
