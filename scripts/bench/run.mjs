// Prints the figures that the program is held to, beside what it is asked for; medians of one run.
//   npm run bench                  all of them
//   npm run bench -- core plan     those named: core, lab, grid, plan, script, served
import { core } from './core.mjs';
import { grid } from './grid.mjs';
import { lab } from './lab.mjs';
import { replan } from './plan.mjs';
import { initialScript } from './script.mjs';
import { served } from './served.mjs';
import { rows } from './shared.mjs';

const SUBJECTS = { core, lab, grid, plan: replan, script: initialScript, served };
const asked = process.argv.slice(2);
const unknown = asked.filter((name) => !(name in SUBJECTS));
if (unknown.length > 0) {
  console.error(`bench: ${unknown.join(', ')} is no subject; use ${Object.keys(SUBJECTS).join(', ')}`);
  process.exit(2);
}
for (const [name, measure] of Object.entries(SUBJECTS))
  if (asked.length === 0 || asked.includes(name)) await measure();
console.table(Object.fromEntries(rows.map(({ what, ...figures }) => [what, figures])));
