import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { expect, it } from '@jest/globals';
import { RULES, ruleSheet } from './index.js';

it('is the committed copy; after a change run npm run rules and read what moved', () => {
  const committed = readFileSync(resolve(import.meta.dirname, '../../../../docs/rules.md'), 'utf8');
  expect(committed).toBe(ruleSheet());
});

it('lists every rule once', () => {
  const sheet = ruleSheet();
  for (const { id } of RULES) expect(sheet.split(`\`${id}\`\n`)).toHaveLength(2);
});
