import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  daylight,
  horizonElevationDeg,
  incidenceDeg,
  irradiance,
  openSkyFraction,
  overheadTempC,
  panelIrradianceWm2,
  shelteredIrradianceWm2,
  sunPosition,
  sunReaches,
} from './index.js';

const PORT = { latitudeDeg: 46.5, longitudeDeg: -84.3 };
const NOON = Date.parse('2026-01-14T12:46:00-05:00');

describe('sunPosition', () => {
  it('stands due south at solar noon, as high as the latitude and the season allow', () => {
    const sun = sunPosition(PORT, NOON);
    // Declination on 14 January is about −21.3°: 90 − 46.5 − 21.3 = 22.2°.
    expect(sun.elevationDeg).toBeCloseTo(22.2, 0);
    expect(Math.abs(sun.azimuthDeg - 180)).toBeLessThan(1.5);
  });

  it('refuses a latitude off the globe by name', () => {
    expect(() => sunPosition({ latitudeDeg: 91, longitudeDeg: 0 }, NOON)).toThrow(/latitudeDeg/);
  });
});

describe('daylight', () => {
  it('gives a short winter day', () => {
    const day = daylight(PORT, NOON);
    if (day.kind !== 'day') throw new Error('a day was expected');
    const hours = (day.sunsetMs - day.sunriseMs) / 3_600_000;
    expect(hours).toBeGreaterThan(8.7);
    expect(hours).toBeLessThan(9.2);
  });

  it('tells polar night from polar day', () => {
    expect(daylight({ latitudeDeg: 80, longitudeDeg: 0 }, NOON).kind).toBe('always-down');
    expect(daylight({ latitudeDeg: 80, longitudeDeg: 0 }, Date.UTC(2026, 5, 21)).kind).toBe('always-up');
  });
});

