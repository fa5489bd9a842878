import { afterAll, beforeAll } from '@jest/globals';
import { type PlaceRecord, type VehicleRecord, MS_PER_DAY, type SaltAnswer } from '@keen/core';
import { doneWash, PLACE, startTestApp, TEST_CLOCK, type TestApp, testCalls, VEHICLE } from './test-app.js';

export const NOW = Date.parse(TEST_CLOCK);

/** Salt on a zone, g/m². */
export const loadOn = ({ now }: SaltAnswer, zone: string): number =>
  now.zones.find((entry) => entry.zone === zone)?.loadGramsPerM2 ?? NaN;

/** For a file of tests: the application with one car that was washed four days ago, and its salt. */
export function saltedCar() {
  let test: TestApp;
  let vehicle: VehicleRecord;
  const calls = testCalls(() => test);
  beforeAll(async () => {
    test = await startTestApp();
    const place = await calls.make<PlaceRecord>('places', PLACE);
    vehicle = await calls.make<VehicleRecord>('vehicles', { ...VEHICLE, standsAtPlaceId: place.id });
    await calls.make('washes/done', doneWash(vehicle.id, place.id, NOW - 4 * MS_PER_DAY));
  }, 60_000);
  afterAll(() => test.close());
  return {
    ...calls,
    pathOf: (notes: string): string => `vehicles/${vehicle.id}/${notes}`,
    salt: (): Promise<SaltAnswer> => calls.get(`verdicts/salt/${vehicle.id}`),
  };
}
