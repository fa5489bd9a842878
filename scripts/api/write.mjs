// Writes what the API's description takes from the source: npm run api. A test compares.
import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { readAnswers } from './answers.mjs';

const root = resolve(import.meta.dirname, '..', '..');
const file = join(root, 'apps', 'server', 'src', 'openapi', 'operations.json');
const found = readAnswers(root);
writeFileSync(file, `${JSON.stringify(found)}\n`);
spawnSync(join(root, 'node_modules', '.bin', 'oxfmt'), [file], { stdio: 'inherit' });
console.log(`${found.operations.length} operations, ${Object.keys(found.schemas).length} schemas`);
