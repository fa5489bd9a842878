import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  type BalanceRow,
  type CadenceOutcome,
  type Flip,
  METHODS,
  type PlaceRecord,
  type Settings,
  type VehicleRecord,
} from '@keen/core';
import request from 'supertest';
import type { ErrorBody } from './errors/api-error.js';
import { doneWash, PLACE, startTestApp, TEST_CLOCK, type TestApp, VEHICLE } from './testing/test-app.js';
import type { ConditionAnswer } from './verdicts/condition-answer.js';
import type { CellAnswer } from './verdicts/engine.js';
import type { SaltAnswer } from './verdicts/salt-answer.js';
import type { BalanceView, WindowsView } from './verdicts/verdicts.service.js';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const NOW = Date.parse(TEST_CLOCK);
const TEN = Date.parse('2026-01-14T10:00:00-05:00');

let test: TestApp;
let vehicle: VehicleRecord;
let place: PlaceRecord;
const api = () => request(test.app.getHttpServer());
const faultOf = (body: unknown): ErrorBody['error'] => (body as ErrorBody).error;
async function make<T>(path: string, body: object): Promise<T> {
  const response = await api().post(`/api/${path}`).send(body);
  if (response.status >= 300) throw new Error(`${path}: ${response.status} ${response.text}`);
  return response.body as T;
}
const salt = async (): Promise<SaltAnswer> =>
  (await api().get(`/api/verdicts/salt/${vehicle.id}`).expect(200)).body as SaltAnswer;
const loadOn = ({ now }: SaltAnswer, zone: string): number =>
  now.zones.find((entry) => entry.zone === zone)?.loadGramsPerM2 ?? NaN;

beforeAll(async () => {
  test = await startTestApp();
  place = await make<PlaceRecord>('places', PLACE);
  vehicle = await make<VehicleRecord>('vehicles', { ...VEHICLE, standsAtPlaceId: place.id });
  await make('washes/done', doneWash(vehicle.id, place.id, NOW - 4 * DAY_MS));
}, 60_000);

afterAll(() => test.close());

describe('bulletins', () => {
  const good = { atMs: NOW - 5 * DAY_MS, roadClass: 'main', agent: 'CaCl2', gramsPerM2: 22 };
  const list = async (): Promise<{ id: string; source: string; atMs: number; agent: string }[]> =>
    ((await api().get('/api/roads/bulletins').expect(200)).body as { treatments: never[] }).treatments;

  it('come from the authority up to now, the same when asked again', async () => {
    const first = await list();
    expect(first.length).toBeGreaterThan(50);
    expect(first.every(({ source, atMs }) => source === 'simulated road authority' && atMs < NOW)).toBe(true);
    expect(await list()).toEqual(first);
  });

  it('differ from the estimate: rounds are missed, late, and in the deep cold calcium', async () => {
    expect((await list()).some(({ agent }) => agent === 'MgCl2')).toBe(true);
  });

  it('are kept when somebody enters one, and change every ledger from then on', async () => {
    const before = await salt();
    const kept = await make<{ id: string; isLate: boolean }>('roads/bulletins', good);
    expect(kept.isLate).toBe(true);
    const after = await salt();
    expect(loadOn(after, 'underbody')).toBeGreaterThan(loadOn(before, 'underbody'));
    const { body } = await api().post('/api/roads/bulletins').send(good).expect(409);
    expect(faultOf(body)).toMatchObject({ code: 'conflict', field: 'atMs' });
    await api().delete(`/api/roads/bulletins/${kept.id}`).expect(204);
    expect(loadOn(await salt(), 'underbody')).toBeCloseTo(loadOn(before, 'underbody'), 9);
    await api().post(`/api/roads/bulletins/${kept.id}/restore`).expect(204);
    await api().delete(`/api/roads/bulletins/${kept.id}`).expect(204);
  }, 60_000);

  it.each([
    { change: { agent: 'sugar' }, field: 'agent', why: 'an unknown salt' },
    { change: { roadClass: 'canal' }, field: 'roadClass', why: 'an unknown road' },
    { change: { gramsPerM2: -3 }, field: 'gramsPerM2', why: 'less than nothing' },
    { change: { gramsPerM2: 900 }, field: 'gramsPerM2', why: 'a slip of the unit' },
    { change: { atMs: NOW - 400 * DAY_MS }, field: 'atMs', why: 'long past' },
    { change: { atMs: NOW + 30 * DAY_MS }, field: 'atMs', why: 'too far ahead' },
  ])('are refused for $why by field', async ({ change, field }) => {
    const { body } = await api()
      .post('/api/roads/bulletins')
      .send({ ...good, ...change })
      .expect(400);
    expect(faultOf(body).field).toBe(field);
  });

  it('are read from a table line by line, all or nothing as one chooses', async () => {
    const text = [
      'at,roadClass,agent,gramsPerM2',
      '2026-01-09T04:30:00-05:00,town,CaCl2,9',
      '2026-01-09T05:00:00-05:00,town,sand,9',
      '2026-01-09T06:00:00-05:00,bridge,CaCl2,11',
    ].join('\n');
    const count = (await list()).length;
    const send = async (mode: string): Promise<unknown> =>
      (await api().post('/api/roads/bulletins/import').send({ text, mode }).expect(200)).body;
    const fault = { line: 3, field: 'agent' };
    expect(await send('look')).toMatchObject({ kept: false, faults: [fault] });
    expect(await send('all-or-nothing')).toMatchObject({ kept: false, faults: [fault] });
    expect(await list()).toHaveLength(count);
    expect(await send('good-lines')).toMatchObject({ kept: true, faults: [fault] });
    expect(await list()).toHaveLength(count + 2);
    // A second time both are told already.
    expect(await send('good-lines')).toMatchObject({ kept: false, good: [] });
  });
});

