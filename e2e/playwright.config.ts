import { suite } from './browser.js';

/** What works on the demo's plan, what walks all views and keeps records, what needs neither, and what is done with a phone or a bottle in hand. */
const files = (...names: readonly string[]): string[] => names.map((name) => `**/${name}.spec.ts`);
const WORKS = files('calendar', 'customers', 'judgement', 'morning', 'plan', 'windows');
const LOOKS = files('reach', 'records', 'weather');
const ALONE = files('access', 'commands', 'first-day');
const HANDS = files('kit', 'live', 'run');

/** Three at a time, the last when the shortest is through. */
export default suite(
  [
    { name: 'works', port: 4391, match: WORKS },
    { name: 'looks', port: 4393, match: LOOKS },
    { name: 'empty', port: 4395, match: ALONE, isEmpty: true },
    { name: 'hands', port: 4397, match: HANDS },
  ],
  3,
);
