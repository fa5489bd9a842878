import {
  startOfHourMs,
  type Treatment,
  TREATMENT_COLUMNS,
  treatmentRows,
  type TreatmentSpan,
} from '@keen/core';
import { answering } from '../imports/beside.js';
import { reported } from '../imports/import-report.js';
import { readCsv } from '../imports/read-csv.js';

interface BulletinsJob {
  readonly text: string;
  /** Of what is kept already (`treatmentKey`). */
  readonly keys: ReadonlySet<string>;
  readonly span: TreatmentSpan;
}

const run = answering(({ text, keys, span }: BulletinsJob) => {
  const { treatments, faults } = treatmentRows(readCsv(text, TREATMENT_COLUMNS), { keys, span });
  const good: Treatment[] = treatments.map((row) => ({ ...row, atMs: startOfHourMs(row.atMs) }));
  return { good, faults: reported(faults) };
});
export default run;
