// Serves the built program in a temporary folder, with fresh demo data or (KEEN_EMPTY=1) with none; for the end-to-end tests and the screenshots.
import { spawn, spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { SERVER_COMMAND } from '../scripts/server-command.mjs';

const root = resolve(import.meta.dirname, '..');
const port = Number(process.env.PORT);
const POLL_MS = 100;
const file = (...parts) => join(root, 'apps', 'server', 'dist', ...parts);

const envOf = (folder, at = port) => ({
  ...process.env,
  KEEN_DATA: folder,
  KEEN_DEMO: '1',
  KEEN_CLOCK: '2026-01-14T06:40:00-05:00',
  PORT: String(at),
});
const start = (env) => spawn('node', SERVER_COMMAND, { cwd: root, env, stdio: 'inherit' });

async function answered(url) {
  for (;;) {
    const answer = await fetch(url).catch(() => null);
    if (answer?.ok) return;
    await pause(POLL_MS);
  }
}

/** Demo data with its first morning worked out: the longest sum that there is, made once for all servers of a run. */
async function makeDemo(folder) {
  const env = envOf(folder, port + 100);
  const { status } = spawnSync('node', [file('demo', 'seed-command.js')], { env, stdio: 'inherit' });
  if (status !== 0) process.exit(status ?? 1);
  const server = start(env);
  const ended = new Promise((done) => server.on('exit', done));
  await answered(`http://127.0.0.1:${env.PORT}/api/plan/morning`);
  server.kill('SIGTERM');
  await ended;
}

/** The first who comes makes it, the others wait for it. */
async function demoData(shared, into) {
  const [made, ready] = [join(shared, 'data'), join(shared, 'ready')];
  mkdirSync(shared, { recursive: true });
  try {
    mkdirSync(made);
    process.on('exit', () => rmSync(shared, { recursive: true, force: true }));
    await makeDemo(made);
    writeFileSync(ready, '');
  } catch (error) {
    if (error.code !== 'EEXIST') throw error;
    while (!existsSync(ready)) await pause(POLL_MS);
  }
  cpSync(made, into, { recursive: true });
}

const folder = mkdtempSync(join(tmpdir(), 'keen-e2e-'));
if (process.env.KEEN_EMPTY !== '1')
  await demoData(process.env.KEEN_SHARED_DEMO ?? join(folder, 'demo'), folder);
const server = start(envOf(folder));
const stop = () => server.kill('SIGTERM');
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
server.on('exit', (code) => {
  rmSync(folder, { recursive: true, force: true });
  process.exit(code ?? 0);
});
