// Serves the built program in a temporary folder, with fresh demo data or (KEEN_EMPTY=1) with none; for the end-to-end tests and the screenshots.
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { SERVER_COMMAND } from '../scripts/server-command.mjs';

const root = resolve(import.meta.dirname, '..');
const folder = mkdtempSync(join(tmpdir(), 'keen-e2e-'));
const env = { ...process.env, KEEN_DATA: folder, KEEN_DEMO: '1', KEEN_CLOCK: '2026-01-14T06:40:00-05:00' };
const file = (...parts) => join(root, 'apps', 'server', 'dist', ...parts);

const isEmpty = process.env.KEEN_EMPTY === '1';
const seeded = isEmpty
  ? { status: 0 }
  : spawnSync('node', [file('demo', 'seed-command.js')], { env, stdio: 'inherit' });
if (seeded.status !== 0) process.exit(seeded.status ?? 1);
const server = spawn('node', SERVER_COMMAND, { cwd: root, env, stdio: 'inherit' });
const stop = () => server.kill('SIGTERM');
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
server.on('exit', (code) => {
  rmSync(folder, { recursive: true, force: true });
  process.exit(code ?? 0);
});
