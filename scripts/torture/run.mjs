// What the program promises when it is treated badly, and what it did: npm run torture, or with shares of it. Times and memory depend on
// the machine; with --only-losses they are printed and do not count.
//   npm run torture -- --kills 20 --fuzz 500 --pairs 50 --days 3
import { parseArgs } from 'node:util';
import { fuzz } from './fuzz.mjs';
import { kills } from './kills.mjs';
import { month } from './month.mjs';
import { pairs } from './pairs.mjs';

const { values } = parseArgs({
  options: {
    kills: { type: 'string', default: '1000' },
    fuzz: { type: 'string', default: '10000' },
    pairs: { type: 'string', default: '1000' },
    days: { type: 'string', default: '30' },
    'only-losses': { type: 'boolean', default: false },
  },
});
const countOf = (name) => {
  const count = Number(values[name]);
  if (Number.isInteger(count) && count >= 0) return count;
  console.error(`torture: --${name} is "${values[name]}"; it must be a whole number.`);
  process.exit(2);
};
const counts = Object.fromEntries(['kills', 'fuzz', 'pairs', 'days'].map((name) => [name, countOf(name)]));
const rows = [];
const add = (what, { measured, asked, ok, isTimed = false }) =>
  rows.push({ what, measured, asked, ok: ok ? 'yes' : 'NO', isTimed });

if (counts.kills > 0) {
  const { acknowledged, lost, half } = await kills(counts.kills);
  const of = `of ${acknowledged} in ${counts.kills} kills`;
  add('acknowledged writes lost', { measured: `${lost} ${of}`, asked: '0', ok: lost === 0 });
  add('washes without their stock, or stock without its wash', {
    measured: `${half} ${of}`,
    asked: '0',
    ok: half === 0,
  });
}
if (counts.pairs > 0) {
  const { double, neither } = await pairs(counts.pairs);
  add('double plans', { measured: `${double} of ${counts.pairs} pairs`, asked: '0', ok: double === 0 });
  add('pairs in which nobody had it', { measured: String(neither), asked: '0', ok: neither === 0 });
}
if (counts.fuzz > 0) {
  const { faults, operations, slow, worstHealthMs, statuses } = await fuzz(counts.fuzz);
  const slowCount = [...slow.values()].reduce((sum, one) => sum + one, 0);
  const of = `of ${counts.fuzz} requests, ${operations} operations`;
  add('kinds of answers of 500 and above', {
    measured: `${faults.size} ${of}`,
    asked: '0',
    ok: faults.size === 0,
  });
  add('answers that took longer than 4 s', {
    measured: `${slowCount} ${of}`,
    asked: '0',
    ok: slowCount === 0,
    isTimed: true,
  });
  const health = `${Math.round(worstHealthMs)} ms`;
  add('health meanwhile', {
    measured: health,
    asked: 'at most 200 ms',
    ok: worstHealthMs <= 200,
    isTimed: true,
  });
  console.log('statuses', Object.fromEntries(statuses), 'slow', Object.fromEntries(slow));
  for (const [key, what] of faults) console.log(key, what);
}
if (counts.days > 0) {
  const { faults, firstMb, lastMb } = await month(counts.days);
  const grew = `${Math.round(firstMb)} to ${Math.round(lastMb)} MB in ${counts.days} days`;
  add('memory from the second third to the last', {
    measured: grew,
    asked: 'flat (10 %)',
    ok: lastMb < 1.1 * firstMb,
    isTimed: true,
  });
  add('answers that failed meanwhile', { measured: String(faults), asked: '0', ok: faults === 0 });
}
console.table(Object.fromEntries(rows.map(({ what, isTimed: _timed, ...figures }) => [what, figures])));
const counting = rows.filter(({ isTimed }) => !isTimed || !values['only-losses']);
process.exit(counting.some(({ ok }) => ok === 'NO') ? 1 : 0);
