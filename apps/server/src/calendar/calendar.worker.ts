import { answering } from '../imports/beside.js';
import { readCalendar, type ReadWindow } from './read-calendar.js';

const run = answering(({ text, window }: { readonly text: string; readonly window: ReadWindow }) =>
  readCalendar(text, window),
);
export default run;
