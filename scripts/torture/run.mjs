// What the program promises when it is treated badly, and what it did: npm run torture, or with shares of it. Times and memory depend on
// the machine; with --only-losses they are printed and do not count.
//   npm run torture -- --kills 20 --fuzz 500 --pairs 50 --days 3 --cuts 10 --copies 1 --files 6
import { parseArgs } from 'node:util';
import { copies } from './copies.mjs';
import { files } from './files.mjs';
import { fuzz } from './fuzz.mjs';
import { kills } from './kills.mjs';
import { month } from './month.mjs';
import { pairs } from './pairs.mjs';
import { phones } from './phones.mjs';
import { startShop } from './server.mjs';

/** By option: how often it is done where nothing is said, and what does it. Each answers with rows of what was measured beside what is promised; one shop goes through all of it, but for what wants a server of its own. */
const SUBJECTS = {
  kills: [1000, kills],
  pairs: [1000, pairs],
  cuts: [100, phones],
  copies: [5, copies],
  files: [30, files],
  fuzz: [10_000, fuzz],
  days: [30, month],
};

const { values } = parseArgs({
  options: {
    ...Object.fromEntries(
      Object.entries(SUBJECTS).map(([name, [most]]) => [name, { type: 'string', default: String(most) }]),
    ),
    'only-losses': { type: 'boolean', default: false },
  },
});
const countOf = (name) => {
  const count = Number(values[name]);
  if (Number.isInteger(count) && count >= 0) return count;
  console.error(`torture: --${name} is "${values[name]}"; it must be a whole number.`);
  process.exit(2);
};
const wanted = Object.entries(SUBJECTS).map(([name, [, run]]) => [run, countOf(name)]);
const rows = [];
const shop = await startShop();
try {
  for (const [run, count] of wanted) if (count > 0) rows.push(...(await run(count, shop)));
} finally {
  await shop.server.end();
}
console.table(
  Object.fromEntries(
    rows.map(({ what, measured, asked, ok }) => [what, { measured, asked, ok: ok ? 'yes' : 'NO' }]),
  ),
);
const counting = rows.filter(({ isTimed }) => !isTimed || !values['only-losses']);
process.exit(counting.some(({ ok }) => !ok) ? 1 : 0);
