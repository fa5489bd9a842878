import { suite } from './browser.js';

/** What works on the demo's plan, what looks at every view, and what needs neither: about equally much for each of the three. */
const files = (...names: readonly string[]): string[] => names.map((name) => `**/${name}.spec.ts`);
const LOOKS = files('kit', 'live', 'reach', 'run');
const WORKS = files('calendar', 'customers', 'judgement', 'morning', 'plan', 'records', 'weather', 'windows');
const ALONE = files('access', 'commands', 'first-day');

export default suite([
  { name: 'works', port: 4391, match: WORKS },
  { name: 'looks', port: 4393, match: LOOKS },
  { name: 'empty', port: 4395, match: ALONE, isEmpty: true },
]);
