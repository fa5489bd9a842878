import { type CarColumns, carLines, guessedColumns } from '@keen/core';
import { answering } from '../imports/beside.js';
import { reported, unreadable } from '../imports/import-report.js';
import { readTable } from '../imports/read-csv.js';
import { badField } from '../errors/api-error.js';

const MOST_CARS = 500;

interface CarListJob {
  readonly text: string;
  /** Which heading stands for which column; null: as the headings give away by themselves. */
  readonly asked: CarColumns | null;
  /** Names of cars that are there already. */
  readonly taken: readonly string[];
  readonly nowMs: number;
}

function requireHeadings(columns: CarColumns, headings: readonly string[]): void {
  for (const [column, heading] of Object.entries(columns))
    if (!headings.includes(heading))
      throw badField(`columns.${column}`, `columns.${column}: the file has no heading "${heading}".`);
}

const run = answering(({ text, asked, taken, nowMs }: CarListJob) => {
  const { columns: headings, rows, faults: broken } = readTable(text);
  if (rows.length > MOST_CARS)
    throw unreadable(`At most ${MOST_CARS} cars are read at once; it has ${rows.length}.`);
  if (asked) requireHeadings(asked, headings);
  const columns = asked ?? guessedColumns(headings);
  const bad = new Set(broken.map(({ line }) => line));
  const found = carLines(
    rows.filter(({ line }) => !bad.has(line)),
    columns,
    { taken, nowMs },
  );
  const faults = [...broken, ...found.faults].sort((a, b) => a.line - b.line);
  return { good: found.good, faults: reported(faults), headings, columns };
});
export default run;
