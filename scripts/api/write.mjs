// Writes what the API's description takes from the source: npm run api. A test compares.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { readAnswers } from './answers.mjs';

const root = resolve(import.meta.dirname, '..', '..');
const file = join(root, 'apps', 'server', 'src', 'openapi', 'operations.json');
const found = readAnswers(root);
writeFileSync(file, `${JSON.stringify(found)}\n`);
spawnSync(join(root, 'node_modules', '.bin', 'oxfmt'), [file], { stdio: 'inherit' });
console.log(`${found.operations.length} operations, ${Object.keys(found.schemas).length} schemas`);

// Who may do what, from the table that the server goes by; it is read as built.
const build = spawnSync('npm', ['run', '--silent', 'build', '-w', '@keen/server'], {
  cwd: root,
  stdio: 'inherit',
});
if (build.status !== 0) process.exit(build.status ?? 1);
const { accessTable } = await import('../../apps/server/dist/openapi/access-table.js');
const access = join(root, 'docs', 'access.md');
const [prose] = readFileSync(access, 'utf8').split('<!-- table -->');
writeFileSync(access, `${prose}<!-- table -->\n\n${accessTable()}\n`);
spawnSync(join(root, 'node_modules', '.bin', 'oxfmt'), [access], { stdio: 'inherit' });
