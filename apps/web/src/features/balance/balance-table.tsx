import { type BalanceRow, type BodyClass, type PlaceRecord, ruleOf } from '@keen/core';
import type { Format } from '../../format/format.js';
import { Glyph } from '../../parts/glyph.js';
import { VerdictSwatch } from '../../parts/verdict-patterns.js';
import { methodName } from '../../words/names.js';
import { verdictText } from '../../words/verdict-words.js';
import { leavesText, leftOn, totalMinutes } from './balance-view.js';
import { MarginGauge } from '../../parts/margin-gauge.js';
import { Removal } from './removal.js';
import classes from './balance.module.css';

interface BalanceTableProps {
  readonly rows: readonly BalanceRow[];
  /** Of the car that is weighed for. */
  readonly bodyClass: BodyClass;
  readonly places: readonly PlaceRecord[];
  readonly format: Format;
}

/** One row a method: what comes off and stays, minutes, money, water, risk, and the number that rules it out. */
export function BalanceTable({ rows, bodyClass, places, format }: BalanceTableProps) {
  return (
    <div className={classes.scroll} tabIndex={0} role="region" aria-label="Methods side by side">
      <table className={classes.table}>
        <thead>
          <tr>
            <th scope="col">Way to wash</th>
            <th scope="col">Takes off</th>
            <th scope="col">Salt left, g/m²</th>
            <th scope="col">Saves</th>
            <th scope="col">Minutes</th>
            <th scope="col">Money</th>
            <th scope="col">Water</th>
            <th scope="col">Risk</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <Row
              key={`${row.placeId} ${row.methodId}`}
              row={row}
              bodyClass={bodyClass}
              place={places.find(({ id }) => id === row.placeId)}
              format={format}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface RowProps {
  readonly row: BalanceRow;
  readonly bodyClass: BodyClass;
  readonly place: PlaceRecord | undefined;
  readonly format: Format;
}

function Row({ row, bodyClass, place, format }: RowProps) {
  const { minutes, cost } = row;
  return (
    <tr data-verdict={row.verdict}>
      <th scope="row" className={classes.way}>
        <span className={classes.name}>
          <VerdictSwatch verdict={row.verdict} />
          <span>
            {methodName(row.methodId)}
            <span className={classes.place}>{place?.name}</span>
          </span>
        </span>
        <span className={classes.reason}>
          <Glyph glyph={ruleOf(row.limiting.ruleId).glyph} size={15} />
          <MarginGauge finding={row.limiting} format={format} />
          <span>
            {verdictText(row.verdict, row.limiting, format)}
            {row.untilMs !== null && `; goes from ${format.dayTime(row.untilMs)}`}
          </span>
        </span>
      </th>
      <td data-label="Takes off">
        <Removal row={row} bodyClass={bodyClass} />
      </td>
      <td className="figure" data-label="Salt left, g/m²">
        {leftOn(row, 'underbody').toFixed(1)} under
        <br />
        {leftOn(row, 'lower-left').toFixed(1)} lower
        <span className={classes.leaves}>leaves {leavesText(row)}</span>
      </td>
      <td className="figure" data-label="Saves">
        {row.activeHoursSaved.toFixed(1)}&nbsp;h
        <br />
        <span className="muted">{format.money(row.saltMinor)}</span>
      </td>
      <td className="figure" data-label="Minutes">
        {totalMinutes(row).toFixed(0)}
        <span className={classes.leaves}>
          {minutes.wash.toFixed(0)} wash, {minutes.travel.toFixed(0)} drive
          {minutes.queue > 0 && `, ${minutes.queue.toFixed(0)} queue`}
        </span>
      </td>
      <td className="figure" data-label="Money">
        {format.money(cost.totalMinor)}
        <span className={classes.leaves}>
          {[
            cost.visitMinor > 0 && `${format.money(cost.visitMinor)} visit`,
            cost.meterMinor > 0 && `${format.money(cost.meterMinor)} meter`,
            cost.productMinor > 0 && `${format.money(cost.productMinor)} product`,
          ]
            .filter(Boolean)
            .join(', ')}
        </span>
      </td>
      <td className="figure" data-label="Water">
        {format.litres(row.litres)}
      </td>
      <td data-label="Risk">
        {row.gradeAtContact === null ? 'nothing rubs it' : `rubbed at grade ${row.gradeAtContact.toFixed(1)}`}
        <span className={classes.leaves}>{format.ml(row.gapWaterMl)} in seals</span>
      </td>
    </tr>
  );
}
