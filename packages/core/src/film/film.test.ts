import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { film, type FilmInput, filmLife, startFilm } from './index.js';

/** A shaded steel flank at −5 °C after a rinse at 10 °C. */
const SHADED: FilmInput = {
  material: 'steel',
  tiltDeg: 90,
  absorptanceFraction: 0.7,
  solarWm2: 0,
  airTempC: -5,
  relHumidityFraction: 0.7,
  airSpeedMetresPerSecond: 1.5,
  skyTempC: -15,
  filmGramsPerM2: 100,
  startTempC: 10,
};

const anyFilm = fc.record({
  material: fc.constantFrom('steel', 'aluminium', 'glass', 'plastic'),
  tiltDeg: fc.integer({ min: 0, max: 90 }),
  absorptanceFraction: fc.constantFrom(0.25, 0.7, 0.93),
  solarWm2: fc.integer({ min: 0, max: 700 }),
  airTempC: fc.double({ min: -25, max: 30, noNaN: true }),
  relHumidityFraction: fc.double({ min: 0.15, max: 0.99, noNaN: true }),
  airSpeedMetresPerSecond: fc.double({ min: 0, max: 8, noNaN: true }),
  skyTempC: fc.double({ min: -45, max: 20, noNaN: true }),
  filmGramsPerM2: fc.integer({ min: 10, max: 200 }),
  startTempC: fc.double({ min: -10, max: 45, noNaN: true }),
}) satisfies fc.Arbitrary<FilmInput>;

const anyBrineFilm = fc
  .tuple(anyFilm, fc.constantFrom('NaCl', 'MgCl2', 'CaCl2'), fc.integer({ min: 1, max: 18 }))
  .map(([input, agent, massPercent]): FilmInput => ({ ...input, brine: { agent, massPercent } }));

describe('what a careful simulation teaches and rules of thumb miss', () => {
  it('a film freezes in dry windy air well above zero', () => {
    const dryAir = {
      ...SHADED,
      airTempC: 5,
      relHumidityFraction: 0.2,
      airSpeedMetresPerSecond: 4,
      skyTempC: 2,
    };
    expect(filmLife(dryAir).firstIceMinutes).not.toBeNull();
    expect(filmLife({ ...dryAir, relHumidityFraction: 0.8 }).firstIceMinutes).toBeNull();
  });

  it('a roof under a clear calm sky freezes in warmer air than a flank', () => {
    const calm = {
      ...SHADED,
      airTempC: 5,
      relHumidityFraction: 0.75,
      airSpeedMetresPerSecond: 0.5,
      skyTempC: -15,
    };
    expect(filmLife({ ...calm, tiltDeg: 0 }).firstIceMinutes).not.toBeNull();
    expect(filmLife(calm).firstIceMinutes).toBeNull();
  });

  it('hot water buys about two minutes at −5 °C, no more', () => {
    const cool = filmLife(SHADED).firstIceMinutes ?? NaN;
    const hot = filmLife({ ...SHADED, startTempC: 40 }).firstIceMinutes ?? NaN;
    expect(hot - cool).toBeGreaterThan(1.5);
    expect(hot - cool).toBeLessThan(3.5);
  });

  it('in weak winter sun a white flank freezes and a black one dries', () => {
    const sunny = { ...SHADED, solarWm2: 420, airSpeedMetresPerSecond: 3 };
    expect(filmLife({ ...sunny, absorptanceFraction: 0.25 }).firstIceMinutes).not.toBeNull();
    expect(filmLife({ ...sunny, absorptanceFraction: 0.93 })).toMatchObject({ firstIceMinutes: null });
  });

  it('in the cold and damp a film lasts hours; on a hot black bonnet minutes', () => {
    const damp = filmLife({
      ...SHADED,
      airTempC: 1,
      relHumidityFraction: 0.97,
      airSpeedMetresPerSecond: 0.2,
      skyTempC: 0,
    });
    const hot = filmLife({
      ...SHADED,
      tiltDeg: 5,
      airTempC: 30,
      relHumidityFraction: 0.35,
      solarWm2: 900,
      absorptanceFraction: 0.93,
      skyTempC: 15,
      startTempC: 45,
      filmGramsPerM2: 40,
    });
    expect(damp.wetEdgeMinutes === null || damp.wetEdgeMinutes > 180).toBe(true);
    expect(hot.dryMinutes).toBeLessThan(3);
  });

  it('damp air wets: a cold panel gathers dew and never dries', () => {
    const report = film({ ...SHADED, airTempC: 8, relHumidityFraction: 1, skyTempC: 4, startTempC: 2 });
    expect(report.dryMinutes).toBeNull();
  });

  it('brine stays liquid longer than water', () => {
    const water = filmLife(SHADED).firstIceMinutes ?? NaN;
    const brine =
      filmLife({ ...SHADED, brine: { agent: 'NaCl', massPercent: 6 } }).firstIceMinutes ?? Infinity;
    expect(brine).toBeGreaterThan(water);
  });

  it('a strong brine in damp air never dries: the salt holds its water', () => {
    const damp = {
      ...SHADED,
      airTempC: 10,
      relHumidityFraction: 0.85,
      skyTempC: 8,
      brine: { agent: 'NaCl', massPercent: 8 },
    } as const;
    expect(filmLife(damp).dryMinutes).toBeNull();
    expect(filmLife({ ...damp, relHumidityFraction: 0.5 }).dryMinutes).not.toBeNull();
  });
});

