import { describe, expect, it } from '@jest/globals';
import { COLD_LAKE_PORT, MS_PER_HOUR, simulateWeather } from '@keen/core';
import { SimulatedStation } from './simulated-station.js';

const START = Date.UTC(2025, 10, 1);
const at = (hours: number): number => START + hours * MS_PER_HOUR;

describe('the made-up station', () => {
  it.each([
    ['from the start', 0, 60],
    ['more of it', 0, 300],
    ['less again', 0, 30],
    ['a part', 100, 200],
    ['none', 5, 5],
    ['none before its season', -20, 0],
  ])('tells of one winter, however it is asked: %s', async (_, from, to) => {
    const season = simulateWeather({ climate: COLD_LAKE_PORT, seed: 3, fromMs: START, hourCount: 400 });
    const told = await new SimulatedStation(3, START).observed(at(from), at(to));
    expect(told).toEqual(season.slice(Math.max(0, from), Math.max(0, to)));
  });

  it('has another winter by another seed, and by another start', async () => {
    const one = await new SimulatedStation(3, START).observed(at(0), at(40));
    expect(await new SimulatedStation(4, START).observed(at(0), at(40))).not.toEqual(one);
    const later = await new SimulatedStation(3, at(24)).observed(at(24), at(40));
    expect(later).toHaveLength(16);
  });

  it('gives a forecast out every six hours, which begins on what was measured', async () => {
    const station = new SimulatedStation(3, START);
    const first = await station.newestForecast(at(50));
    expect(first.issuedMs).toBe(at(48));
    const [measured] = await station.observed(at(48), at(49));
    for (const [hour] of first.members) {
      expect(hour?.atMs).toBe(at(48));
      expect(hour?.airTempC).toBeCloseTo(measured?.airTempC ?? NaN, 0);
    }
    expect(await station.newestForecast(at(53.9))).toEqual(first);
    const second = await station.newestForecast(at(54));
    expect(second.issuedMs).toBe(at(54));
    expect(second.members).toHaveLength(21);
    expect(second.members[0]).not.toEqual(first.members[0]);
    expect(await station.newestForecast(at(50))).toEqual(first);
  });
});
