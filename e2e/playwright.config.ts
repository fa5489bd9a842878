import { suite } from './browser.js';

/** What reads the demo's plan and records, and what looks at every view; about equally long. */
const LOOKS = ['**/live.spec.ts', '**/reach.spec.ts', '**/records.spec.ts', '**/weather.spec.ts'];
const WORKS = [
  'calendar',
  'commands',
  'customers',
  'judgement',
  'kit',
  'morning',
  'plan',
  'run',
  'windows',
].map((name) => `**/${name}.spec.ts`);

export default suite([
  { name: 'works', port: 4391, match: WORKS },
  { name: 'looks', port: 4393, match: LOOKS },
]);
