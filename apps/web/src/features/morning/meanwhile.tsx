import type { EarlyAnswer, MorningSoFar, PlaceRecord, VehicleRecord, WashRecord } from '@keen/core';
import { Link } from 'react-router';
import type { Progress } from '../../api/use-progress.js';
import { useFormat } from '../../format/use-format.js';
import { Loading } from '../../parts/states.js';
import { methodName, nameOf } from '../../words/names.js';
import { verdictText } from '../../words/verdict-words.js';
import { AnswerCards } from './answer-card.js';
import { dueText } from '../../words/due-words.js';
import classes from './morning.module.css';
import { groupAnswers, stillAhead } from './morning-view.js';

interface MeanwhileProps {
  readonly soFar: MorningSoFar | undefined;
  readonly progress: Progress | null;
  readonly vehicles: readonly VehicleRecord[] | undefined;
  readonly places: readonly PlaceRecord[] | undefined;
  readonly washes: readonly WashRecord[] | undefined;
  readonly nowMs: number;
}

/** The morning while it is worked out: the cars that are done, and for the others what it said last. */
export function Meanwhile({ soFar, progress, vehicles, places, washes, nowMs }: MeanwhileProps) {
  const format = useFormat();
  const early = soFar?.early ?? [];
  const last = soFar?.last ?? null;
  const before = last ? stillAhead(last, { nowMs, early, vehicles, washes: washes ?? [] }) : [];
  return (
    <>
      <Loading what="Working out every car, place and hour" progress={progress} />
      {early.length > 0 && (
        <section className={classes.group}>
          <h2>Done so far, each car by itself</h2>
          <ul className={classes.rest}>
            {early.map((answer) => (
              <li key={answer.vehicleId}>
                <strong>{nameOf(vehicles, answer.vehicleId)}</strong>,{' '}
                <span className="muted">{dueText(answer.due)}</span>
                <br />
                <EarlyText answer={answer} places={places} />
              </li>
            ))}
          </ul>
          <p className={classes.again}>Who washes which car when is settled once all of them are done.</p>
        </section>
      )}
      {last && before.length > 0 && (
        <section className={classes.group}>
          <h2>As it was on {format.dayTime(last.nowMs)}, being worked out again</h2>
          {groupAnswers({ ...last, nowMs, answers: before }, format).days.map(({ key, title, answers }) => (
            <div key={key} className={classes.group}>
              <h3>{title}</h3>
              <AnswerCards answers={answers} vehicles={vehicles} places={places} />
            </div>
          ))}
        </section>
      )}
    </>
  );
}

function EarlyText({
  answer: { vehicleId, best },
  places,
}: {
  readonly answer: EarlyAnswer;
  readonly places: readonly PlaceRecord[] | undefined;
}) {
  const format = useFormat();
  if (!best)
    return (
      <>
        No start goes in the coming days. <Link to={`/windows/${vehicleId}`}>Why not</Link>
      </>
    );
  return (
    <>
      {format.dayTime(best.startMs)}, {nameOf(places, best.placeId)}, {methodName(best.methodId)}:{' '}
      {verdictText(best.verdict, best.limiting, format)}
    </>
  );
}
