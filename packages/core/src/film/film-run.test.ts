import { describe, expect, it } from '@jest/globals';
import { film, type FilmInput, filmLife, filmTrace, startFilm } from './index.js';

const FROST: FilmInput = {
  material: 'steel',
  tiltDeg: 90,
  absorptanceFraction: 0.7,
  solarWm2: 0,
  airTempC: -6,
  relHumidityFraction: 0.8,
  airSpeedMetresPerSecond: 1.5,
  skyTempC: -15,
  filmGramsPerM2: 120,
  startTempC: 10,
};
const THAW: FilmInput = { ...FROST, airTempC: 12, relHumidityFraction: 0.6, skyTempC: 8, startTempC: -6 };

interface Stop {
  readonly seconds: number;
  readonly tempC: number;
  readonly iceFraction: number;
}

/** Where each step of a film's life ended. */
function stops(input: FilmInput, stepScale = 1): Stop[] {
  const run = startFilm({ ...input, filmGramsPerM2: input.filmGramsPerM2 }, stepScale);
  const found: Stop[] = [];
  while (run.drySeconds === null && run.seconds < 6 * 3600) {
    run.step(6 * 3600 - run.seconds);
    found.push({ seconds: run.seconds, tempC: run.tempC, iceFraction: run.iceKg / (run.waterKg || 1) });
  }
  return found;
}

describe('a step ends where the phase changes', () => {
  it('at 0 °C and without ice, where the film begins to freeze', () => {
    const first = stops(FROST).find(({ tempC }) => tempC < 1e-3);
    expect(first?.tempC).toBeCloseTo(0, 4);
    expect(first?.iceFraction).toBeLessThan(1e-3);
  });

  it('at 0 °C and all ice, where the last of it is frozen', () => {
    // No step in melting water is shorter than two seconds, in which it goes a tenth of a kelvin further.
    const first = stops(FROST).find(({ iceFraction }) => iceFraction > 1 - 1e-9);
    expect(Math.abs(first?.tempC ?? NaN)).toBeLessThan(0.12);
  });

  it('at 0 °C and all ice, where frozen water begins to melt', () => {
    const all = stops(THAW);
    const melting = all.findIndex(({ iceFraction }) => iceFraction < 1 - 1e-9);
    expect(all[melting - 1]?.tempC).toBeCloseTo(0, 2);
    expect(all[melting - 1]?.iceFraction).toBeCloseTo(1, 9);
  });

  it('at 0 °C and without ice, where the last of it has melted', () => {
    const first = stops(THAW).find(({ iceFraction }) => iceFraction === 0);
    expect(Math.abs(first?.tempC ?? NaN)).toBeLessThan(0.12);
  });

  it('freezes through in the time that its heat needs', () => {
    // Heat of fusion over what the panel gives off at 0 °C, evaporation and its heat left out: the same to a fifth.
    const all = stops({ ...FROST, relHumidityFraction: 0.99 });
    const from = all.find(({ tempC }) => tempC < 1e-3)?.seconds ?? NaN;
    const to = all.find(({ iceFraction }) => iceFraction > 1 - 1e-9)?.seconds ?? NaN;
    const radiative = 5.67e-8 * 0.95 * (273.15 ** 4 - (0.5 * 258.15 ** 4 + 0.5 * 267.15 ** 4));
    const convective = (2.8 + 3 * 1.5) * 6;
    const seconds = (0.12 * 334_000) / (radiative + convective);
    expect((to - from) / seconds).toBeGreaterThan(0.7);
    expect((to - from) / seconds).toBeLessThan(1.05);
  });
});

it('a tenth of the step takes at least five times as many, frozen or not', () => {
  const many = (input: FilmInput) => stops(input, 0.1).length / stops(input).length;
  expect(many({ ...FROST, startTempC: -6 })).toBeGreaterThan(5);
  expect(many({ ...THAW, startTempC: 10 })).toBeGreaterThan(5);
});

it('asked for the wet edge alone it stops at the first ice, to the second', () => {
  let lastSeconds = NaN;
  const { firstIceMinutes } = filmLife(FROST, {
    until: 'wet-edge',
    onStep: (run) => (lastSeconds = run.seconds),
  });
  expect(firstIceMinutes).not.toBeNull();
  expect(lastSeconds).toBeCloseTo((firstIceMinutes ?? 0) * 60, 6);
});

it('a film that neither dries nor freezes in its time has no wet edge, drawn or not', () => {
  const lasting = { ...FROST, airTempC: 8, relHumidityFraction: 0.98, skyTempC: 8, horizonMinutes: 15 };
  expect(filmLife(lasting).wetEdgeMinutes).toBeNull();
  expect(filmTrace(lasting).wetEdgeMinutes).toBeNull();
});

describe('each field of the film sum holds its range', () => {
  it.each([
    { field: 'tiltDeg', least: 0, most: 180 },
    { field: 'absorptanceFraction', least: 0, most: 1 },
    { field: 'solarWm2', least: 0, most: 1500 },
    { field: 'airTempC', least: -60, most: 80 },
    { field: 'startTempC', least: -60, most: 80 },
    { field: 'relHumidityFraction', least: 0, most: 1 },
    { field: 'airSpeedMetresPerSecond', least: 0, most: 60 },
    { field: 'skyTempC', least: -120, most: 80 },
    { field: 'filmGramsPerM2', least: 1, most: 5000 },
    { field: 'backWm2K', least: 0, most: 1000 },
    { field: 'horizonMinutes', least: 1, most: 10_080 },
  ])('$field from $least to $most', ({ field, least, most }) => {
    const set = (value: number): FilmInput => ({ ...FROST, horizonMinutes: 1, [field]: value });
    expect(() => film(set(least))).not.toThrow();
    expect(() => film(set(most))).not.toThrow();
    const named = expect.objectContaining({ field });
    expect(() => film(set(least === 1 ? 0 : least - 0.01))).toThrow(named);
    expect(() => film(set(most + 0.01))).toThrow(named);
  });
});
