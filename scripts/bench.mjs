// Prints the figures that the program is held to, beside what it is asked for. Medians of one run: npm run bench.
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import {
  carLife,
  CLEAN,
  COLD_LAKE_PORT,
  compileLife,
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  EVEN_WEEK,
  everyHour,
  filmLife,
  filmTrace,
  likelyTreatments,
  METHODS,
  NightAir,
  placeSites,
  RoadAhead,
  ROAD_CLASSES,
  roadHours,
  runLedger,
  simulateWeather,
  surroundings,
  verdictGrid,
} from '@keen/core';
import { Bench } from 'tinybench';
import { SERVER_COMMAND } from './server-command.mjs';

const root = resolve(import.meta.dirname, '..');
const PORT = 4393;
const base = `http://127.0.0.1:${PORT}/api`;
const rows = [];
const add = (what, measured, asked, ok) => rows.push({ what, measured, asked, ok: ok ? 'yes' : 'NO' });
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

async function timed(work) {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

async function core() {
  const bench = new Bench({ time: 1500, warmupTime: 400 });
  let i = 0;
  bench.add('film', () => {
    i += 1;
    filmLife({
      material: 'steel',
      tiltDeg: i % 90,
      absorptanceFraction: 0.7,
      solarWm2: (i * 37) % 500,
      airTempC: -8 + (i % 14),
      relHumidityFraction: 0.7,
      airSpeedMetresPerSecond: 0.5 + (i % 5),
      skyTempC: -18,
      filmGramsPerM2: 100,
      startTempC: 10,
      horizonMinutes: 60,
    });
  });
  await bench.run();
  // The mean, not the median: films that freeze at once are quick and would flatter the figure.
  const perSecond = 1000 / bench.tasks[0].result.latency.mean;
  add(
    'film: panel simulations of an hour, one core',
    `${Math.round(perSecond)} /s`,
    '≥ 2000 /s',
    perSecond >= 2000,
  );

  const hours = simulateWeather({
    climate: COLD_LAKE_PORT,
    seed: 3,
    fromMs: Date.UTC(2025, 10, 1),
    hourCount: 24 * 150,
  });
  const at = { latitudeDeg: 46.5, longitudeDeg: -84.3 };
  const season = () => {
    const roads = Object.fromEntries(
      ROAD_CLASSES.map((roadClass) => [
        roadClass,
        roadHours(hours, { roadClass, at, treatments: likelyTreatments(hours, roadClass) }),
      ]),
    );
    const around = surroundings(hours, roads, 'America/Toronto');
    const driving = { mainRoadKm: 30, townKm: 10, bridgeKm: 5 };
    const habits = { driving, weekShares: EVEN_WEEK, standsAt: null, drives: [] };
    for (let car = 0; car < 12; car += 1) runLedger(compileLife(carLife(habits, around)), { washes: [] });
  };
  const runs = [];
  for (let run = 0; run < 5; run += 1) runs.push(await timed(season));
  add(
    'ledger: 150 days, hourly, 12 vehicles, roads included',
    `${median(runs).toFixed(0)} ms`,
    '≤ 300 ms',
    median(runs) <= 300,
  );
  await lab();
  await grid();
}

/** One change in the film lab: the whole life of a film with every step kept. */
async function lab() {
  const times = [];
  for (let i = 0; i < 60; i += 1) {
    const input = {
      material: ['steel', 'glass'][i % 2],
      tiltDeg: (i * 17) % 90,
      absorptanceFraction: 0.9,
      solarWm2: (i * 53) % 600,
      airTempC: -12 + (i % 20),
      relHumidityFraction: 0.5 + (i % 5) / 10,
      airSpeedMetresPerSecond: (i % 6) + 0.1,
      skyTempC: -18,
      filmGramsPerM2: 120,
      startTempC: 12,
      horizonMinutes: 720,
      brine: i % 3 === 0 ? { agent: 'NaCl', massPercent: 5 } : undefined,
    };
    times.push(await timed(() => filmTrace(input)));
  }
  const usual = median(times.slice(10));
  const worst = Math.max(...times.slice(10));
  add(
    'film lab: one change, 12 h followed, median and slowest of 50',
    `${usual.toFixed(1)} and ${worst.toFixed(1)} ms`,
    '≤ 30 ms',
    worst <= 30,
  );
}

/** The whole grid of one vehicle on one core, its places made anew each time. */
async function grid() {
  const { DEMO_PLACES, DEMO_VEHICLES } = await import('../apps/server/dist/demo/scenario.js');
  const nowMs = Date.UTC(2026, 0, 14, 11);
  const fromMs = nowMs - 36 * 3_600_000;
  const course = (index) => ({
    fromMs,
    hours: simulateWeather({
      climate: COLD_LAKE_PORT,
      seed: 3,
      fromMs,
      hourCount: 276,
      member: { issuedMs: nowMs, index },
    }),
  });
  const control = course(0);
  const members = Array.from({ length: 20 }, (_, i) => course(i + 1));
  const places = DEMO_PLACES.map((place) => ({
    ...place,
    methods: METHODS.filter(({ placeKinds }) => placeKinds.includes(place.kind)).map(({ id }) => ({
      methodId: id,
      priceMinor: 0,
    })),
  }));
  const roads = roadHours(control.hours, { roadClass: 'main', at: places[0], treatments: [] });
  const night = new NightAir(null, control);
  const measure = async (with20) => {
    const runs = [];
    for (const vehicle of DEMO_VEHICLES.slice(0, 5)) {
      runs.push(
        await timed(() => {
          const forecast = { control, members: with20 ? members : [], roadAhead: new RoadAhead(roads) };
          verdictGrid({
            vehicle,
            limits: DEFAULT_LIMITS,
            house: DEFAULT_HOUSE,
            soil: CLEAN,
            night,
            sites: placeSites(places, forecast),
            startsMs: everyHour(nowMs, 168),
            withMembers: with20,
          });
        }),
      );
    }
    return median(runs);
  };
  const plain = await measure(false);
  add(
    'grid: 7 days × 5 places × 10 methods, cold, one core',
    `${plain.toFixed(0)} ms`,
    '≤ 2000 ms',
    plain <= 2000,
  );
  const asked = await measure(true);
  add('the same, every start asked of 20 members', `${asked.toFixed(0)} ms`, '≤ 2000 ms', asked <= 2000);
}

function initialScript() {
  const folder = join(root, 'apps', 'web', 'dist');
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  const files = [...page.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)].map((match) => match[1]);
  const bytes = files.reduce((sum, file) => sum + gzipSync(readFileSync(join(folder, file))).length, 0);
  add(
    `initial JavaScript, gzip, ${files.length} files`,
    `${(bytes / 1000).toFixed(0)} kB`,
    '≤ 300 kB',
    bytes <= 300_000,
  );
}

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