describe('drives', () => {
  const path = (): string => `vehicles/${vehicle.id}/drives`;
  const drive = { hourMs: NOW - 2 * DAY_MS, roadClass: 'main', km: 80, meanKmh: 90 };

  it('count in the ledger, and can be taken back', async () => {
    const before = await salt();
    const kept = await make<{ id: string }>(path(), drive);
    expect(loadOn(await salt(), 'underbody')).not.toBeCloseTo(loadOn(before, 'underbody'), 3);
    await api().delete(`/api/${path()}/${kept.id}`).expect(204);
    expect(loadOn(await salt(), 'underbody')).toBeCloseTo(loadOn(before, 'underbody'), 9);
  }, 60_000);

  it.each([
    { change: { km: 5000 }, field: 'km', why: '5,000 km in an hour' },
    { change: { meanKmh: 999 }, field: 'meanKmh', why: 'flying' },
    { change: { hourMs: NOW + DAY_MS }, field: 'hourMs', why: 'tomorrow' },
    { change: { hourMs: NOW - 300 * DAY_MS }, field: 'hourMs', why: 'before the car was known' },
    { change: { roadClass: 'rail' }, field: 'roadClass', why: 'by rail' },
  ])('are refused for $why by field', async ({ change, field }) => {
    const { body } = await api()
      .post(`/api/${path()}`)
      .send({ ...drive, ...change })
      .expect(400);
    expect(faultOf(body).field).toBe(field);
  });

  it('are read from a recorded way, with speeds', async () => {
    const points = Array.from({ length: 41 }, (_, i) => {
      const time = new Date(NOW - 3 * DAY_MS + i * 30_000).toISOString();
      return `<trkpt lat="${46.5 + i * 0.006}" lon="-84.3"><time>${time}</time></trkpt>`;
    });
    const text = `<gpx>\n<trk><trkseg>\n${points.join('\n')}\n<trkpt lat="46.5" lon="-84.3"/>\n</trkseg></trk></gpx>`;
    const send = async (mode: string): Promise<unknown> =>
      (await api().post(`/api/${path()}/import`).send({ text, mode }).expect(200)).body;
    expect(await send('all-or-nothing')).toMatchObject({
      kept: false,
      faults: [{ line: 44, field: 'no-time' }],
    });
    const report = (await send('good-lines')) as { kept: boolean; good: { km: number; meanKmh: number }[] };
    expect(report.kept).toBe(true);
    const km = report.good.reduce((sum, entry) => sum + entry.km, 0);
    expect(km).toBeCloseTo(40 * 0.006 * 111.19, 0);
    expect(report.good[0]?.meanKmh).toBeCloseTo(80, 0);
    expect(await send('good-lines')).toMatchObject({ kept: false, good: [] });
  });

  it('answer a broken file with its line', async () => {
    const { body } = await api()
      .post(`/api/${path()}/import`)
      .send({ text: '<gpx>\n<trk>\n</gpx>', mode: 'look' })
      .expect(400);
    expect(faultOf(body)).toMatchObject({
      code: 'unreadable-file',
      field: expect.stringMatching(/^line \d+$/),
    });
  });
});