describe('the solver', () => {
  it('loses neither water nor heat, in any weather', () => {
    fc.assert(
      fc.property(fc.oneof(anyFilm, anyBrineFilm), (input) => {
        const run = startFilm(input);
        const waterBefore = run.waterKg;
        const heatBefore = run.enthalpyJ;
        while (run.drySeconds === null && run.seconds < 3 * 3600) run.step(3 * 3600 - run.seconds);
        expect(Math.abs(run.waterKg + run.evaporatedKg - waterBefore)).toBeLessThanOrEqual(
          1e-6 * Math.max(waterBefore, run.waterKg),
        );
        const scale = Math.max(1, Math.abs(heatBefore), Math.abs(run.enthalpyJ));
        expect(Math.abs(run.enthalpyJ - heatBefore - run.heatInJ)).toBeLessThanOrEqual(1e-6 * scale);
      }),
      { numRuns: 150 },
    );
  });

  it('keeps temperature, ice and enthalpy in step', () => {
    fc.assert(
      fc.property(anyFilm, (input) => {
        const run = startFilm(input);
        for (let i = 0; i < 60 && run.drySeconds === null; i += 1) run.step(120);
        fc.pre(run.drySeconds === null);
        const capacity = { steel: 2900, aluminium: 2400, glass: 8400, plastic: 5000 }[input.material];
        const liquid = run.waterKg - run.iceKg;
        const enthalpy = (capacity + liquid * 4186 + run.iceKg * 2100) * run.tempC - 334_000 * run.iceKg;
        expect(Math.abs(enthalpy - run.enthalpyJ)).toBeLessThan(1e-6 * Math.max(1e3, Math.abs(enthalpy)));
        expect(run.iceKg).toBeGreaterThanOrEqual(0);
        expect(liquid).toBeGreaterThanOrEqual(-1e-9);
      }),
      { numRuns: 100 },
    );
  });

  it('changes its minutes by under 2 % when every step is ten times finer', () => {
    const close = (a: number | null, b: number | null): boolean =>
      a === null || b === null ? a === b : Math.abs(a - b) <= Math.max(0.02 * b, 0.02);
    fc.assert(
      fc.property(anyFilm, (input) => {
        const coarse = filmLife(input);
        const fine = filmLife(input, { stepScale: 0.1 });
        // A film that only just freezes or only just dries within the horizon may tip over; those are set aside.
        const tips =
          (coarse.firstIceMinutes === null) !== (fine.firstIceMinutes === null) ||
          (coarse.dryMinutes === null) !== (fine.dryMinutes === null);
        fc.pre(!tips);
        expect(close(coarse.firstIceMinutes, fine.firstIceMinutes)).toBe(true);
        expect(close(coarse.dryMinutes, fine.dryMinutes)).toBe(true);
      }),
      { numRuns: 150 },
    );
  });

  it('agrees with itself at a fine step on whether there is ice, over a broad sweep', () => {
    let disagreements = 0;
    let cases = 0;
    for (const airTempC of [-15, -8, -3, 0, 2, 4, 6, 10]) {
      for (const relHumidityFraction of [0.2, 0.5, 0.8, 0.95]) {
        for (const airSpeedMetresPerSecond of [0.1, 1, 4]) {
          for (const solarWm2 of [0, 150, 500]) {
            const input = {
              ...SHADED,
              airTempC,
              relHumidityFraction,
              airSpeedMetresPerSecond,
              solarWm2,
              skyTempC: airTempC - 15,
            };
            cases += 1;
            const coarse = filmLife(input).firstIceMinutes;
            const fine = filmLife(input, { stepScale: 0.1 }).firstIceMinutes;
            if ((coarse === null) !== (fine === null)) disagreements += 1;
          }
        }
      }
    }
    expect(disagreements / cases).toBeLessThan(0.01);
  });

  it('colder air never puts off the ice', () => {
    fc.assert(
      fc.property(anyFilm, fc.double({ min: 0.5, max: 8, noNaN: true }), (input, colderByK) => {
        const here = filmLife(input).firstIceMinutes ?? Infinity;
        const colder =
          filmLife({ ...input, airTempC: input.airTempC - colderByK, skyTempC: input.skyTempC - colderByK })
            .firstIceMinutes ?? Infinity;
        // Where the warmer film dries first the colder one may freeze later than never: only the order counts.
        expect(colder).toBeLessThanOrEqual(here + 0.05);
      }),
      { numRuns: 120 },
    );
  });

  it('stands still in balance: a film at its own wet steady temperature stays there', () => {
    const damp = { ...SHADED, airTempC: 4, relHumidityFraction: 0.9, skyTempC: 0 };
    const { wetPanelTempC } = film(damp);
    const run = startFilm({ ...damp, startTempC: wetPanelTempC });
    for (let i = 0; i < 20; i += 1) run.step(60);
    expect(run.tempC).toBeCloseTo(wetPanelTempC, 2);
  });

  it('freezes at once on a panel that is colder than the brine allows', () => {
    expect(filmLife({ ...SHADED, startTempC: -3 }).firstIceMinutes).toBe(0);
    expect(filmLife({ ...SHADED, startTempC: -3 }).lowestTempC).toBeLessThanOrEqual(-3);
  });

  it.each([
    // Thin films on hot metal in the cold: how little is left when ice forms decides how cold it gets.
    {
      material: 'aluminium',
      airTempC: -23,
      filmGramsPerM2: 46,
      startTempC: 77,
      airSpeedMetresPerSecond: 6.8,
    },
    { material: 'steel', airTempC: -16.5, filmGramsPerM2: 44, startTempC: 68, airSpeedMetresPerSecond: 3.8 },
    { material: 'glass', airTempC: -23, filmGramsPerM2: 110, startTempC: 64, airSpeedMetresPerSecond: 3.2 },
    { material: 'steel', airTempC: -10, filmGramsPerM2: 3, startTempC: 60, airSpeedMetresPerSecond: 2 },
    { material: 'steel', airTempC: 25, filmGramsPerM2: 5, startTempC: 75, airSpeedMetresPerSecond: 3 },
  ] as const)('its coldest is right to 0.3 K: $filmGramsPerM2 g on $material of $startTempC °C', (change) => {
    const input = { ...SHADED, ...change, tiltDeg: 30, skyTempC: change.airTempC - 12, horizonMinutes: 120 };
    const fine = filmLife(input, { stepScale: 0.03 });
    expect(Math.abs(filmLife(input).lowestTempC - fine.lowestTempC)).toBeLessThan(0.3);
  });

  it('stops early when only the wet edge is asked, with the same edge', () => {
    const whole = filmLife(SHADED);
    const edge = filmLife(SHADED, { until: 'wet-edge' });
    expect(edge.wetEdgeMinutes).toBe(whole.wetEdgeMinutes);
  });
});

describe('bad input to film', () => {
  it.each([
    { field: 'filmGramsPerM2', change: { filmGramsPerM2: 0 } },
    { field: 'filmGramsPerM2', change: { filmGramsPerM2: -5 } },
    { field: 'relHumidityFraction', change: { relHumidityFraction: 1.01 } },
    { field: 'airSpeedMetresPerSecond', change: { airSpeedMetresPerSecond: -1 } },
    { field: 'startTempC', change: { startTempC: NaN } },
    { field: 'horizonMinutes', change: { horizonMinutes: 0 } },
    { field: 'brine.massPercent', change: { brine: { agent: 'NaCl', massPercent: 120 } as const } },
  ])('names $field', ({ field, change }) => {
    expect(() => film({ ...SHADED, ...change })).toThrow(expect.objectContaining({ field }));
  });
});
