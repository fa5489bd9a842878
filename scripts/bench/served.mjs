import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SERVER_COMMAND } from '../server-command.mjs';
import { dragging } from './board.mjs';
import { editing } from './editing.mjs';
import { importing } from './import.mjs';
import { living } from './live.mjs';
import { pages } from './pages.mjs';
import { add, base, median, PORT, root, timed } from './shared.mjs';
import { sheets } from './sheets.mjs';

/** Resident memory of a process, MB (Linux). */
const residentMb = (pid) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024;

async function startServer(env) {
  const start = performance.now();
  const child = spawn('node', SERVER_COMMAND, { cwd: root, env, stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise((done) => child.stdout.on('data', (text) => String(text).includes('ready') && done()));
  return { child, ms: performance.now() - start };
}

const stop = (child) =>
  new Promise((done) => {
    child.on('exit', done);
    child.kill('SIGTERM');
  });

/** The first answer of a day, and the same after a restart. */
async function mornings(env, get) {
  const first = await startServer(env);
  const morning = await timed(() => get('plan/morning'));
  add('the morning for 12 vehicles, cold', {
    measured: `${morning.toFixed(0)} ms`,
    asked: '≤ 2500 ms',
    ok: morning <= 2500,
  });
  await stop(first.child);
  const { child } = await startServer(env);
  const again = await timed(() => get('plan/morning'));
  add('the same after a restart', {
    measured: `${again.toFixed(0)} ms`,
    asked: '≤ 1000 ms',
    ok: again <= 1000,
  });
  await stop(child);
}

/** The week of windows of one car, unknown and known. */
async function ribbons(get) {
  // A new limit leaves the engine warm and every grid unknown.
  const colds = [];
  for (const [i, id] of ['black-saloon', 'white-van', 'grey-suv'].entries()) {
    await fetch(`${base}/settings`, {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ limits: { inHandFraction: 0.34 + i / 100 } }),
    });
    colds.push(await timed(() => get(`verdicts/windows/${id}`)));
  }
  add('ribbon over HTTP: 7 days, every offer of 5 places, 20 members, cold', {
    measured: `${median(colds).toFixed(0)} ms`,
    asked: '≤ 2000 ms',
    ok: median(colds) <= 2000,
  });
  const cached = [];
  for (let run = 0; run < 9; run += 1) cached.push(await timed(() => get('verdicts/windows/grey-suv')));
  add('the same, cached', {
    measured: `${median(cached).toFixed(0)} ms`,
    asked: '≤ 100 ms',
    ok: median(cached) <= 100,
  });
}

export async function served() {
  const folder = mkdtempSync(join(tmpdir(), 'keen-bench-'));
  const env = {
    ...process.env,
    KEEN_DATA: folder,
    KEEN_DEMO: '1',
    KEEN_CLOCK: '2026-01-14T06:40:00-05:00',
    PORT: String(PORT),
  };
  spawnSync('node', [join('apps', 'server', 'dist', 'demo', 'seed-command.js')], { cwd: root, env });
  const starts = [];
  for (let run = 0; run < 3; run += 1) {
    const { child, ms } = await startServer(env);
    starts.push(ms);
    await stop(child);
  }
  add('server start, built, median of 3', {
    measured: `${median(starts).toFixed(0)} ms`,
    asked: '≤ 2000 ms',
    ok: median(starts) <= 2000,
  });

  const get = async (path) => (await fetch(`${base}/${path}`)).json();
  await mornings(env, get);
  const { child } = await startServer(env);
  await get('plan/morning');
  await pages();
  await editing(get);
  await ribbons(get);
  await importing(get);
  await get('verdicts/salt/grey-suv');
  await get('plan');
  const washId = await sheets(get);
  const mb = residentMb(child.pid);
  add('server memory after all that', { measured: `${mb.toFixed(0)} MB`, asked: '< 250 MB', ok: mb < 250 });
  await dragging();
  await living(washId);
  await stop(child);
  rmSync(folder, { recursive: true, force: true });
}
