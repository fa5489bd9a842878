import { describe, expect, it } from '@jest/globals';
import { film, type FilmInput, filmLife, filmTrace } from './index.js';

const COLD: FilmInput = {
  material: 'steel',
  tiltDeg: 90,
  absorptanceFraction: 0.93,
  solarWm2: 0,
  airTempC: -3,
  relHumidityFraction: 0.7,
  airSpeedMetresPerSecond: 1,
  skyTempC: -15,
  filmGramsPerM2: 60,
  startTempC: 8,
  horizonMinutes: 120,
};

describe('the traced life of a film', () => {
  it('says what the film sum says', () => {
    const { points: _points, highestTempC: _highest, ...trace } = filmTrace(COLD);
    expect(trace).toEqual(film(COLD));
  });

  it('begins as it was put on and runs forward to its end', () => {
    const { points } = filmTrace({ ...COLD, airTempC: 20, solarWm2: 600 });
    expect(points[0]).toEqual({
      minutes: 0,
      tempC: 8,
      waterGramsPerM2: 60,
      iceGramsPerM2: 0,
      massPercent: 0,
    });
    for (let i = 1; i < points.length; i += 1)
      expect(points[i]?.minutes).toBeGreaterThan(points[i - 1]?.minutes ?? Infinity);
    expect(points.at(-1)?.waterGramsPerM2).toBeCloseTo(0, 6);
  });

  it('has never more ice than water, and the coldest point that it tells of', () => {
    const trace = filmTrace(COLD);
    for (const { iceGramsPerM2, waterGramsPerM2 } of trace.points)
      expect(iceGramsPerM2).toBeLessThanOrEqual(waterGramsPerM2 + 1e-9);
    expect(Math.max(...trace.points.map(({ iceGramsPerM2 }) => iceGramsPerM2))).toBeGreaterThan(50);
    expect(trace.lowestTempC).toBeLessThanOrEqual(Math.min(...trace.points.map(({ tempC }) => tempC)) + 1e-9);
  });

  it('strengthens a brine as it dries and as it freezes', () => {
    const { points } = filmTrace({ ...COLD, brine: { agent: 'NaCl', massPercent: 5 } });
    expect(points[0]?.massPercent).toBeCloseTo(5, 6);
    const cold = points.filter(({ iceGramsPerM2 }) => iceGramsPerM2 > 1);
    expect(cold.length).toBeGreaterThan(3);
    for (const { massPercent } of cold) expect(massPercent).toBeGreaterThan(5);
  });

  it('is short enough to draw, however long it lasts', () => {
    const long = filmTrace({ ...COLD, brine: { agent: 'NaCl', massPercent: 8 }, horizonMinutes: 10_080 });
    expect(long.points.length).toBeLessThanOrEqual(362);
    expect(long.points.at(-1)?.minutes).toBeCloseTo(10_080, 3);
  });

  it.each([
    { change: { filmGramsPerM2: 0 }, field: 'filmGramsPerM2' },
    { change: { relHumidityFraction: 1.2 }, field: 'relHumidityFraction' },
  ])('names $field', ({ change, field }) => {
    expect(() => filmTrace({ ...COLD, ...change })).toThrow(expect.objectContaining({ field }));
  });
});

/** What the verdicts rest on, held against steps ten times finer, twenty for a brine. */
describe('a fine-step reference', () => {
  it('agrees on freezing, and on the minutes within 3 %, over a broad sweep', () => {
    let cases = 0;
    let tipped = 0;
    const off: string[] = [];
    const close = (a: number | null, b: number | null): boolean =>
      a === null || b === null || Math.abs(a - b) <= Math.max(0.03 * b, 0.02);
    for (const material of ['steel', 'glass'] as const)
      for (const airTempC of [-14, -6, -1, 3, 9, 24])
        for (const relHumidityFraction of [0.3, 0.75, 0.95])
          for (const airSpeedMetresPerSecond of [0.1, 2, 6])
            for (const solarWm2 of [0, 350])
              for (const brine of [undefined, { agent: 'NaCl', massPercent: 6 } as const]) {
                const input: FilmInput = {
                  ...COLD,
                  material,
                  airTempC,
                  relHumidityFraction,
                  airSpeedMetresPerSecond,
                  solarWm2,
                  brine,
                  skyTempC: airTempC - 14,
                  startTempC: Math.max(airTempC, 6),
                };
                const quick = filmLife(input);
                const fine = filmLife(input, { stepScale: brine ? 0.05 : 0.1 });
                cases += 1;
                const flips =
                  (quick.firstIceMinutes === null) !== (fine.firstIceMinutes === null) ||
                  (quick.dryMinutes === null) !== (fine.dryMinutes === null);
                if (flips) tipped += 1;
                else if (
                  !close(quick.firstIceMinutes, fine.firstIceMinutes) ||
                  !close(quick.dryMinutes, fine.dryMinutes)
                )
                  off.push(
                    JSON.stringify({
                      material,
                      airTempC,
                      relHumidityFraction,
                      airSpeedMetresPerSecond,
                      solarWm2,
                      brine,
                      quick,
                      fine,
                    }),
                  );
              }
    expect(cases).toBe(432);
    expect(off).toEqual([]);
    // A film that only just freezes or dries within the horizon may tip over.
    expect(tipped / cases).toBeLessThan(0.01);
  });
});
