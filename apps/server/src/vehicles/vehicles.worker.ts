import { type CarColumns, type CarLine, carLines, guessedColumns } from '@keen/core';
import { answering } from '../imports/beside.js';
import { type ReadList, readList } from '../imports/read-list.js';

const MOST_CARS = 500;

interface CarListJob {
  readonly text: string;
  readonly asked: CarColumns | null;
  /** Names of cars that are there already. */
  readonly taken: readonly string[];
  readonly nowMs: number;
}

const run = answering(({ text, asked, taken, nowMs }: CarListJob): ReadList<CarLine, CarColumns> =>
  readList(text, asked, {
    what: 'cars',
    most: MOST_CARS,
    guess: guessedColumns,
    lines: (rows, columns) => carLines(rows, columns, { taken, nowMs }),
  }),
);
export default run;
