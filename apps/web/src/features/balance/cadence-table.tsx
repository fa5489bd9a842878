import type { CadenceOutcome } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { methodName } from '../../words/names.js';
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
            <th scope="col">Active hours saved</th>
            <th scope="col">Money</th>
            <th scope="col">For each hour saved</th>
            <th scope="col">Hours of work</th>
            <th scope="col">Water</th>
            <th scope="col">Worth in all</th>
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
                <td data-label="Active hours saved">
                  <span className={classes.wide} aria-hidden="true">
                    <span style={{ width: `${(outcome.activeHoursSaved / most) * 100}%` }} />
                  </span>
                  <span className="figure">
                    {outcome.activeHoursSaved.toFixed(0)} of{' '}
                    {(outcome.activeHours + outcome.activeHoursSaved).toFixed(0)}
                  </span>
                </td>
                <td className="figure" data-label="Money">
                  {format.money(outcome.moneyMinor)}
                </td>
                <td className="figure" data-label="For each hour saved">
                  {price === null ? 'nothing saved' : format.money(price)}
                </td>
                <td className="figure" data-label="Hours of work">
                  {(outcome.minutes / 60).toFixed(1)}
                </td>
                <td className="figure" data-label="Water">
                  {format.litres(outcome.litres)}
                </td>
                <td className="figure" data-label="Worth in all">
                  {format.money(outcome.worthMinor)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
