// Runs the unit tests: one project after the other where nothing is asked for, since modules of a test file are never wholly given back
// and a process that has run few of them is a fifth quicker than one that has run all. With arguments it is Jest itself.
import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';

const PROJECTS = [['core'], ['server'], ['components'], ['web', 'structure']];
const root = resolve(import.meta.dirname, '..', '..');
const jest = [
  // Functions are optimised later than by default: most of what a test calls is not called for long.
  '--interrupt-budget=500000',
  '--experimental-vm-modules',
  '--disable-warning=ExperimentalWarning',
  resolve(root, 'node_modules', 'jest', 'bin', 'jest.js'),
  '--maxWorkers=2',
];

const run = (args) =>
  spawnSync(process.execPath, [...jest, ...args], { cwd: root, stdio: 'inherit' }).status ?? 1;

const asked = process.argv.slice(2);
const failed =
  asked.length > 0
    ? run(asked)
    : PROJECTS.map((names) => run(['--selectProjects', ...names])).find((status) => status !== 0);
process.exit(failed ?? 0);
