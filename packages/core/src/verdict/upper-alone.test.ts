import { describe, expect, it } from '@jest/globals';
import { localTime } from '../place/index.js';
import { everyHour, MS_PER_HOUR } from '../quantity/index.js';
import { CLEAN } from '../soil/index.js';
import { circumstances, HEATED_UNIT, VEHICLE } from '../testing/shop.js';
import type { ByGroup } from '../vehicle/index.js';
import { COLD_LAKE_PORT, simulateWeather } from '../weather/index.js';
import { BandJudges, placeSites, upperAlone, verdictGrid, type WeatherSpan } from './index.js';

const FROM = Date.UTC(2026, 0, 14, 5);
const hours = simulateWeather({ climate: COLD_LAKE_PORT, seed: 3, fromMs: FROM, hourCount: 24 * 6 });
const control: WeatherSpan = { fromMs: FROM, hours };
const CAKED_BELOW: ByGroup = { ...CLEAN, lower: 5, wheels: 5, arches: 5, under: 5, upper: 0.5 };

/** What of a car with so much dirt can be done in the heated unit, from an hour on. */
function upperOf(soil: ByGroup, { hour = 0, unit = HEATED_UNIT } = {}) {
  const sites = placeSites([unit], { control, members: [] });
  const around = { ...circumstances(control, { vehicle: VEHICLE }), soil };
  const startsMs = everyHour(FROM, 120);
  const judges = new BandJudges({ ...around, startsMs, withMembers: false });
  const bands = verdictGrid({ ...around, sites, startsMs, withMembers: false });
  const band = bands.find(({ methodId }) => methodId === 'garage-rinseless');
  if (!band) throw new Error('no such band');
  return { band, found: upperAlone(band, { judges, sites, startsMs, nowMs: FROM + hour * MS_PER_HOUR }) };
}

describe('the upper body alone', () => {
  it('is washed where the dirt below rules the whole car out, at the first hour that the place is open long enough', () => {
    const { band, found } = upperOf(CAKED_BELOW);
    expect(band.refusal?.ruleId).toBe('soil-ceiling');
    expect(found).toMatchObject({
      placeId: HEATED_UNIT.id,
      methodId: 'garage-rinseless',
      wayId: 'upper-only',
    });
    expect(['go', 'go-if']).toContain(found?.verdict);
    expect(localTime(found?.startMs ?? 0, HEATED_UNIT.timeZone).minuteOfDay).toBe(480);
    expect(upperOf(CAKED_BELOW, { hour: 24 }).found?.startMs).toBe((found?.startMs ?? 0) + 24 * MS_PER_HOUR);
  });

  it('is no way where it is caked as well, or the whole car can be washed, or something else rules it out', () => {
    expect(upperOf({ ...CAKED_BELOW, upper: 5 }).found).toBeNull();
    const clean = upperOf(CLEAN);
    expect([clean.band.refusal, clean.found]).toEqual([null, null]);
    const unit = { ...HEATED_UNIT, methods: [] };
    const unoffered = upperOf(CAKED_BELOW, { unit });
    expect([unoffered.band.refusal?.ruleId, unoffered.found]).toEqual(['method-offered', null]);
  });

  it('is not looked for beyond three days', () => {
    const closed = { ...HEATED_UNIT, openHours: HEATED_UNIT.openHours.map(() => null) };
    expect(upperOf(CAKED_BELOW, { unit: closed }).found).toBeNull();
  });
});
