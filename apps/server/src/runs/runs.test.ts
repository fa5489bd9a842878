import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import {
  type PlaceRecord,
  type RunAction,
  type RunDeed,
  type VehicleRecord,
  type WashRecord,
  MS_PER_DAY,
  MS_PER_MINUTE,
  type ConditionAnswer,
  type ErrorBody,
  type RunAnswer,
  type RunNews,
} from '@keen/core';
import request from 'supertest';
import { actingFor } from '../db/acting.js';
import { RunsRepository } from '../records/runs.repository.js';
import { doneWash, PLACE, startTestApp, type TestApp, VEHICLE } from '../testing/test-app.js';

const NOW = Date.parse('2026-01-14T06:40:00-05:00');
const METHOD = 'garage-rinseless';
const FOUND = { icePanels: [], spots: 'none', leftovers: '', note: '' } as const;
const USED = { paidMinor: null, foldedTowels: null, dryingTowels: null } as const;

let test: TestApp;
let car: VehicleRecord;
let unit: PlaceRecord;
let wash: WashRecord;
let written = 0;

const api = () => request(test.app.getHttpServer());
const sent = async <T>(path: string, body: object): Promise<T> =>
  (await api().post(`/api/${path}`).send(body).expect(201)).body as T;
const open = async (): Promise<RunAnswer> =>
  (await api().get(`/api/runs/${wash.id}`).expect(200)).body as RunAnswer;
const kept = async (): Promise<WashRecord> =>
  (await api().get(`/api/washes/${wash.id}`).expect(200)).body as WashRecord;
const faultOf = (body: unknown) => (body as ErrorBody).error;

function action(deed: RunDeed, change: Partial<RunAction> = {}): RunAction {
  written += 1;
  const id = `action-${written}`;
  return { id, tap: id, deviceId: 'phone', count: written, atMs: NOW - 90 * MS_PER_MINUTE, deed, ...change };
}

const send = async (actions: readonly RunAction[], after = 0): Promise<RunNews> =>
  (await api().post(`/api/runs/${wash.id}/actions`).send({ actions, after }).expect(200)).body as RunNews;

beforeAll(async () => {
  test = await startTestApp();
  unit = await sent<PlaceRecord>('places', PLACE);
  car = await sent<VehicleRecord>('vehicles', VEHICLE);
  await sent('washes/done', doneWash(car.id, unit.id, NOW - 4 * MS_PER_DAY));
}, 60_000);

beforeEach(async () => {
  const startMs = NOW + 5 * 60 * MS_PER_MINUTE + 20 * MS_PER_MINUTE;
  wash = await sent<WashRecord>('washes', { vehicleId: car.id, placeId: unit.id, methodId: METHOD, startMs });
});

afterEach(() => api().delete(`/api/washes/${wash.id}`));

afterAll(() => test.close());

describe('what a run is made of', () => {
  it('has steps, preparation, the night and the hours to come, for the weather of its hour', async () => {
    const { pack, actions, seq, nowMs } = await open();
    expect(pack).toMatchObject({ washId: wash.id, startMs: wash.startMs, source: 'simulated station' });
    expect(pack.sheet.steps.length).toBeGreaterThan(3);
    expect(pack.sheet.edges).toHaveLength(8);
    expect(pack.sheet.preparation.pack).toContain('floor-squeegee');
    expect(pack.overnightC).toBeLessThan(0);
    expect(pack.sheet.freezeCare.length).toBeGreaterThan(0);
    expect(pack.hours.filter((hour) => hour !== null)).toHaveLength(8);
    expect(pack.soilBefore.lower).toBeGreaterThan(0);
    expect({ actions, seq }).toEqual({ actions: [], seq: 0 });
    expect(Math.abs(nowMs - NOW)).toBeLessThan(10 * MS_PER_MINUTE);
  });

  it('is the same while nothing changes, and stays what it was begun with when the shop changes', async () => {
    const { pack } = await open();
    expect((await open()).pack.id).toBe(pack.id);
    await send([action({ kind: 'start', packId: pack.id })]);
    const choices = { drying: 'towel' };
    await api().patch('/api/settings').send({ house: { choices } }).expect(200);
    expect((await open()).pack).toEqual(pack);
    await api()
      .patch('/api/settings')
      .send({ house: { choices: { drying: 'blow-and-towel' } } });
  });

  it('is not there for a wash that is not, or beyond the forecast', async () => {
    await api().get('/api/runs/none').expect(404);
    await api()
      .patch(`/api/washes/${wash.id}`)
      .send({ startMs: NOW + 30 * MS_PER_DAY })
      .expect(200);
    const answer = await api().get(`/api/runs/${wash.id}`).expect(400);
    expect(faultOf(answer.body).message).toContain('Nobody knows the weather of that hour');
  });
});

