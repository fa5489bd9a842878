import 'fake-indexeddb/auto';
import { describe, expect, it } from '@jest/globals';
import {
  mergeActions,
  type RunAction,
  type RunDeed,
  type RunPack,
  standingActions,
  type WashRecord,
  type RunAnswer,
  type RunNews,
} from '@keen/core';
import { ApiError } from '../../api/client.js';
import { openRunDb, type RunDb } from './run-db.js';
import { RunLog } from './run-log.js';
import { type RunServer } from './run-view.js';

const WASH = { id: 'w' } as WashRecord;
const PACK = { id: 'pack', washId: 'w' } as RunPack;

/** A server that keeps each action once, behind a network that can be cut before or after it has heard. */
class FakeServer implements RunServer {
  readonly arrived: RunAction[] = [];
  readonly photos = new Map<string, Blob>();
  reads = 0;
  refuse: ((action: RunAction) => boolean) | null = null;
  isSignedOut = false;
  /** What becomes of the next exchange. */
  network: () => 'up' | 'lost-before' | 'lost-after' = () => 'up';
  aheadMs = 0;

  private async through<T>(work: () => T): Promise<T> {
    const fate = this.network();
    await Promise.resolve();
    if (fate === 'lost-before') throw new TypeError('no signal');
    if (this.isSignedOut)
      throw new ApiError(401, [{ code: 'not-signed-in', field: '', message: 'Sign in first.' }]);
    const answer = work();
    if (fate === 'lost-after') throw new TypeError('no signal');
    return answer;
  }

  private newsAfter(after: number): RunNews {
    const nowMs = Date.now() + this.aheadMs;
    return { actions: this.arrived.slice(after), seq: this.arrived.length, nowMs };
  }

  read(): Promise<RunAnswer> {
    return this.through(() => {
      this.reads += 1;
      const { actions, seq, nowMs } = this.newsAfter(0);
      const names = { vehicleName: 'Orange hatch', placeName: 'Bay' };
      return { wash: WASH, pack: PACK, ...names, actions: mergeActions(actions), seq, nowMs };
    });
  }

  news(_washId: string, after: number): Promise<RunNews> {
    return this.through(() => this.newsAfter(after));
  }

  send(_washId: string, body: { actions: readonly RunAction[]; after: number }): Promise<RunNews> {
    return this.through(() => {
      if (this.refuse && body.actions.some(this.refuse))
        throw new ApiError(400, [{ code: 'bad-field', field: 'actions', message: 'That is no deed.' }]);
      const known = new Set(this.arrived.map(({ id }) => id));
      this.arrived.push(...body.actions.filter(({ id }) => !known.has(id)));
      return this.newsAfter(body.after);
    });
  }

  sendPhoto(_washId: string, photoId: string, photo: Blob): Promise<void> {
    return this.through(() => {
      if (photo.size > 10)
        throw new ApiError(413, [{ code: 'too-large', field: 'photo', message: 'Too large.' }]);
      this.photos.set(photoId, photo);
    });
  }
}

const note = (text: string): RunDeed => ({ kind: 'note', text });
const textsOf = (actions: readonly RunAction[]): string[] =>
  actions.flatMap(({ deed }) => (deed.kind === 'note' ? [deed.text] : []));

let dbs = 0;
const freshDb = (): Promise<RunDb> => openRunDb(`test-${(dbs += 1)}`);

async function opened(server: RunServer, db?: RunDb): Promise<RunLog> {
  const log = new RunLog(db ?? (await freshDb()), server, 'w');
  await log.open();
  return log;
}

/** Numbers that look random and are the same in each run. */
function* numbers(seed: number): Generator<number, never> {
  let state = seed;
  for (;;) {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    yield state / 4_294_967_296;
  }
}

