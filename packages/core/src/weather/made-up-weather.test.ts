import { describe, expect, it } from '@jest/globals';
import { COLD_LAKE_PORT, simulateWeather, type WeatherHour } from './index.js';

/** Means over many hours, to a few digits: any change of the model moves one of them. */
function summary(hours: readonly WeatherHour[]) {
  const mean = (of: (hour: WeatherHour) => number): number =>
    hours.reduce((sum, hour) => sum + of(hour), 0) / hours.length;
  const count = (kind: WeatherHour['precipKind']): number =>
    hours.filter(({ precipKind }) => precipKind === kind).length;
  const turn = (deg: number): number => (deg * Math.PI) / 180;
  return {
    air: mean(({ airTempC }) => airTempC),
    dew: mean(({ dewPointC }) => dewPointC),
    wind: mean(({ windMetresPerSecond }) => windMetresPerSecond),
    gust: mean(({ gustMetresPerSecond }) => gustMetresPerSecond),
    east: mean(({ windFromDeg }) => Math.sin(turn(windFromDeg))),
    north: mean(({ windFromDeg }) => Math.cos(turn(windFromDeg))),
    cloud: mean(({ cloudFraction }) => cloudFraction),
    mm: mean(({ precipMm }) => precipMm),
    snowCm: mean(({ snowDepthCm }) => snowDepthCm),
    hPa: mean(({ pressureHpa }) => pressureHpa),
    kinds: [count('none'), count('snow'), count('sleet'), count('rain')],
  };
}

type Summary = ReturnType<typeof summary>;
function isAsEver({ kinds, ...found }: Summary, { kinds: expectedKinds, ...expected }: Summary): void {
  expect(kinds).toEqual(expectedKinds);
  for (const [name, value] of Object.entries(expected))
    expect([name, Math.abs(found[name as keyof typeof found] - value) < 0.001]).toEqual([name, true]);
}

// The demo, its pictures and their captions rest on the made-up weather of a seed. There is no outside source for it: it is pinned as
// it is, and a change of the model on purpose writes new figures here.
describe('the made-up weather of a seed', () => {
  it('is the same as ever over a winter', () => {
    const winter = simulateWeather({
      climate: COLD_LAKE_PORT,
      seed: 11,
      fromMs: Date.UTC(2025, 10, 1, 4),
      hourCount: 3000,
    });
    isAsEver(summary(winter), {
      air: -7.131,
      dew: -10.323,
      wind: 3.807,
      gust: 5.81,
      east: -0.718,
      north: -0.1695,
      cloud: 0.667,
      mm: 0.215,
      snowCm: 46.049,
      hPa: 1012.2655,
      kinds: [1783, 1096, 38, 83],
    });
    const [first, snowy, cold] = [winter[7], winter[500], winter[1500]];
    expect(first?.airTempC).toBeCloseTo(-0.704, 3);
    expect(first?.windFromDeg).toBeCloseTo(221.761, 3);
    expect(snowy?.precipMm).toBeCloseTo(0.187, 3);
    expect(snowy?.snowDepthCm).toBeCloseTo(25.186, 3);
    expect(cold?.airTempC).toBeCloseTo(-20.496, 3);
    expect(cold?.pressureHpa).toBeCloseTo(1011.273, 3);
  });

  it('is the same as ever in spring, with snow left to melt', () => {
    const spring = simulateWeather({
      climate: COLD_LAKE_PORT,
      seed: 4,
      fromMs: Date.UTC(2026, 3, 1),
      hourCount: 1000,
      startSnowDepthCm: 30,
    });
    isAsEver(summary(spring), {
      air: 3.484,
      dew: -2.173,
      wind: 3.427,
      gust: 5.335,
      east: -0.736,
      north: -0.161,
      cloud: 0.597,
      mm: 0.102,
      snowCm: 5.307,
      hPa: 1013.138,
      kinds: [791, 75, 17, 117],
    });
    expect(spring[0]?.snowDepthCm).toBeLessThanOrEqual(31);
    expect(spring.at(-1)?.snowDepthCm).toBe(0);
  });

  it('is the same as ever in a member of a forecast', () => {
    const issuedMs = Date.UTC(2026, 0, 14, 11);
    const member = simulateWeather({
      climate: COLD_LAKE_PORT,
      seed: 11,
      fromMs: issuedMs,
      hourCount: 240,
      member: { issuedMs, index: 3 },
    });
    isAsEver(summary(member), {
      air: -8.884,
      dew: -11.947,
      wind: 4.302,
      gust: 6.6,
      east: -0.727,
      north: -0.237,
      cloud: 0.664,
      mm: 0.244,
      snowCm: 23.089,
      hPa: 1011.922,
      kinds: [135, 105, 0, 0],
    });
  });

  it('falls as snow in the cold and as rain in the warm, and nothing that is less than a trace', () => {
    const hours = simulateWeather({
      climate: COLD_LAKE_PORT,
      seed: 4,
      fromMs: Date.UTC(2026, 2, 1),
      hourCount: 2000,
    });
    for (const { airTempC, dewPointC, precipKind, precipMm } of hours) {
      expect(precipMm > 0).toBe(precipKind !== 'none');
      if (precipKind === 'none') continue;
      expect(precipMm).toBeGreaterThanOrEqual(0.02);
      // The wet bulb lies between dew point and air.
      if (airTempC < 0.3) expect(precipKind).toBe('snow');
      if (dewPointC >= 1.3) expect(precipKind).toBe('rain');
      if (precipKind === 'rain') expect(airTempC).toBeGreaterThanOrEqual(1.3);
      if (precipKind === 'snow') expect(dewPointC).toBeLessThan(0.3);
    }
  });
});
