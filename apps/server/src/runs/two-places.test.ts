import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  keyedSteps,
  MS_PER_MINUTE,
  type PlaceRecord,
  type RunAction,
  type RunAnswer,
  type RunDeed,
  type VehicleRecord,
  type WashRecord,
  type WayOption,
} from '@keen/core';
import { PLACE, startTestApp, TEST_CLOCK, type TestApp, testCalls, VEHICLE } from '../testing/test-app.js';

const NOW = Date.parse(TEST_CLOCK);
let test: TestApp;
const { api, get, make } = testCalls(() => test);

let unit: PlaceRecord;
let bay: PlaceRecord;
let car: VehicleRecord;

const BAY = {
  ...PLACE,
  name: 'Corner bay',
  kind: 'self-serve-bay',
  climate: { kind: 'open-bay' },
  shelter: { kind: 'roofed', openings: [] },
  hasDrain: true,
  tap: 'always',
  openHours: Array.from({ length: 7 }, () => ({ openMinute: 0, closeMinute: 1440 })),
  washWater: { ...PLACE.washWater, tempC: 34 },
  finalRinse: { ...PLACE.washWater, name: 'Pure', tdsMgPerLitre: 10 },
  methods: [{ methodId: 'bay-rinse-rinseless', priceMinor: 200 }],
};
const startMs = NOW + 5 * 60 * MS_PER_MINUTE + 20 * MS_PER_MINUTE;

beforeAll(async () => {
  test = await startTestApp();
  unit = await make('places', PLACE);
  bay = await make('places', { ...BAY, finishAt: { placeId: unit.id, driveMinutes: 4, priceMinor: 900 } });
  car = await make('vehicles', VEHICLE);
}, 60_000);

afterAll(() => test.close());

const at = (): string =>
  `vehicleId=${car.id}&placeId=${bay.id}&methodId=bay-rinse-rinseless&startMs=${startMs}`;

/** Planned at the bay, and then changed to be ended in the unit, as it is chosen on the sheet. */
async function planned(atMs: number): Promise<WashRecord> {
  const { id } = await make<WashRecord>('washes', {
    vehicleId: car.id,
    placeId: bay.id,
    methodId: 'bay-rinse-rinseless',
    startMs: atMs,
  });
  return (await api().patch(`/api/washes/${id}`).send({ wayId: 'touch-elsewhere' }).expect(200))
    .body as WashRecord;
}

describe('a wash that is rinsed at the bay and ended in the unit', () => {
  let wash: WashRecord;
  let run: RunAnswer;

  it('is offered among the ways of its start, with the drive and the price of the unit in it', async () => {
    const ways = await get<WayOption[]>(`verdicts/ways?${at()}`);
    const by = (wayId: string): WayOption => {
      const way = ways.find((one) => one.wayId === wayId);
      if (!way) throw new Error(`${wayId} is not offered`);
      return way;
    };
    const [elsewhere, thawed, usual] = [by('touch-elsewhere'), by('touch-elsewhere-thaw'), ways[0]];
    expect(elsewhere.minutes).toBeCloseTo((usual?.minutes ?? 0) + 6, 6);
    expect(thawed.minutes).toBeCloseTo(elsewhere.minutes + 20, 6);
    expect(elsewhere.moneyMinor).toBe((usual?.moneyMinor ?? 0) + 900);
  });

  it('is planned, prepared and run with its drive, and says both places', async () => {
    wash = await planned(startMs);
    run = await get(`runs/${wash.id}`);
    expect(run.placeName).toBe('Corner bay, then Heated unit');
    const ids = run.pack.sheet.steps.map(({ id }) => id);
    expect(ids.indexOf('drive-on')).toBeGreaterThan(ids.lastIndexOf('rinse'));
    expect(ids.indexOf('drive-on')).toBeLessThan(ids.indexOf('rinseless'));
    expect(run.pack.sheet.preparation.money.visitMinor).toBe(200 + 900);
    expect(wash.minutes).toBe(Math.round(run.pack.method.minutes));
    expect(run.pack.washHours?.some(({ site }) => site.isDriven)).toBe(true);
    expect(run.pack.washHours?.at(-1)?.site.air.airTempC).toBe(14);
  });

  it('is closed with what was done in both, and takes the salt off that the method does', async () => {
    let count = 0;
    const action = (deed: RunDeed, minute: number): RunAction => {
      count += 1;
      const id = `act-${count}`;
      return {
        id,
        tap: id,
        deviceId: 'phone',
        count,
        atMs: NOW + Math.round((minute - 80) * MS_PER_MINUTE),
        deed,
      };
    };
    const steps = keyedSteps(run.pack.sheet).flatMap(({ key, step }) => [
      action({ kind: 'begin', step: key }, step.fromMinute),
      action({ kind: 'end', step: key }, step.fromMinute + step.minutes),
    ]);
    const actions = [
      action({ kind: 'start', packId: run.pack.id }, 0),
      ...steps,
      action(
        {
          kind: 'close',
          found: { icePanels: [], spots: 'none', leftovers: '', note: '' },
          used: { foldedTowels: null, dryingTowels: null, paidMinor: null },
        },
        76,
      ),
    ];
    await api().post(`/api/runs/${wash.id}/actions`).send({ actions, after: 0 }).expect(200);
    const done = await get<WashRecord>(`washes/${wash.id}`);
    expect(done.status).toBe('done');
    expect(done.found?.run?.steps.map(({ id }) => id)).toContain('drive-on');
  });

  it('still opens and is done in one place after the second was given up', async () => {
    const other = await planned(startMs + 3 * 60 * MS_PER_MINUTE);
    await api().patch(`/api/places/${bay.id}`).send({ finishAt: null }).expect(200);
    const again = await get<RunAnswer>(`runs/${other.id}`);
    expect(again.placeName).toBe('Corner bay');
    expect(again.pack.method.wayId).toBe('touch-two-panels');
    expect(again.pack.sheet.steps.map(({ id }) => id)).not.toContain('drive-on');
  });
});
