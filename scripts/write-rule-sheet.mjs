// Writes docs/rules.md from the built core: npm run build -w @keen/core && npm run rules.
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { ruleSheet } from '@keen/core';

writeFileSync(fileURLToPath(new URL('../docs/rules.md', import.meta.url)), ruleSheet());
