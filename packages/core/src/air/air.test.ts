import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import psychrolib from 'psychrolib';
import {
  dewPointFromHumidity,
  frostPointC,
  humidAir,
  humidityFromDewPoint,
  saturationOverIcePa,
  saturationOverWaterPa,
  skyTempC,
  vapourDensityKgPerM3,
  windChill,
} from './index.js';

describe('windChill', () => {
  it.each([
    // Environment Canada's published table, whole degrees.
    { airTempC: 0, windKmh: 20, table: -5 },
    { airTempC: -10, windKmh: 20, table: -18 },
    { airTempC: -20, windKmh: 30, table: -33 },
    { airTempC: -30, windKmh: 50, table: -49 },
    { airTempC: -40, windKmh: 10, table: -51 },
  ])('agrees with the table at $airTempC °C and $windKmh km/h', ({ airTempC, windKmh, table }) => {
    expect(Math.abs((windChill({ airTempC, windKmh }).windChillC ?? NaN) - table)).toBeLessThanOrEqual(0.5);
  });

  it('is the air temperature itself in no wind', () => {
    expect(windChill({ airTempC: -12, windKmh: 0 }).windChillC).toBe(-12);
  });

  it('meets the low-wind form at 5 km/h within half a degree', () => {
    const below = windChill({ airTempC: -15, windKmh: 4.999 }).windChillC ?? NaN;
    const above = windChill({ airTempC: -15, windKmh: 5 }).windChillC ?? NaN;
    expect(Math.abs(below - above)).toBeLessThan(0.5);
  });

  it.each([
    { airTempC: -18, windKmh: 20, frostbiteClass: 'none', why: 'about −28: just above the first class' },
    { airTempC: -19, windKmh: 20, frostbiteClass: '10-30-min', why: 'just below −28' },
    { airTempC: -28, windKmh: 20, frostbiteClass: '5-10-min', why: 'just below −40' },
    { airTempC: -34, windKmh: 20, frostbiteClass: '2-5-min', why: 'just below −48' },
    { airTempC: -40, windKmh: 20, frostbiteClass: 'under-2-min', why: 'below −55' },
  ])('classes $airTempC °C: $why', ({ airTempC, windKmh, frostbiteClass }) => {
    expect(windChill({ airTempC, windKmh }).frostbiteClass).toBe(frostbiteClass);
  });

  it('is not defined above 10 °C and says so', () => {
    expect(windChill({ airTempC: 10.1, windKmh: 10 })).toMatchObject({
      windChillC: null,
      frostbiteClass: 'none',
    });
    expect(windChill({ airTempC: 10, windKmh: 10 }).windChillC).not.toBeNull();
  });

  it.each([
    { airTempC: -61, windKmh: 5 },
    { airTempC: 61, windKmh: 5 },
    { airTempC: NaN, windKmh: 5 },
  ])('refuses air of $airTempC °C by name', (input) => {
    expect(() => windChill(input)).toThrow(expect.objectContaining({ field: 'airTempC' }));
  });

  it('names the field that is out of range', () => {
    expect(() => windChill({ airTempC: -5, windKmh: -1 })).toThrow(
      /windKmh is -1; allowed is 0 to 200 km\/h/,
    );
  });
});

describe('humidAir', () => {
  it.each([
    // Sonntag 1990 / WMO tables.
    { airTempC: 20, relHumidityFraction: 0.5, dewPointC: 9.3, wetBulbC: 13.8 },
    { airTempC: 30, relHumidityFraction: 0.3, dewPointC: 10.5, wetBulbC: 18.0 },
    { airTempC: 0, relHumidityFraction: 0.8, dewPointC: -3.0, wetBulbC: -1.1 },
  ])('dew point and wet bulb at $airTempC °C', ({ airTempC, relHumidityFraction, dewPointC, wetBulbC }) => {
    const air = humidAir({ airTempC, relHumidityFraction });
    expect(Math.abs(air.dewPointC - dewPointC)).toBeLessThan(0.1);
    expect(Math.abs(air.wetBulbC - wetBulbC)).toBeLessThan(0.15);
  });

  it('keeps humidity over liquid water below freezing: saturated air has its dew point at its own temperature', () => {
    const air = humidAir({ airTempC: -15, relHumidityFraction: 1 });
    expect(air.dewPointC).toBeCloseTo(-15, 6);
    expect(air.wetBulbC).toBeCloseTo(-15, 6);
    expect(air.frostPointC).toBeGreaterThan(-15);
  });

  it('has no frost point or ice bulb in warm air', () => {
    expect(humidAir({ airTempC: 15, relHumidityFraction: 0.9 })).toMatchObject({
      frostPointC: null,
      iceBulbC: null,
    });
  });

  it('agrees with the library on the wet bulb above freezing, where the conventions meet', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 40, noNaN: true }),
        fc.double({ min: 0.3, max: 0.98, noNaN: true }),
        (airTempC, relHumidityFraction) => {
          const { wetBulbC, vapourPressurePa } = humidAir({ airTempC, relHumidityFraction });
          // Just above 0 °C a liquid film and an ice film have different bulbs; the library then speaks of ice.
          fc.pre(wetBulbC > 1);
          const ratio = psychrolib.GetHumRatioFromVapPres(vapourPressurePa, 101_325);
          expect(wetBulbC).toBeCloseTo(psychrolib.GetTWetBulbFromHumRatio(airTempC, ratio, 101_325), 1);
        },
      ),
      { numRuns: 60 },
    );
  });

  it.each([
    { airTempC: -3, relHumidityFraction: 0.4 },
    { airTempC: -5, relHumidityFraction: 0.8 },
    { airTempC: -10, relHumidityFraction: 0.5 },
    { airTempC: -20, relHumidityFraction: 0.7 },
    { airTempC: 2, relHumidityFraction: 0.3 },
  ])('agrees with the library on the ice bulb at $airTempC °C, $relHumidityFraction', (input) => {
    const { iceBulbC, vapourPressurePa } = humidAir(input);
    const ratio = psychrolib.GetHumRatioFromVapPres(vapourPressurePa, 101_325);
    const library = psychrolib.GetTWetBulbFromHumRatio(input.airTempC, ratio, 101_325);
    expect(Math.abs((iceBulbC ?? NaN) - library)).toBeLessThan(0.06);
  });

  it('has its ice bulb above the air where the air is damp beyond ice saturation, and none in warm air', () => {
    const fog = humidAir({ airTempC: -8, relHumidityFraction: 1 });
    expect(fog.iceBulbC).toBeGreaterThan(-8);
    expect(fog.frostPointC).toBeGreaterThan(-8);
    expect(humidAir({ airTempC: 12, relHumidityFraction: 0.9 }).iceBulbC).toBeNull();
  });

  it('orders dew point, wet bulb and air', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -35, max: 40, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (airTempC, relHumidityFraction) => {
          const { dewPointC, wetBulbC } = humidAir({ airTempC, relHumidityFraction });
          expect(dewPointC).toBeLessThanOrEqual(wetBulbC + 1e-6);
          expect(wetBulbC).toBeLessThanOrEqual(airTempC + 1e-6);
        },
      ),
      { examples: [[18.355584885134544, 0.9949380286496716]], numRuns: 300 },
    );
  });

  it.each([
    { field: 'relHumidityFraction', input: { airTempC: 5, relHumidityFraction: 1.2 } },
    { field: 'airTempC', input: { airTempC: 99, relHumidityFraction: 0.5 } },
    { field: 'pressureHpa', input: { airTempC: 5, relHumidityFraction: 0.5, pressureHpa: 10 } },
  ])('refuses a bad $field by name', ({ field, input }) => {
    expect(() => humidAir(input)).toThrow(expect.objectContaining({ field, code: 'out-of-range' }));
  });
});