describe('what phones send', () => {
  it('counts once, in the order in which it was done, and reaches the other phone', async () => {
    const { pack } = await open();
    const start = action({ kind: 'start', packId: pack.id });
    const begin = action({ kind: 'begin', step: 'pre-soak-0' }, { atMs: start.atMs + MS_PER_MINUTE });
    const early = action({ kind: 'note', text: 'a chip' }, { atMs: start.atMs + 1000, deviceId: 'other' });
    const first = await send([start, begin]);
    await send([start, begin]);
    const news = await send([early, begin], first.seq);
    expect(news.actions).toEqual([early]);
    expect((await open()).actions.map(({ id }) => id)).toEqual([start.id, early.id, begin.id]);
    const none = await api().get(`/api/runs/${wash.id}/actions?after=${news.seq}`).expect(200);
    expect(none.body).toMatchObject({ actions: [], seq: news.seq });
    expect((await kept()).startedMs).toBe(start.atMs);
  });

  it('is refused by name where it is broken, and nothing of it is kept', async () => {
    const { pack } = await open();
    const bad = { ...action({ kind: 'pause' }), atMs: 'now' };
    const answer = await api()
      .post(`/api/runs/${wash.id}/actions`)
      .send({ actions: [action({ kind: 'start', packId: pack.id }), bad], after: 0 })
      .expect(400);
    expect(faultOf(answer.body).field).toBe('actions.1.atMs');
    expect((await open()).actions).toEqual([]);
  });

  it('is refused where it was begun with a pack that nobody knows, or belongs to another wash', async () => {
    const lost = [action({ kind: 'start', packId: 'lost' })];
    await api().post(`/api/runs/${wash.id}/actions`).send({ actions: lost, after: 0 }).expect(400);
    const note = action({ kind: 'note', text: 'here' });
    await send([note]);
    const other = await sent<WashRecord>('washes', {
      vehicleId: car.id,
      placeId: unit.id,
      methodId: METHOD,
      startMs: wash.startMs + MS_PER_DAY,
    });
    await api()
      .post(`/api/runs/${other.id}/actions`)
      .send({ actions: [note], after: 0 })
      .expect(409);
    await api().delete(`/api/washes/${other.id}`).expect(204);
  });
});

