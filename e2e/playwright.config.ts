import { suite } from './browser.js';

/** What reads the demo's plan and records, and what looks at every view; about equally long. */
const files = (...names: readonly string[]): string[] => names.map((name) => `**/${name}.spec.ts`);
const LOOKS = files('kit', 'live', 'reach', 'records', 'run', 'weather');
const WORKS = files('calendar', 'commands', 'customers', 'judgement', 'morning', 'plan', 'windows');

export default suite([
  { name: 'works', port: 4391, match: WORKS },
  { name: 'looks', port: 4393, match: LOOKS },
  { name: 'empty', port: 4395, match: files('first-day'), isEmpty: true },
]);