describe('irradiance', () => {
  const high = { elevationDeg: 60, azimuthDeg: 180 };

  it('follows Haurwitz under a clear sky', () => {
    const cosZenith = Math.sin(Math.PI / 3);
    const { globalWm2 } = irradiance(high, { cloudFraction: 0, atMs: Date.UTC(2026, 5, 1) });
    expect(globalWm2).toBeCloseTo(1098 * cosZenith * Math.exp(-0.059 / cosZenith), 6);
  });

  it('leaves a quarter under full cloud (Kasten & Czeplak), nearly all of it diffuse', () => {
    const clear = irradiance(high, { cloudFraction: 0, atMs: 0 });
    const cloud = irradiance(high, { cloudFraction: 1, atMs: 0 });
    expect(cloud.globalWm2 / clear.globalWm2).toBeCloseTo(0.25, 6);
    expect(cloud.diffuseWm2 / cloud.globalWm2).toBeGreaterThan(0.95);
  });

  /** Erbs, Klein & Duffie 1982, as printed: diffuse share by clearness, which is global over what comes from outside the air. */
  const erbs = (kt: number): number =>
    kt <= 0.22
      ? 1 - 0.09 * kt
      : kt <= 0.8
        ? 0.9511 - 0.1604 * kt + 4.388 * kt ** 2 - 16.638 * kt ** 3 + 12.336 * kt ** 4
        : 0.165;

  it.each([
    // Day of the year, counted by hand, and the distance term 1 + 0.033 cos(360 n / 365).
    { date: [2026, 0, 1, 12], day: 1.5, elevationDeg: 20, cloudFraction: 0.6 },
    { date: [2026, 3, 2, 0], day: 92, elevationDeg: 45, cloudFraction: 0.8 },
    { date: [2026, 6, 4, 0], day: 185, elevationDeg: 60, cloudFraction: 0 },
    { date: [2026, 8, 30, 0], day: 273, elevationDeg: 35, cloudFraction: 0.9 },
    { date: [2024, 11, 31, 0], day: 366, elevationDeg: 15, cloudFraction: 1 },
  ] as const)('splits off the diffuse share by clearness on day $day', ({ date, day, ...sky }) => {
    const [year, month, dayOfMonth, hour] = date;
    const sine = Math.sin((sky.elevationDeg * Math.PI) / 180);
    const outside = 1361 * (1 + 0.033 * Math.cos((2 * Math.PI * day) / 365)) * sine;
    const light = irradiance(
      { elevationDeg: sky.elevationDeg, azimuthDeg: 180 },
      { cloudFraction: sky.cloudFraction, atMs: Date.UTC(year, month, dayOfMonth, hour) },
    );
    expect(light.diffuseWm2 / light.globalWm2).toBeCloseTo(erbs(light.globalWm2 / outside), 9);
    expect(light.beamNormalWm2 * sine + light.diffuseWm2).toBeCloseTo(light.globalWm2, 9);
  });

  it('is dark below the horizon', () => {
    expect(irradiance({ elevationDeg: -0.1, azimuthDeg: 90 }, { cloudFraction: 0, atMs: 0 }).globalWm2).toBe(
      0,
    );
  });

  it('splits without loss: beam on level ground and diffuse make the global', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 89, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (elevationDeg, cloudFraction) => {
          const light = irradiance({ elevationDeg, azimuthDeg: 0 }, { cloudFraction, atMs: 0 });
          const level = light.beamNormalWm2 * Math.sin((elevationDeg * Math.PI) / 180) + light.diffuseWm2;
          expect(level).toBeCloseTo(light.globalWm2, 6);
          expect(light.beamNormalWm2).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
});

describe('a panel', () => {
  const sun = { elevationDeg: 22, azimuthDeg: 180 };
  const light = irradiance(sun, { cloudFraction: 0, atMs: NOON });

  it('takes the global when it lies level', () => {
    const level = panelIrradianceWm2(light, {
      sun,
      panel: { tiltDeg: 0, panelAzimuthDeg: 0 },
      albedoFraction: 0.8,
    });
    expect(level).toBeCloseTo(light.globalWm2, 6);
  });

  it('takes more on the sunny flank than on the shady one, and snow lights both', () => {
    const flank = (panelAzimuthDeg: number, albedoFraction: number): number =>
      panelIrradianceWm2(light, { sun, panel: { tiltDeg: 90, panelAzimuthDeg }, albedoFraction });
    expect(flank(180, 0.2)).toBeGreaterThan(3 * flank(0, 0.2));
    expect(flank(0, 0.8)).toBeGreaterThan(flank(0, 0.2));
  });

  it('meets the beam at the angle between them', () => {
    expect(incidenceDeg(sun, { tiltDeg: 90, panelAzimuthDeg: 180 })).toBeCloseTo(22, 6);
    expect(incidenceDeg(sun, { tiltDeg: 0, panelAzimuthDeg: 77 })).toBeCloseTo(68, 6);
    expect(incidenceDeg(sun, { tiltDeg: 90, panelAzimuthDeg: 0 })).toBeGreaterThan(90);
  });
});

describe('shelter', () => {
  const horizon = [
    { azimuthDeg: 350, elevationDeg: 10 },
    { azimuthDeg: 10, elevationDeg: 20 },
  ];

  it('runs a horizon profile straight between its points, also past north', () => {
    expect(horizonElevationDeg(horizon, 0)).toBeCloseTo(15, 6);
    expect(horizonElevationDeg(horizon, 10)).toBeCloseTo(20, 6);
    expect(horizonElevationDeg([], 100)).toBe(0);
    // A quarter of the way from either side of north, and all the way round where nothing else is known.
    expect(horizonElevationDeg(horizon, 355)).toBeCloseTo(12.5, 6);
    expect(horizonElevationDeg(horizon, 5)).toBeCloseTo(17.5, 6);
    expect(horizonElevationDeg(horizon, 180)).toBeCloseTo(15, 6);
    expect(horizonElevationDeg(horizon, -10)).toBeCloseTo(10, 6);
    const alone = [{ azimuthDeg: 200, elevationDeg: 7 }];
    for (const azimuthDeg of [0, 90, 200, 359])
      expect(horizonElevationDeg(alone, azimuthDeg)).toBeCloseTo(7, 6);
  });

  it.each([
    { elevationDeg: 14.9, reaches: false, why: 'just under the hill' },
    { elevationDeg: 15.1, reaches: true, why: 'just over it' },
  ])('lets the sun over the hill: $why', ({ elevationDeg, reaches }) => {
    expect(sunReaches({ kind: 'open', horizon }, { elevationDeg, azimuthDeg: 0 })).toBe(reaches);
  });

  it('has no sun while it is at or below a level horizon', () => {
    const open = { kind: 'open', horizon: [] } as const;
    expect(sunReaches(open, { elevationDeg: 0, azimuthDeg: 180 })).toBe(false);
    expect(sunReaches(open, { elevationDeg: 0.1, azimuthDeg: 180 })).toBe(true);
    expect(sunReaches({ kind: 'indoors' }, { elevationDeg: 50, azimuthDeg: 180 })).toBe(false);
  });

  const bay = { kind: 'roofed', openings: [{ fromDeg: 110, toDeg: 165, topElevationDeg: 35 }] } as const;

  it.each([
    { azimuthDeg: 140, elevationDeg: 20, reaches: true, why: 'through the open end' },
    { azimuthDeg: 140, elevationDeg: 40, reaches: false, why: 'the roof is in the way' },
    { azimuthDeg: 200, elevationDeg: 20, reaches: false, why: 'a wall is in the way' },
  ])('lets the sun into a bay by its ends only: $why', ({ azimuthDeg, elevationDeg, reaches }) => {
    expect(sunReaches(bay, { azimuthDeg, elevationDeg })).toBe(reaches);
  });

  it('is dark indoors and thinned in a bay', () => {
    const sun = { elevationDeg: 20, azimuthDeg: 300 };
    const light = irradiance(sun, { cloudFraction: 0.5, atMs: NOON });
    const at = (shelter: Parameters<typeof openSkyFraction>[0]): number =>
      shelteredIrradianceWm2(light, {
        sun,
        panel: { tiltDeg: 0, panelAzimuthDeg: 0 },
        albedoFraction: 0.2,
        shelter,
      });
    expect(at({ kind: 'indoors' })).toBe(0);
    expect(at(bay)).toBeGreaterThan(0);
    expect(at(bay)).toBeLessThan(0.2 * at({ kind: 'open', horizon: [] }));
  });

  it('is open to the sky by the arc and the height of its ends, and never beyond all of it', () => {
    // 55 of 360 degrees, up to 35.
    expect(openSkyFraction(bay)).toBeCloseTo((55 / 360) * Math.sin((35 * Math.PI) / 180), 9);
    const two = {
      kind: 'roofed',
      openings: [...bay.openings, { fromDeg: 350, toDeg: 20, topElevationDeg: 90 }],
    } as const;
    expect(openSkyFraction(two)).toBeCloseTo(openSkyFraction(bay) + 30 / 360, 9);
    const all = Array.from({ length: 4 }, () => ({ fromDeg: 0, toDeg: 200, topElevationDeg: 90 }));
    expect(openSkyFraction({ kind: 'roofed', openings: all })).toBe(1);
  });

  it('hides a cold sky under a roof', () => {
    const temps = { skyTempC: -30, roofTempC: -2 };
    expect(overheadTempC(openSkyFraction({ kind: 'open', horizon: [] }), temps)).toBeCloseTo(-30, 6);
    expect(overheadTempC(openSkyFraction({ kind: 'indoors' }), temps)).toBeCloseTo(-2, 6);
    expect(overheadTempC(openSkyFraction(bay), temps)).toBeGreaterThan(-6);
  });
});
