import {
  guessedWashColumns,
  type WashColumns,
  type WashLine,
  washLines,
  type WashListFacts,
} from '@keen/core';
import { answering } from '../imports/beside.js';
import { type ReadList, readList } from '../imports/read-list.js';

const MOST_WASHES = 5000;

interface WashListJob {
  readonly text: string;
  readonly asked: WashColumns | null;
  readonly facts: WashListFacts;
}

const run = answering(({ text, asked, facts }: WashListJob): ReadList<WashLine, WashColumns> =>
  readList(text, asked, {
    what: 'washes',
    most: MOST_WASHES,
    guess: guessedWashColumns,
    lines: (rows, columns) => washLines(rows, columns, facts),
  }),
);
export default run;
