import { answering } from '../imports/beside.js';
import { reported } from '../imports/import-report.js';
import { type ReadWeather, readWeather } from './read-weather.js';

type Given = Parameters<typeof readWeather>;

const run = answering(
  ({ given, known }: { readonly given: Given[0]; readonly known: Given[1] }): ReadWeather => {
    const read = readWeather(given, known);
    return { ...read, faults: reported(read.faults) };
  },
);
export default run;