describe('a run on a phone', () => {
  it('is sent at once where there is a signal', async () => {
    const server = new FakeServer();
    const log = await opened(server);
    await log.add(note('a chip'), note('a dent'));
    expect(log.snapshot().actions).toHaveLength(2);
    await log.sync();
    expect(textsOf(server.arrived)).toEqual(['a chip', 'a dent']);
    expect(log.snapshot()).toMatchObject({ keptCount: 0, hasSignal: true, refused: null });
    expect(new Set(server.arrived.map(({ tap }) => tap)).size).toBe(1);
  });

  it('goes on with no signal and through a reload, and is sent in order afterwards', async () => {
    const server = new FakeServer();
    const db = await freshDb();
    const before = await opened(server, db);
    server.network = () => 'lost-before';
    await before.add(note('one'));
    await before.add(note('two'));
    const after = await opened(server, db);
    expect(after.snapshot().run?.pack).toEqual(PACK);
    await after.add(note('three'));
    await after.sync();
    expect(after.snapshot()).toMatchObject({ keptCount: 3, hasSignal: false, error: null });
    expect(server.arrived).toEqual([]);
    server.network = () => 'up';
    await after.sync();
    expect(textsOf(server.arrived)).toEqual(['one', 'two', 'three']);
    expect(after.snapshot()).toMatchObject({ keptCount: 0, hasSignal: true });
  });

  it('that is signed out keeps what was done, says so, and sends it once somebody is signed in', async () => {
    const server = new FakeServer();
    const log = await opened(server);
    server.isSignedOut = true;
    await log.add(note('one'), note('two'));
    await log.sync();
    expect(log.snapshot()).toMatchObject({ keptCount: 2, hasSignal: true, isSignedOut: true, refused: null });
    expect(server.arrived).toEqual([]);
    server.isSignedOut = false;
    await log.sync();
    expect(textsOf(server.arrived)).toEqual(['one', 'two']);
    expect(log.snapshot()).toMatchObject({ keptCount: 0, isSignedOut: false });
  });

  it('that an earlier version left here opens under today’s names', async () => {
    const db = await freshDb();
    const wash = { ...WASH, handsId: 'helper' };
    const pack = { ...PACK, limits: { inHandShare: 0.5 } } as unknown as RunPack;
    const names = { vehicleName: 'Orange hatch', placeName: 'Bay' };
    await db.put('runs', { washId: 'w', wash, pack, ...names, seq: 0, offsetMs: 0 });
    const server = new FakeServer();
    server.network = () => 'lost-before';
    const { run } = (await opened(server, db)).snapshot();
    expect(run?.pack.limits).toEqual({ inHandFraction: 0.5 });
    expect(run?.wash.workerId).toBe('helper');
  });

  it('that was never opened with a signal says so, and opens when there is one', async () => {
    const server = new FakeServer();
    server.network = () => 'lost-before';
    const log = await opened(server);
    expect(log.snapshot()).toMatchObject({ run: null, error: expect.any(TypeError) });
    server.network = () => 'up';
    await log.sync();
    expect(log.snapshot()).toMatchObject({ run: { vehicleName: 'Orange hatch' }, error: null });
  });

  it('shows what another phone did, and takes over what that one began with', async () => {
    const server = new FakeServer();
    const [mine, other] = [await opened(server), await opened(server)];
    await other.add({ kind: 'start', packId: 'pack' }, note('from the other side'));
    await other.sync();
    await mine.sync();
    expect(textsOf(mine.snapshot().actions)).toEqual(['from the other side']);
    const { reads } = server;
    await mine.sync();
    expect(server.reads).toBe(reads);
  });

  it('keeps what the server refuses, says why, and sends the rest', async () => {
    const server = new FakeServer();
    const log = await opened(server);
    server.refuse = ({ deed }) => deed.kind === 'note' && deed.text === 'bad';
    server.network = () => 'lost-before';
    await log.add(note('good'));
    await log.add(note('bad'));
    await log.add(note('better'));
    await log.sync();
    server.network = () => 'up';
    await log.sync();
    expect(textsOf(server.arrived)).toEqual(['good', 'better']);
    expect(log.snapshot()).toMatchObject({ keptCount: 0, refused: 'That is no deed.' });
    expect(textsOf(log.snapshot().actions)).toEqual(['good', 'bad', 'better']);
    server.refuse = null;
    await log.retryRefused();
    expect(textsOf(server.arrived)).toContain('bad');
    expect(log.snapshot().refused).toBeNull();
  });

  it('goes by the clock of the server, and does not follow it for less than a slow answer explains', async () => {
    const server = new FakeServer();
    server.aheadMs = 3_600_000;
    const log = await opened(server);
    expect(Math.abs(log.now() - Date.now() - 3_600_000)).toBeLessThan(400);
    const offset = log.snapshot().run?.offsetMs;
    server.aheadMs += 200;
    await log.sync();
    expect(log.snapshot().run?.offsetMs).toBe(offset);
    server.aheadMs += 60_000;
    await log.sync();
    expect(Math.abs(log.now() - Date.now() - server.aheadMs)).toBeLessThan(400);
  });

  it('takes back as many taps as are asked for, however fast', async () => {
    const log = await opened(new FakeServer());
    await log.add({ kind: 'start', packId: 'pack' });
    await Promise.all([log.add(note('one')), log.add(note('two')), log.undo(), log.undo(), log.undo()]);
    const standing = standingActions(log.snapshot().actions);
    expect(standing.map(({ deed }) => deed.kind)).toEqual(['start']);
    expect(log.snapshot().actions).toHaveLength(5);
  });

  it('lets go of a photograph that is refused, with the tap that names it, and of nothing else', async () => {
    const server = new FakeServer();
    const db = await freshDb();
    const log = await opened(server, db);
    await log.add({ kind: 'start', packId: 'pack' });
    await log.addPhoto({ bytes: new ArrayBuffer(99), mediaType: 'image/jpeg' }, 'whose no');
    await log.addPhoto({ bytes: new ArrayBuffer(4), mediaType: 'image/jpeg' }, 'sill');
    await log.sync();
    expect(log.snapshot()).toMatchObject({ refused: 'Too large.', refusedPhotoCount: 1 });
    await log.dropRefusedPhotos();
    await log.sync();
    expect(log.snapshot()).toMatchObject({ refused: null, refusedPhotoCount: 0, keptCount: 0 });
    const captionsOf = (actions: readonly RunAction[]): string[] =>
      standingActions(actions).flatMap(({ deed }) => (deed.kind === 'photo' ? [deed.caption] : []));
    expect(captionsOf(log.snapshot().actions)).toEqual(['sill']);
    expect(captionsOf(server.arrived)).toEqual(['sill']);
    const again = await opened(server, db);
    expect(again.snapshot().refusedPhotoCount).toBe(0);
    expect(server.photos.size).toBe(1);
    await again.dropRefusedPhotos();
    expect(again.snapshot().actions).toHaveLength(4);
  });

  it('keeps photographs until they are sent, and says which are not taken', async () => {
    const server = new FakeServer();
    const db = await freshDb();
    const log = await opened(server, db);
    server.network = () => 'lost-before';
    await log.addPhoto({ bytes: new ArrayBuffer(4), mediaType: 'image/jpeg' }, 'sill');
    expect(log.snapshot().keptCount).toBe(2);
    const later = await opened(server, db);
    server.network = () => 'up';
    await later.sync();
    expect(server.photos.size).toBe(1);
    expect(server.arrived[0]?.deed).toMatchObject({ photoId: [...server.photos.keys()][0], caption: 'sill' });
    await later.addPhoto({ bytes: new ArrayBuffer(40), mediaType: 'image/jpeg' }, 'too large');
    await later.sync();
    await later.sync();
    expect(later.snapshot()).toMatchObject({ keptCount: 0, refused: 'Too large.' });
  });
});