describe('the close of a run', () => {
  const begun = async (): Promise<number> => {
    const { pack } = await open();
    const start = action({ kind: 'start', packId: pack.id });
    const step = 'pre-soak-0';
    await send([
      start,
      action({ kind: 'begin', step }, { atMs: start.atMs + 2 * MS_PER_MINUTE }),
      action({ kind: 'end', step }, { atMs: start.atMs + 11 * MS_PER_MINUTE }),
    ]);
    return start.atMs;
  };
  const close = (startMs: number, change: object = {}): RunAction =>
    action(
      { kind: 'close', found: { ...FOUND, ...change }, used: { ...USED, foldedTowels: 9 } },
      { atMs: startMs + 70 * MS_PER_MINUTE },
    );

  it('writes the wash, its steps, its towels and what water did, and uses product, once', async () => {
    await api()
      .patch('/api/settings')
      .send({ stock: { [METHOD]: 5 } })
      .expect(200);
    const startMs = await begun();
    const closing = close(startMs, { spots: 'few', behaviour: { roof: 'flat' } });
    await Promise.all([send([closing]), send([closing])]);
    const record = await kept();
    expect(record).toMatchObject({ status: 'done', startMs, minutes: 70, costMinor: 1400 });
    expect(record.found).toMatchObject({ spots: 'few', run: { foldedTowels: 9 } });
    expect(record.found?.run?.steps[0]).toMatchObject({ id: 'pre-soak', minutes: 9, skipped: null });
    expect(record.found?.run?.steps[1]).toMatchObject({ skipped: 'other', minutes: 0 });
    const stockLeft = async () => (await api().get('/api/settings')).body as { stock: object };
    expect((await stockLeft()).stock).toEqual({ [METHOD]: 4 });
    const roof = async () => {
      const { body } = await api().get(`/api/verdicts/condition/${car.id}`).expect(200);
      return (body as ConditionAnswer).protections.find(({ zone }) => zone === 'roof');
    };
    expect(await roof()).toMatchObject({ kind: 'coating', observed: { behaviour: 'flat' } });
    await send([action({ kind: 'undo', tap: closing.tap }, { atMs: closing.atMs + MS_PER_MINUTE })]);
    expect(await kept()).toMatchObject({ status: 'planned', found: null });
    expect((await stockLeft()).stock).toEqual({ [METHOD]: 5 });
    // What was seen when it was closed is taken back with the close.
    expect(await roof()).toMatchObject({ kind: 'coating', observed: null });
    await api()
      .patch('/api/settings')
      .send({ stock: { [METHOD]: null } })
      .expect(200);
  });

  it('counts nothing where nothing was done: no towels, no season work, no price of the visit', async () => {
    await api()
      .patch(`/api/washes/${wash.id}`)
      .send({ extras: ['top-up'] })
      .expect(200);
    const { pack } = await open();
    const start = action({ kind: 'start', packId: pack.id });
    const closing = action({ kind: 'close', found: FOUND, used: USED }, { atMs: start.atMs + MS_PER_MINUTE });
    await send([start, closing]);
    const record = await kept();
    expect(record).toMatchObject({ status: 'done', minutes: 1, costMinor: 0, extras: [] });
    expect(record.found).toMatchObject({
      laid: [],
      used: { products: [], foldedTowels: 0, dryingTowels: 0, mitts: 0 },
      run: { steps: expect.not.arrayContaining([expect.objectContaining({ skipped: null })]) },
    });
    await send([action({ kind: 'undo', tap: closing.tap }, { atMs: closing.atMs + MS_PER_MINUTE })]);
    expect(await kept()).toMatchObject({ status: 'planned', extras: ['top-up'], startMs: wash.startMs });
  });

  it('takes out the pauses, and the work of the season that was said', async () => {
    const startMs = await begun();
    await send([
      action({ kind: 'pause' }, { atMs: startMs + 20 * MS_PER_MINUTE }),
      action({ kind: 'resume' }, { atMs: startMs + 35 * MS_PER_MINUTE }),
      action(
        { kind: 'close', found: FOUND, used: USED, extras: ['underbody'] },
        { atMs: startMs + 70 * MS_PER_MINUTE },
      ),
    ]);
    expect(await kept()).toMatchObject({ minutes: 55, extras: ['underbody'] });
  });

  it('is followed by what another phone did before it and sent later', async () => {
    const startMs = await begun();
    await send([close(startMs)]);
    const late = { deviceId: 'other' };
    const at = (minutes: number) => ({ ...late, atMs: startMs + minutes * MS_PER_MINUTE });
    await send([
      action({ kind: 'begin', step: 'rinseless-1' }, at(12)),
      action({ kind: 'end', step: 'rinseless-1' }, at(54)),
      action({ kind: 'note', text: 'a chip on the sill' }, at(55)),
    ]);
    const { found } = await kept();
    expect(found?.run?.steps[1]).toMatchObject({ id: 'rinseless', minutes: 42, skipped: null });
    expect(found?.run?.notes).toMatchObject([{ text: 'a chip on the sill' }]);
    // What comes after the close changes nothing.
    await send([action({ kind: 'note', text: 'too late' }, at(71))]);
    expect((await kept()).found?.run?.notes).toHaveLength(1);
  });

  it('takes a long note with a photograph whole', async () => {
    const text = 'A long note. '.repeat(35).trim();
    expect(text.length).toBeGreaterThan(450);
    const startMs = await begun();
    await send([
      action({ kind: 'photo', photoId: 'p9', caption: text }, { atMs: startMs + 12 * MS_PER_MINUTE }),
      close(startMs),
    ]);
    expect((await kept()).found?.run?.notes).toMatchObject([{ text, photoId: 'p9' }]);
  });

  it('leaves what was typed at the desk meanwhile, and adds the run to it', async () => {
    const startMs = await begun();
    const typed = {
      startMs,
      minutes: 65,
      methodId: METHOD,
      costMinor: 900,
      found: { ...FOUND, note: 'desk' },
    };
    await api().post(`/api/washes/${wash.id}/done`).send(typed).expect(200);
    await send([close(startMs, { note: 'phone' })]);
    const record = await kept();
    expect(record).toMatchObject({ minutes: 65, costMinor: 900, found: { note: 'desk' } });
    expect(record.found?.run?.steps).not.toHaveLength(0);
  });

  it('is taken back in the run only: the desk says so, and nothing changes', async () => {
    const startMs = await begun();
    const closing = close(startMs);
    await send([closing]);
    const { body } = await api().post(`/api/washes/${wash.id}/reopen`).expect(409);
    expect(body).toMatchObject({
      error: { field: 'status', message: expect.stringContaining('closed by its run') },
    });
    expect(await kept()).toMatchObject({ status: 'done' });
    await send([action({ kind: 'undo', tap: closing.tap }, { atMs: closing.atMs + MS_PER_MINUTE })]);
    await api().post(`/api/washes/${wash.id}/reopen`).expect(200);
    expect(await kept()).toMatchObject({ status: 'planned' });
  });
});

