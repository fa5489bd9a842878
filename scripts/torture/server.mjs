import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { once } from 'node:events';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import { SERVER_COMMAND } from '../server-command.mjs';

const root = resolve(import.meta.dirname, '..', '..');
const HOUR = 3_600_000;
export const CLOCK = '2026-01-14T06:40:00-05:00';

const freePort = () =>
  new Promise((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => done(port));
    });
  });

/** One server on a folder of its own, that can be killed and started again on what it left. */
export class Server {
  folder = mkdtempSync(join(tmpdir(), 'keen-torture-'));
  child = null;

  /** @param settings further environment, as the program reads it */
  constructor(settings = {}) {
    this.settings = settings;
  }

  get base() {
    return `http://127.0.0.1:${this.port}/api`;
  }

  async start() {
    this.port = await freePort();
    const env = {
      ...process.env,
      PORT: String(this.port),
      KEEN_DATA: this.folder,
      KEEN_DEMO: '1',
      KEEN_CLOCK: CLOCK,
      KEEN_LOG: 'error',
      ...this.settings,
    };
    this.errors = '';
    this.child = spawn('node', SERVER_COMMAND, { cwd: root, env, stdio: ['ignore', 'ignore', 'pipe'] });
    this.child.stderr.on('data', (text) => (this.errors += text));
    this.gone = new Promise((done) => this.child.on('exit', done));
    const from = performance.now();
    while (performance.now() - from < 30_000) {
      if (this.child.exitCode !== null) throw new Error(`the server did not start: ${this.errors}`);
      if ((await this.ask('GET', '/health').catch(() => null))?.status === 200) return;
      await new Promise((done) => setTimeout(done, 20));
    }
    throw new Error('the server did not answer in 30 s');
  }

  /** As a power cut does: nothing is finished, nothing is said, by the server and by what it started. */
  async kill() {
    const { pid } = this.child;
    const started = readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8')
      .trim()
      .split(' ')
      .filter(Boolean);
    for (const one of [pid, ...started.map(Number)]) process.kill(one, 'SIGKILL');
    await this.gone;
  }

  async end() {
    this.child.kill('SIGTERM');
    await this.gone;
    rmSync(this.folder, { recursive: true, force: true });
  }

  /** @returns status and what was answered; throws where the server is gone, or did not answer in time */
  async ask(method, path, body, { timeoutMs = 20_000, raw, type = 'application/json' } = {}) {
    const response = await fetch(`${this.base}${path}`, {
      method,
      signal: AbortSignal.timeout(timeoutMs),
      ...(body === undefined && raw === undefined
        ? {}
        : { headers: { 'content-type': type }, body: raw ?? JSON.stringify(body) }),
    });
    const text = await response.text();
    let answer = text;
    try {
      answer = JSON.parse(text);
    } catch {
      // Not everything is JSON.
    }
    return { status: response.status, answer };
  }

  async make(path, body) {
    const { status, answer } = await this.ask('POST', path, body);
    if (status !== 201) throw new Error(`${path} answered ${status}: ${JSON.stringify(answer)}`);
    return answer;
  }

  /** How long the server takes at worst to say that it is there, while something else is done. Asked from a thread of its own. */
  async worstHealthMs(work) {
    const asker = new Worker(new URL('./health.mjs', import.meta.url), { workerData: `${this.base}/health` });
    await once(asker, 'message');
    try {
      await work();
    } finally {
      asker.postMessage('over');
    }
    const [worst] = await once(asker, 'message');
    return worst;
  }

  memoryMb() {
    const kb = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${this.child.pid}/status`, 'utf8'))?.[1];
    return Number(kb) / 1000;
  }
}

/** A server with a shop of one car and one place, with something to count. */
export async function startShop() {
  const server = new Server();
  await server.start();
  const place = await server.make('/places', {
    name: 'Heated unit',
    kind: 'heated-unit',
    latitudeDeg: 46.5,
    longitudeDeg: -84.3,
    timeZone: 'America/Toronto',
    climate: { kind: 'heated', setpointC: 14 },
    shelter: { kind: 'indoors' },
    carHeadingDeg: 0,
    hasDrain: false,
    hasLight: true,
    tap: 'none',
    openHours: Array.from({ length: 7 }, () => ({ openMinute: 0, closeMinute: 1440 })),
    washWater: { name: 'Tap', hardnessMgPerLitre: 118, tdsMgPerLitre: 190, tempC: 12, origin: 'measured' },
    methods: [{ methodId: 'garage-rinseless', priceMinor: 1400 }],
    travelMinutes: 10,
  });
  const car = await server.make('/vehicles', {
    name: 'Black saloon',
    bodyClass: 'saloon',
    paintTone: 'black',
    bodyMaterial: 'steel',
    protection: 'coating',
    waterBehaviour: 'beading',
    driving: { mainRoadKm: 30, townKm: 10, bridgeKm: 0 },
    cadenceDays: 7,
  });
  return { server, place, car };
}

/** A wash of the shop that is still to come, on a day that no other has. */
export async function plannedWash(shop) {
  const { server, place, car } = shop;
  shop.daysPlanned = (shop.daysPlanned ?? 0) + 1;
  return server.make('/washes', {
    vehicleId: car.id,
    placeId: place.id,
    methodId: 'garage-rinseless',
    startMs: Math.floor(Date.parse(CLOCK) / HOUR + 24 * shop.daysPlanned + 6) * HOUR,
  });
}

/** A stream of numbers 0–1 that is the same every time (mulberry32). */
export function chance(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}