describe('swabs', () => {
  const path = (): string => `vehicles/${vehicle.id}/swabs`;
  const reading = {
    atMs: NOW - DAY_MS,
    zone: 'rear',
    deltaMicroSiemensPerCm: 900,
    volumeMl: 15,
    areaMm2: 1250,
  };

  it('correct the load and the vehicle’s pick-up, and can be taken back', async () => {
    const before = await salt();
    const kept = await make<{ id: string; gramsPerM2: number }>(path(), reading);
    expect(kept.gramsPerM2).toBeCloseTo(5.4, 9);
    const after = await salt();
    expect(after.pickUp).toMatchObject({ count: 1 });
    expect(after.pickUp.factor).toBeGreaterThan(1);
    expect(loadOn(after, 'rear')).toBeGreaterThan(loadOn(before, 'rear'));
    await api().delete(`/api/${path()}/${kept.id}`).expect(204);
    expect((await salt()).pickUp).toMatchObject({ count: 0, factor: 1 });
  }, 60_000);

  it('taken this minute count at once', async () => {
    const kept = await make<{ id: string; gramsPerM2: number }>(path(), { ...reading, atMs: NOW });
    const after = await salt();
    expect(loadOn(after, 'rear')).toBeCloseTo(kept.gramsPerM2, 6);
    expect(after.pickUp.count).toBe(1);
    await api().delete(`/api/${path()}/${kept.id}`).expect(204);
  }, 60_000);

  it.each([
    { change: { deltaMicroSiemensPerCm: -1 }, field: 'deltaMicroSiemensPerCm' },
    { change: { areaMm2: 0 }, field: 'areaMm2' },
    { change: { zone: 'ashtray' }, field: 'zone' },
    { change: { atMs: NOW + DAY_MS }, field: 'atMs' },
  ])('are refused by $field', async ({ change, field }) => {
    const { body } = await api()
      .post(`/api/${path()}`)
      .send({ ...reading, ...change })
      .expect(400);
    expect(faultOf(body).field).toBe(field);
  });
});

describe('soil and protection', () => {
  const condition = async (): Promise<ConditionAnswer> =>
    (await api().get(`/api/verdicts/condition/${vehicle.id}`).expect(200)).body as ConditionAnswer;
  const grit = ({ soil }: ConditionAnswer) =>
    soil.find(({ zone, kind }) => zone === 'roof' && kind === 'grit');

  it('takes a look before the estimate, and moves the verdicts with it', async () => {
    const look = { zone: 'roof', kind: 'grit', grade: 5 };
    const windows = async (): Promise<WindowsView> =>
      (await api().get(`/api/verdicts/windows/${vehicle.id}`).expect(200)).body as WindowsView;
    expect(grit(await condition())?.origin).toBe('estimated');
    const refused = ({ bands }: WindowsView): string | undefined =>
      bands.find(({ methodId }) => methodId === 'garage-rinseless')?.refusal?.ruleId;
    expect(refused(await windows())).toBeUndefined();
    const kept = await make<{ id: string }>(`vehicles/${vehicle.id}/soil`, look);
    expect(grit(await condition())).toMatchObject({ grade: 5, origin: 'measured' });
    expect(refused(await windows())).toBe('soil-ceiling');
    await api().delete(`/api/vehicles/${vehicle.id}/soil/${kept.id}`).expect(204);
    expect(refused(await windows())).toBeUndefined();
  }, 60_000);

  it('refuses a grade beyond the scale and a soil that is none', async () => {
    const send = (look: object) => api().post(`/api/vehicles/${vehicle.id}/soil`).send(look).expect(400);
    expect(faultOf((await send({ zone: 'roof', kind: 'grit', grade: 6 })).body).field).toBe('grade');
    expect(faultOf((await send({ zone: 'roof', kind: 'jam', grade: 1 })).body).field).toBe('kind');
  });

  const wax = {
    zone: 'bonnet',
    kind: 'wax',
    appliedMs: NOW - 20 * DAY_MS,
    claimedLifeDays: 60,
    observed: null,
  };
  const protect = (rows: object[]) => api().patch(`/api/vehicles/${vehicle.id}`).send({ protections: rows });

  it('counts a protection down from its day', async () => {
    await protect([wax]).expect(200);
    const bonnet = (await condition()).protections.find(({ zone }) => zone === 'bonnet');
    expect(bonnet).toMatchObject({ kind: 'wax', lifeDays: 60 });
    expect(bonnet?.ageDays).toBeCloseTo(20, 3);
    await protect([{ ...wax, observed: { behaviour: 'flat', atMs: NOW } }]).expect(200);
    expect((await condition()).protections.find(({ zone }) => zone === 'bonnet')?.standing).toBe(
      'clogged-or-gone',
    );
    await protect([]).expect(200);
  });

  it.each([
    { rows: [{ ...wax, appliedMs: NOW + DAY_MS }], field: 'protections.0.appliedMs', why: 'dated tomorrow' },
    { rows: [wax, wax], field: 'protections.1.zone', why: 'told twice' },
    { rows: [{ ...wax, kind: 'lard' }], field: 'protections.0.kind', why: 'of no kind' },
    {
      rows: [{ ...wax, claimedLifeDays: -2 }],
      field: 'protections.0.claimedLifeDays',
      why: 'lasting less than nothing',
    },
  ])('refuses one $why', async ({ rows, field }) => {
    const { body } = await protect(rows).expect(400);
    expect(faultOf(body).field).toBe(field);
  });
});