it('loses and doubles nothing while the network is cut and the page killed a hundred times', async () => {
  const random = numbers(20_260_114);
  const next = (): number => random.next().value;
  const server = new FakeServer();
  const db = await freshDb();
  const fates = ['up', 'lost-before', 'lost-after'] as const;
  server.network = () => fates[Math.floor(next() * 3)] ?? 'up';
  const written: string[] = [];
  let kills = 0;
  while (kills < 100) {
    // The page comes up; whether the server answers is a matter of luck.
    const log = new RunLog(db, server, 'w');
    const opening = log.open();
    if (next() < 0.7) await opening;
    const count = Math.floor(next() * 4);
    for (let i = 0; i < count; i += 1) {
      const text = `deed ${written.length}`;
      await log.add(note(text));
      // Only what is on the phone has been shown as done.
      written.push(text);
      if (next() < 0.3) await log.sync();
    }
    // Killed: nobody waits for what is under way.
    kills += 1;
  }
  server.network = () => 'up';
  const last = await opened(server, db);
  await last.sync();
  await last.sync();
  expect(written.length).toBeGreaterThan(100);
  expect(textsOf(mergeActions(server.arrived)).toSorted()).toEqual(written.toSorted());
  expect(server.arrived).toHaveLength(written.length);
  const inOrder = server.arrived.map(({ atMs }) => atMs);
  expect(last.snapshot()).toMatchObject({ keptCount: 0, refused: null });
  expect(textsOf(last.snapshot().actions).toSorted()).toEqual(written.toSorted());
  expect(inOrder).toEqual(inOrder.toSorted((a, b) => a - b));
});
