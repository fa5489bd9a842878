import { describe, expect, it } from '@jest/globals';
import { isWithinArc, MS_PER_HOUR } from '../quantity/index.js';
import {
  COLD_LAKE_PORT,
  groundAlbedoFraction,
  relHumidityFraction,
  simulateWeather,
  type WeatherHour,
} from './index.js';

const FROM = Date.UTC(2025, 10, 1);
const winter = (seed: number, hourCount = 24 * 120): WeatherHour[] =>
  simulateWeather({ climate: COLD_LAKE_PORT, seed, fromMs: FROM, hourCount });
const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

describe('a simulated winter', () => {
  const hours = winter(3);

  it('is the same for the same seed and another for another', () => {
    expect(winter(3, 48)).toEqual(hours.slice(0, 48));
    expect(winter(4, 48)).not.toEqual(hours.slice(0, 48));
  });

  it('answers for any stretch on its own', () => {
    const later = simulateWeather({
      climate: COLD_LAKE_PORT,
      seed: 3,
      fromMs: FROM + 500 * MS_PER_HOUR,
      hourCount: 5,
      startSnowDepthCm: hours[499]?.snowDepthCm,
    });
    expect(later).toEqual(hours.slice(500, 505));
  });

  it('keeps every hour possible', () => {
    for (const hour of hours) {
      expect(hour.dewPointC).toBeLessThan(hour.airTempC);
      expect(hour.cloudFraction).toBeGreaterThanOrEqual(0);
      expect(hour.cloudFraction).toBeLessThanOrEqual(1);
      expect(hour.gustMetresPerSecond).toBeGreaterThanOrEqual(hour.windMetresPerSecond);
      expect(hour.precipMm).toBeGreaterThanOrEqual(0);
      expect(hour.precipMm > 0).toBe(hour.precipKind !== 'none');
      expect(hour.snowDepthCm).toBeGreaterThanOrEqual(0);
      expect(hour.windFromDeg).toBeGreaterThanOrEqual(0);
      expect(hour.windFromDeg).toBeLessThan(360);
    }
  });

  it('snows in the cold and rains in the warm', () => {
    expect(hours.filter(({ precipKind, airTempC }) => precipKind === 'snow' && airTempC > 3)).toHaveLength(0);
    expect(hours.filter(({ precipKind, airTempC }) => precipKind === 'rain' && airTempC < 0)).toHaveLength(0);
    expect(hours.some(({ precipKind }) => precipKind === 'snow')).toBe(true);
    expect(hours.some(({ precipKind }) => precipKind === 'rain')).toBe(true);
  });

  it('is clouded while it falls', () => {
    const falling = hours.filter(({ precipMm }) => precipMm > 0.1);
    expect(Math.min(...falling.map(({ cloudFraction }) => cloudFraction))).toBeGreaterThan(0.8);
  });

  it('thaws and freezes again, more than a few times', () => {
    const crossings = hours.filter(
      (hour, i) => i > 0 && Math.sign(hour.airTempC) !== Math.sign(hours[i - 1]?.airTempC ?? 0),
    );
    expect(crossings.length).toBeGreaterThan(20);
  });

  it('is colder in January than in November, and within what the climate says', () => {
    const monthly = (month: number): number =>
      mean(
        hours.filter(({ atMs }) => new Date(atMs).getUTCMonth() === month).map(({ airTempC }) => airTempC),
      );
    expect(monthly(0)).toBeLessThan(monthly(10));
    expect(monthly(0)).toBeGreaterThan(-18);
    expect(monthly(0)).toBeLessThan(-3);
  });

  it('cools more in clear calm nights than in clouded ones', () => {
    const range = (want: (hour: WeatherHour) => boolean): number => {
      const days = Array.from({ length: 120 }, (_, day) => hours.slice(day * 24, day * 24 + 24)).filter(
        (day) =>
          day.length === 24 &&
          mean(day.map(({ cloudFraction }) => cloudFraction)) >= 0 &&
          want(day[12] ?? hours[0]!),
      );
      return mean(
        days.map(
          (day) =>
            Math.max(...day.map(({ airTempC }) => airTempC)) -
            Math.min(...day.map(({ airTempC }) => airTempC)),
        ),
      );
    };
    expect(range(({ cloudFraction }) => cloudFraction < 0.35)).toBeGreaterThan(
      range(({ cloudFraction }) => cloudFraction > 0.9),
    );
  });

  it('brings lake snow on winds off the lake', () => {
    const lake = hours.filter(
      (hour) => hour.precipKind === 'snow' && isWithinArc(hour.windFromDeg, COLD_LAKE_PORT.lakeArc),
    );
    expect(lake.length).toBeGreaterThan(100);
  });
});

describe('forecast members', () => {
  const issuedMs = Date.UTC(2026, 0, 14, 6);
  const request = { climate: COLD_LAKE_PORT, seed: 3, fromMs: issuedMs, hourCount: 240 };
  const truth = simulateWeather(request);
  const members = Array.from({ length: 20 }, (_, i) =>
    simulateWeather({ ...request, member: { issuedMs, index: i + 1 } }),
  );
  const spread = (hour: number): number => {
    const temps = members.map((member) => member[hour]?.airTempC ?? NaN);
    const middle = mean(temps);
    return Math.sqrt(mean(temps.map((temp) => (temp - middle) ** 2)));
  };

  it('begin on the truth', () => {
    for (const member of members)
      expect(Math.abs((member[0]?.airTempC ?? NaN) - (truth[0]?.airTempC ?? NaN))).toBeLessThan(1);
  });

  it('spread as the lead grows', () => {
    const early = mean([1, 3, 6, 12].map(spread));
    const late = mean([150, 170, 190, 210, 230].map(spread));
    expect(late).toBeGreaterThan(3 * early);
  });

  it('differ from each other and from run to run', () => {
    expect(members[0]).not.toEqual(members[1]);
    const next = simulateWeather({ ...request, member: { issuedMs: issuedMs + 6 * MS_PER_HOUR, index: 1 } });
    expect(next).not.toEqual(members[0]);
  });
});

describe('humidity and ground', () => {
  it('turns a dew point into a humidity over liquid water', () => {
    expect(relHumidityFraction({ airTempC: 10, dewPointC: 10 })).toBe(1);
    expect(relHumidityFraction({ airTempC: 20, dewPointC: 9.26 })).toBeCloseTo(0.5, 2);
  });

  it.each([
    { snowDepthCm: 0, precipKind: 'none', albedo: 0.2 },
    { snowDepthCm: 1.9, precipKind: 'snow', albedo: 0.2 },
    { snowDepthCm: 20, precipKind: 'none', albedo: 0.6 },
    { snowDepthCm: 20, precipKind: 'snow', albedo: 0.8 },
  ] as const)('$snowDepthCm cm, $precipKind: albedo $albedo', ({ snowDepthCm, precipKind, albedo }) => {
    expect(groundAlbedoFraction({ snowDepthCm, precipKind })).toBe(albedo);
  });
});
