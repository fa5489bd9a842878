import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  type BalanceRow,
  type CadenceOutcome,
  type Flip,
  type PlaceRecord,
  type Settings,
  type VehicleRecord,
  MS_PER_DAY,
  type ConditionAnswer,
  type CellAnswer,
  type BalanceView,
  type WindowsView,
} from '@keen/core';
import {
  doneWash,
  faultOf,
  PLACE,
  startTestApp,
  TEST_CLOCK,
  type TestApp,
  testCalls,
  VEHICLE,
} from './testing/test-app.js';

const NOW = Date.parse(TEST_CLOCK);
const TEN = Date.parse('2026-01-14T10:00:00-05:00');

let test: TestApp;
let vehicle: VehicleRecord;
let place: PlaceRecord;
const { api, make } = testCalls(() => test);
beforeAll(async () => {
  test = await startTestApp();
  place = await make<PlaceRecord>('places', PLACE);
  vehicle = await make<VehicleRecord>('vehicles', { ...VEHICLE, standsAtPlaceId: place.id });
  await make('washes/done', doneWash(vehicle.id, place.id, NOW - 4 * MS_PER_DAY));
}, 60_000);

afterAll(() => test.close());

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
    appliedMs: NOW - 20 * MS_PER_DAY,
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
    {
      rows: [{ ...wax, appliedMs: NOW + MS_PER_DAY }],
      field: 'protections.0.appliedMs',
      why: 'dated tomorrow',
    },
    { rows: [wax, wax], field: 'protections.1.zone', why: 'listed twice' },
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
      .query({ ...start(), startMs: NOW + 999 * MS_PER_DAY })
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
    const { cost } = row ?? {};
    expect(cost?.productMinor).toBeGreaterThan(0);
    expect(cost?.totalMinor).toBe(1400 + (cost?.productMinor ?? NaN));
    const { body: late } = await api()
      .get(path)
      .query({ atMs: NOW + 99 * MS_PER_DAY })
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