describe('saturation', () => {
  it('is the same over ice and water at 0 °C, and lower over ice below', () => {
    expect(saturationOverIcePa(0)).toBe(saturationOverWaterPa(0));
    expect(saturationOverIcePa(-10) / saturationOverWaterPa(-10)).toBeCloseTo(0.907, 2);
  });

  it.each([
    // Murphy & Koop 2005, over water.
    { tempC: 20, pa: 2339 },
    { tempC: -10, pa: 286.6 },
    { tempC: -20, pa: 125.5 },
  ])('over water at $tempC °C within half a percent', ({ tempC, pa }) => {
    expect(Math.abs(saturationOverWaterPa(tempC) / pa - 1)).toBeLessThan(0.005);
  });
});

describe('vapour', () => {
  it.each([
    // Saturated air, g/m³, by the usual tables.
    { tempC: 20, grams: 17.3 },
    { tempC: 0, grams: 4.85 },
    { tempC: 30, grams: 30.4 },
  ])('weighs $grams g/m³ in saturated air of $tempC °C', ({ tempC, grams }) => {
    const density = vapourDensityKgPerM3(saturationOverWaterPa(tempC), tempC);
    expect(Math.abs((density * 1000) / grams - 1)).toBeLessThan(0.01);
  });

  it.each([
    // Frost point and dew point of the same air (WMO-No. 8, tables): −9.0 over ice is −10 over water.
    { dewC: -10, frostC: -8.9 },
    { dewC: -20, frostC: -18.0 },
    { dewC: -30, frostC: -27.2 },
  ])('of a dew point of $dewC °C has its frost point at $frostC °C', ({ dewC, frostC }) => {
    expect(Math.abs(frostPointC(saturationOverWaterPa(dewC)) - frostC)).toBeLessThan(0.15);
  });

  it('turns humidity into dew point and back, never above saturation', () => {
    expect(dewPointFromHumidity(20, 0.5)).toBeCloseTo(9.26, 1);
    expect(humidityFromDewPoint(20, 9.26)).toBeCloseTo(0.5, 2);
    expect(humidityFromDewPoint(-10, dewPointFromHumidity(-10, 0.35))).toBeCloseTo(0.35, 9);
    expect(humidityFromDewPoint(5, 7)).toBe(1);
  });
});

describe('skyTempC', () => {
  it.each([
    // ε = 0.711 + 0.56 d + 0.73 d² with d = dew point / 100, worked apart in another language.
    { dewPointC: 15, sky: 5.08, why: 'damp, ε 0.811' },
    { dewPointC: 0, sky: -3.96, why: 'ε 0.711' },
    { dewPointC: -30, sky: -14.22, why: 'dry, ε 0.609' },
  ])(
    'radiates at $sky °C over air of 20 °C with a dew point of $dewPointC °C: $why',
    ({ dewPointC, sky }) => {
      expect(skyTempC({ airTempC: 20, dewPointC, cloudFraction: 0 })).toBeCloseTo(sky, 2);
    },
  );

  it('is far below the air under a clear dry sky, and near it under cloud', () => {
    const clear = skyTempC({ airTempC: 0, dewPointC: -10, cloudFraction: 0 });
    const overcast = skyTempC({ airTempC: 0, dewPointC: -10, cloudFraction: 1 });
    expect(clear).toBeLessThan(-20);
    expect(overcast).toBeGreaterThan(-5);
    expect(overcast).toBeLessThanOrEqual(0);
  });
});