async function served() {
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
  add(
    'server start, built, median of 3',
    `${median(starts).toFixed(0)} ms`,
    '≤ 2000 ms',
    median(starts) <= 2000,
  );

  const { child } = await startServer(env);
  const get = async (path) => (await fetch(`${base}/${path}`)).json();
  const morning = await timed(() => get('plan/morning'));
  add('the morning for 12 vehicles, cold', `${morning.toFixed(0)} ms`, 'no figure asked', true);
  // A new limit leaves the engine warm and every grid unknown.
  const colds = [];
  for (const [i, id] of ['black-saloon', 'white-van', 'grey-suv'].entries()) {
    await fetch(`${base}/settings`, {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ limits: { inHandShare: 0.34 + i / 100 } }),
    });
    colds.push(await timed(() => get(`verdicts/windows/${id}`)));
  }
  add(
    'ribbon over HTTP: 7 days, every offer of 5 places, 20 members, cold',
    `${median(colds).toFixed(0)} ms`,
    '≤ 2000 ms',
    median(colds) <= 2000,
  );
  const cached = [];
  for (let run = 0; run < 9; run += 1) cached.push(await timed(() => get('verdicts/windows/grey-suv')));
  add('the same, cached', `${median(cached).toFixed(0)} ms`, '≤ 100 ms', median(cached) <= 100);
  await get('verdicts/salt/grey-suv');
  const mb = residentMb(child.pid);
  add('server memory after all that', `${mb.toFixed(0)} MB`, '< 250 MB', mb < 250);
  await stop(child);
  rmSync(folder, { recursive: true, force: true });
}

await core();
initialScript();
await served();
console.table(Object.fromEntries(rows.map(({ what, ...figures }) => [what, figures])));