describe('photographs of a run', () => {
  const png = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  const put = (body: Buffer, type: string, status: number) =>
    api().put(`/api/runs/${wash.id}/photos/p1`).set('content-type', type).send(body).expect(status);

  it('are drawn again as JPEG, whatever they call themselves', async () => {
    await put(png, 'image/jpeg', 204);
    await put(png, 'image/jpeg', 204);
    const answer = await api().get(`/api/runs/${wash.id}/photos/p1`).expect(200);
    expect(answer.headers['content-type']).toBe('image/jpeg');
    expect((answer.body as Buffer).subarray(0, 2)).toEqual(Buffer.from([0xff, 0xd8]));
    await api().get(`/api/runs/${wash.id}/photos/p2`).expect(404);
  });

  it.each([
    { why: 'no picture', body: Buffer.from('a shopping list'), type: 'image/png', status: 400 },
    { why: 'cut off in its head', body: png.subarray(0, 10), type: 'image/png', status: 400 },
    { why: 'another kind of file', body: png, type: 'text/plain', status: 415 },
    { why: 'too large', body: Buffer.alloc(11_000_000, 1), type: 'image/png', status: 413 },
  ])('are refused: $why', async ({ body, type, status }) => {
    const answer = await put(body, type, status);
    expect(faultOf(answer.body).message).not.toBe('');
  });

  it('are refused where they unpack to more than a phone takes', async () => {
    const wide = Buffer.from(png);
    wide.writeUInt32BE(20_000, 16);
    wide.writeUInt32BE(20_000, 20);
    const answer = await put(wide, 'image/png', 400);
    expect(faultOf(answer.body).message).toMatch(/points|not a picture/);
  });
});

describe('whose deeds they are', () => {
  it('are named by session and phone, as the server knows them and not as the deeds claim', async () => {
    const { pack } = await open();
    const runs = test.app.get(RunsRepository);
    const keep = (who: string | null, device: string | null, deeds: RunAction[]): Promise<void> =>
      actingFor({ who, device, atMs: NOW }, () => runs.keepActions(wash.id, deeds));
    const at = (minutes: number): Partial<RunAction> => ({ atMs: NOW + minutes * MS_PER_MINUTE });
    await keep('Jon', 'Bay phone', [
      action({ kind: 'start', packId: pack.id }, at(3)),
      action({ kind: 'note', text: 'stone chip' }, at(9)),
    ]);
    await keep(null, null, [action({ kind: 'note', text: 'and another' }, at(1))]);
    const { body } = await api().get(`/api/runs/${wash.id}/hands`).expect(200);
    expect(body).toEqual([
      { who: null, device: null, deeds: 1, fromMs: NOW + MS_PER_MINUTE, toMs: NOW + MS_PER_MINUTE },
      {
        who: 'Jon',
        device: 'Bay phone',
        deeds: 2,
        fromMs: NOW + 3 * MS_PER_MINUTE,
        toMs: NOW + 9 * MS_PER_MINUTE,
      },
    ]);
    await api().get('/api/runs/nobody/hands').expect(404);
  });
});