describe('the judgement', () => {
  const start = () => ({
    vehicleId: vehicle.id,
    placeId: place.id,
    methodId: 'garage-rinseless',
    startMs: TEN,
  });

  it('brings the film of every panel with its findings', async () => {
    const { body } = await api().get('/api/verdicts/cell').query(start()).expect(200);
    const { films, judgement } = body as CellAnswer;
    expect(films).toHaveLength(8);
    expect(films[0]?.input).toMatchObject({ airTempC: 14, filmGramsPerM2: 50 });
    expect(judgement.findings.length).toBeGreaterThan(15);
  });

  it('says what would change the answer', async () => {
    const { body } = await api().get('/api/verdicts/flips').query(start()).expect(200);
    const flips = body as Flip[];
    expect(flips.map(({ input }) => input)).toContain('start');
    const closing = flips.find(({ input }) => input === 'start');
    expect(closing?.standing).toBe('no');
    expect(closing?.limiting?.ruleId).toBe('open-hours');
    const far = await api()
      .get('/api/verdicts/flips')
      .query({ ...start(), startMs: NOW + 999 * DAY_MS })
      .expect(400);
    expect(faultOf(far.body).field).toBe('startMs');
  });

  it('weighs all ways in one hour', async () => {
    const path = `/api/verdicts/balance/${vehicle.id}`;
    const { body } = await api().get(path).query({ atMs: TEN }).expect(200);
    const { rows } = body as BalanceView;
    const [row] = rows as BalanceRow[];
    expect(rows).toHaveLength(PLACE.methods.length);
    expect(row).toMatchObject({ methodId: 'garage-rinseless', verdict: 'go', minutes: { travel: 24 } });
    expect(row?.cost.totalMinor).toBe(
      1400 + (METHODS.find(({ id }) => id === 'garage-rinseless')?.productMinor ?? NaN),
    );
    const { body: late } = await api()
      .get(path)
      .query({ atMs: NOW + 99 * DAY_MS })
      .expect(400);
    expect(faultOf(late).field).toBe('atMs');
  }, 60_000);

  it('runs cadences through the season', async () => {
    const plans = [7, 28].map((everyDays) => ({ parts: [{ methodId: 'garage-rinseless', everyDays }] }));
    const outcomes = await make<CadenceOutcome[]>(`verdicts/cadence/${vehicle.id}`, { plans });
    expect(outcomes[0]?.activeHoursSaved).toBeGreaterThan(outcomes[1]?.activeHoursSaved ?? Infinity);
    const { body } = await api()
      .post(`/api/verdicts/cadence/${vehicle.id}`)
      .send({ plans: [{ parts: [{ methodId: 'drive-hose', everyDays: 7 }] }] })
      .expect(400);
    expect(faultOf(body).field).toBe('parts.0.methodId');
  });

  it('says what the main road and the clock do over the week', async () => {
    const { hours } = (await api().get(`/api/verdicts/windows/${vehicle.id}`)).body as WindowsView;
    expect(hours).toHaveLength(168);
    expect(new Set(hours.map(({ road }) => road)).size).toBeGreaterThan(1);
    expect(hours.every(({ pace }) => pace >= 0)).toBe(true);
  });
});

describe('house rules', () => {
  const save = (house: object) => api().patch('/api/settings').send({ house });

  it('are kept one by one and move the verdicts', async () => {
    const minutes = async (): Promise<number | undefined> => {
      const { body } = await api()
        .get(`/api/verdicts/balance/${vehicle.id}`)
        .query({ atMs: TEN })
        .expect(200);
      return (body as BalanceView).rows[0]?.minutes.wash;
    };
    const before = (await minutes()) ?? NaN;
    const { body } = await save({ choices: { strip: 'strip' } }).expect(200);
    expect((body as Settings).house.choices).toMatchObject({ strip: 'strip', drying: 'blow-and-towel' });
    expect(await minutes()).toBe(before + 43);
    await save({ choices: { strip: 'keep' } }).expect(200);
    expect(await minutes()).toBe(before);
  }, 60_000);

  it.each([
    { house: { choices: { strip: 'always' } }, field: 'house.choices.strip' },
    { house: { choices: { moonPhase: 'full' } }, field: 'house.choices.moonPhase' },
    { house: { numbers: { neverBeyondDays: 0 } }, field: 'house.numbers.neverBeyondDays' },
  ])('refuse $field', async ({ house, field }) => {
    const { body } = await save(house).expect(400);
    expect(faultOf(body).field).toBe(field);
  });
});

describe('a wash', () => {
  it('before the car was known is refused by name', async () => {
    const { body } = await api()
      .post('/api/washes/done')
      .send(doneWash(vehicle.id, place.id, NOW - 500 * DAY_MS))
      .expect(400);
    expect(faultOf(body).field).toBe('startMs');
  });
});
