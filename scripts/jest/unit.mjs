// Runs the unit tests: first those that Node.js runs by itself, then those of components. With arguments it is Jest itself.
import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';

const PROJECTS = [['core', 'server', 'web', 'structure'], ['components']];
/** Each test has its limit; what is stuck beside all of them is ended, too. */
const LIMIT_MS = 1_200_000;
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
  spawnSync(process.execPath, [...jest, ...args], { cwd: root, stdio: 'inherit', timeout: LIMIT_MS })
    .status ?? 1;

const asked = process.argv.slice(2);
const failed =
  asked.length > 0
    ? run(asked)
    : PROJECTS.map((names) => run(['--selectProjects', ...names])).find((status) => status !== 0);
process.exit(failed ?? 0);
