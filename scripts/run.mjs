// Sets up and starts the program from a fresh clone: node scripts/run.mjs demo | start | test | bench.
// Uses what comes with Node.js only, since nothing is installed yet when it begins.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { SERVER_COMMAND } from './server-command.mjs';

const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const stamp = join(root, 'node_modules', '.keen-lock-hash');
const DEMO_CLOCK = '2026-01-14T06:40:00-05:00';
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';

const say = (text) => console.log(`\n[keen] ${text}`);

/** Runs a command with the terminal handed over; ends this program when it fails. */
function run(command, args, env = {}) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
    const pass = (signal) => child.kill(signal);
    process.on('SIGINT', pass);
    process.on('SIGTERM', pass);
    child.on('exit', (code, signal) => {
      process.off('SIGINT', pass);
      process.off('SIGTERM', pass);
      if (code === 0) done();
      else process.exit(signal ? 1 : (code ?? 1));
    });
  });
}

const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');

async function install() {
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lockHash()) return;
  say('Installing packages (a minute or so the first time) …');
  await run(npm, ['ci', '--no-audit', '--no-fund']);
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, lockHash());
}

async function build() {
  say('Building …');
  await run(npm, ['run', '--silent', 'build']);
}

/** End-to-end tests drive Debian's Chromium; install it where it is missing and we may. */
async function browser() {
  if (existsSync('/usr/bin/chromium') || process.env.KEEN_CHROMIUM) return;
  say('Installing Chromium for the end-to-end tests …');
  await run('apt-get', ['update', '-qq']);
  await run('apt-get', ['install', '-y', '-qq', 'chromium'], { DEBIAN_FRONTEND: 'noninteractive' });
}

const modes = {
  async demo() {
    await install();
    await build();
    const env = {
      KEEN_DEMO: '1',
      KEEN_CLOCK: process.env.KEEN_CLOCK ?? DEMO_CLOCK,
      KEEN_DATA: process.env.KEEN_DATA ?? join(root, '.data', 'demo'),
    };
    say('Preparing demo data …');
    await run('node', [join('apps', 'server', 'dist', 'demo', 'seed-command.js')], env);
    say('Starting. Stop with Ctrl-C.');
    await run('node', SERVER_COMMAND, env);
  },
  async start() {
    await install();
    await build();
    say('Starting with your own data. Stop with Ctrl-C.');
    await run('node', SERVER_COMMAND);
  },
  async test() {
    await install();
    await build();
    // Neither changes anything, and neither fills a core for long.
    say('npm run lint, npm run types');
    await Promise.all(['lint', 'types'].map((step) => run(npm, ['run', '--silent', step])));
    say('npm run unit');
    await run(npm, ['run', '--silent', 'unit']);
    await browser();
    say('npm run e2e');
    await run(npm, ['run', '--silent', 'e2e']);
  },
  async bench() {
    await install();
    await build();
    await run('node', [join('scripts', 'bench.mjs')]);
  },
};

const mode = modes[process.argv[2]];
if (!mode) {
  console.error(`Use: node scripts/run.mjs ${Object.keys(modes).join(' | ')}`);
  process.exit(2);
}
await mode();
