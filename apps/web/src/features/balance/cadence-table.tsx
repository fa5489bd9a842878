import type { CadenceOutcome } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { methodName } from '../../words/names.js';
import { endText, moneyNote } from '../../words/cadence-words.js';
import { type CadencePlan, priceOfHourMinor } from './balance-view.js';
import classes from './balance.module.css';

interface CadenceTableProps {
  readonly plans: readonly CadencePlan[];
  /** One for each plan, in their order. */
  readonly outcomes: readonly CadenceOutcome[];
}

/** Cadences side by side: what each saves, costs and takes. */
export function CadenceTable({ plans, outcomes }: CadenceTableProps) {
  const format = useFormat();
  const most = Math.max(1, ...outcomes.map(({ activeHoursSaved }) => activeHoursSaved));
  return (
    <div className={classes.scroll} tabIndex={0} role="region" aria-label="Cadences">
      <table className={classes.table}>
        <thead>
          <tr>
            <th scope="col">Cadence</th>
            <th scope="col">Washes</th>
            <th scope="col">Salt hours saved</th>
            <th scope="col">Place and product</th>
            <th scope="col">Work and ways</th>
            <th scope="col">Water</th>
            <th scope="col">Salt damage avoided</th>
            <th scope="col">In the end</th>
          </tr>
        </thead>
        <tbody>
          {plans.map((plan, i) => {
            const outcome = outcomes[i];
            if (!outcome) return null;
            const price = priceOfHourMinor(outcome);
            return (
              <tr key={plan.name}>
                <th scope="row">
                  {plan.name}
                  <span className={classes.leaves}>
                    {plan.parts
                      .map(({ methodId, everyDays }) => `${methodName(methodId)} every ${everyDays} days`)
                      .join('; ')}
                  </span>
                </th>
                <td className="figure" data-label="Washes">
                  {outcome.washCount}
                </td>
                <td data-label="Salt hours saved">
                  <span className={classes.wide} aria-hidden="true">
                    <span style={{ width: `${(outcome.activeHoursSaved / most) * 100}%` }} />
                  </span>
                  <span className="figure">
                    {outcome.activeHoursSaved.toFixed(0)} of{' '}
                    {(outcome.activeHours + outcome.activeHoursSaved).toFixed(0)}
                  </span>
                  {price !== null && <span className={classes.leaves}>{format.money(price)} for each</span>}
                </td>
                <td data-label="Place and product">
                  <span className="figure">{format.money(outcome.moneyMinor)}</span>
                  <span className={classes.leaves}>{moneyNote(outcome, format)}</span>
                </td>
                <td data-label="Work and ways">
                  <span className="figure">{(outcome.minutes / 60).toFixed(1)} h</span>
                  <span className={classes.leaves}>
                    {format.money(outcome.timeMinor)} at your price
                    {outcome.bayMinutes > 0 &&
                      outcome.washCount > 0 &&
                      `; ${format.minutes(outcome.bayMinutes / outcome.washCount)} in a bay each time`}
                  </span>
                </td>
                <td className="figure" data-label="Water">
                  {format.litres(outcome.litres)}
                </td>
                <td className="figure" data-label="Salt damage avoided">
                  {format.money(outcome.saltMinor)}
                </td>
                <td data-label="In the end">{endText(outcome, format)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
