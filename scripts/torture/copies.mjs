import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { chance, Server } from './server.mjs';

const COMMAND = resolve(
  import.meta.dirname,
  '..',
  '..',
  'apps',
  'server',
  'dist',
  'backup',
  'backup-command.js',
);
/** What was written so shortly before the end may be missing, s. */
const LAST_S = 1;
/** A copy takes a moment to begin. */
const BEGUN_MS = 4000;

/** Server and live copy are killed at one moment, the database is destroyed, and another machine takes over from the copy. */
export async function copies(count) {
  const next = chance(31);
  let lost = 0;
  let acknowledged = 0;
  let oldestS = 0;
  for (let round = 0; round < count; round += 1) {
    const live = mkdtempSync(join(tmpdir(), 'keen-live-'));
    const server = new Server({ KEEN_LIVE_COPY: live });
    await server.start();
    const made = [];
    let isUp = true;
    const writing = (async () => {
      while (isUp) {
        const { status, answer } = await server
          .ask('POST', '/customers', { name: `Customer ${made.length}` })
          .catch(() => ({ status: 0 }));
        if (status === 201) made.push({ id: answer.id, atMs: performance.now() });
        await new Promise((done) => setTimeout(done, 20));
      }
    })();
    await new Promise((done) => setTimeout(done, BEGUN_MS + 3000 * next()));
    const endMs = performance.now();
    await server.kill();
    isUp = false;
    await writing;
    rmSync(server.folder, { recursive: true, force: true });
    const other = new Server();
    const env = { ...process.env, KEEN_DATA: other.folder };
    const { status, stderr } = spawnSync(process.execPath, [COMMAND, 'takeover', live], {
      encoding: 'utf8',
      env,
    });
    if (status !== 0) throw new Error(`nobody could take over: ${stderr}`);
    await other.start();
    const { answer } = await other.ask('GET', '/customers');
    const there = new Set(answer.map(({ id }) => id));
    const missing = made.filter(({ id }) => !there.has(id)).map(({ atMs }) => (endMs - atMs) / 1000);
    acknowledged += made.length;
    oldestS = Math.max(oldestS, ...missing);
    lost += missing.filter((age) => age > LAST_S).length;
    await other.end();
    rmSync(live, { recursive: true, force: true });
  }
  return [
    {
      what: 'writes older than the last second that a live copy lost',
      measured: `${lost} of ${acknowledged} in ${count} ends; the oldest was ${oldestS.toFixed(2)} s old`,
      asked: '0',
      ok: lost === 0,
      isTimed: true,
    },
  ];
}
