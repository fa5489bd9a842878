// Sets up and starts the program from a fresh clone: node scripts/run.mjs demo | dev | start | test | bench.
// Uses what comes with Node.js only, since nothing is installed yet when it begins.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium, HEADLESS } from './chromium.mjs';
import { SERVER_COMMAND } from './server-command.mjs';

const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const stamp = join(root, 'node_modules', '.keen-lock-hash');
const DEMO_CLOCK = '2026-01-14T06:40:00-05:00';
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';

const say = (text) => console.log(`\n[keen] ${text}`);

const stages = [];
/** Does one stage and keeps how long it took. */
async function stage(name, work) {
  const from = performance.now();
  say(name);
  await work();
  stages.push({ name, minutes: (performance.now() - from) / 60_000 });
}

/** Minutes of each stage and in all. */
function sayMinutes() {
  const row = (name, minutes) => `  ${minutes.toFixed(1).padStart(5)} min  ${name}`;
  const all = stages.reduce((sum, { minutes }) => sum + minutes, 0);
  say(
    ['Time taken:', ...stages.map(({ name, minutes }) => row(name, minutes)), row('in all', all)].join('\n'),
  );
}

/** Runs a command with the terminal handed over: the code with which it ended. Where it was stopped, so is this program. */
function ended(command, args, env = {}) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
    let isStopped = false;
    const pass = (signal) => {
      isStopped = true;
      child.kill(signal);
    };
    process.on('SIGINT', pass);
    process.on('SIGTERM', pass);
    child.on('exit', (code, signal) => {
      process.off('SIGINT', pass);
      process.off('SIGTERM', pass);
      if (signal || (isStopped && code !== 0)) process.exit(code ?? 1);
      done(code);
    });
  });
}

/** Runs a command like that; ends this program when it fails. */
async function run(command, args, env = {}) {
  const code = await ended(command, args, env);
  if (code !== 0) process.exit(code);
}

const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');

async function install() {
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lockHash()) return;
  say('Installing packages (a minute or so the first time) …');
  // What is kept of the registry serves without asking whether it is new; where that is too old, all is asked for.
  if ((await ended(npm, ['ci', '--prefer-offline'])) !== 0) await run(npm, ['ci']);
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, lockHash());
}

async function build() {
  say('Building …');
  await run(npm, ['run', '--silent', 'build']);
}

/** Whether a command came to a good end; it says nothing and ends nothing. */
const goesWell = (command, args) =>
  new Promise((done) => {
    const child = spawn(command, args, {
      stdio: 'ignore',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    child.on('error', () => done(false));
    child.on('exit', (code) => done(code === 0));
  });

/** End-to-end tests drive Debian's Chromium, best the one without a screen, which takes a third less time; install it where we may. */
async function browser() {
  if (process.env.KEEN_CHROMIUM || chromium()?.endsWith(HEADLESS)) return;
  const install = (name) => goesWell('apt-get', ['install', '-y', '-qq', name]);
  say('Installing Chromium for the end-to-end tests …');
  if (await install(HEADLESS)) return;
  await goesWell('apt-get', ['update', '-qq']);
  if ((await install(HEADLESS)) || chromium() !== null) return;
  await run('apt-get', ['install', '-y', '-qq', 'chromium'], { DEBIAN_FRONTEND: 'noninteractive' });
}

/** The demo's data in a folder: made once, and left as it is where it has been made. */
async function demoData(folder) {
  const env = {
    KEEN_DEMO: '1',
    KEEN_CLOCK: process.env.KEEN_CLOCK ?? DEMO_CLOCK,
    KEEN_DATA: process.env.KEEN_DATA ?? join(root, '.data', folder),
  };
  say('Preparing demo data …');
  await run('node', [join('apps', 'server', 'dist', 'demo', 'seed-command.js')], env);
  return env;
}

const modes = {
  async demo() {
    await install();
    await build();
    const env = await demoData('demo');
    say('Starting. Stop with Ctrl-C.');
    await run('node', SERVER_COMMAND, env);
  },
  async dev() {
    await install();
    await build();
    const env = await demoData('dev');
    say('Starting: open the address that Vite prints. What you edit is rebuilt. Stop with Ctrl-C.');
    await run(npm, ['run', '--silent', 'watch'], env);
  },
  async start() {
    await install();
    await build();
    say('Starting with your own data. Stop with Ctrl-C.');
    await run('node', SERVER_COMMAND);
  },
  async test() {
    const script = (name) => run(npm, ['run', '--silent', name]);
    await stage('install', install);
    // Lint and types read the sources as they stand, whatever has been built of them.
    await stage('build, lint and types', () => Promise.all([build(), script('lint')]));
    await stage('unit', () => script('unit'));
    await stage('browser', browser);
    await stage('e2e', () => script('e2e'));
    sayMinutes();
  },
  async bench() {
    await install();
    await build();
    await run('node', [join('scripts', 'bench', 'run.mjs'), ...process.argv.slice(3)]);
  },
};

const mode = modes[process.argv[2]];
if (!mode) {
  console.error(`Use: node scripts/run.mjs ${Object.keys(modes).join(' | ')}`);
  process.exit(2);
}
await mode();
