import { describe, expect, it } from '@jest/globals';
import type { FilmInput } from '@keen/core';
import { clockText } from './clock-text.js';
import { filmOf, labPath } from './lab-path.js';

const FILM: FilmInput = {
  material: 'steel',
  tiltDeg: 90,
  absorptanceFraction: 0.7,
  solarWm2: 120.123456,
  airTempC: -4.5,
  relHumidityFraction: 0.8,
  airSpeedMetresPerSecond: 1,
  skyTempC: -20,
  filmGramsPerM2: 60,
  startTempC: 12,
  horizonMinutes: 60,
};
const read = (path: string, plain = { ...FILM, airTempC: 9, material: 'glass' as const }): FilmInput =>
  filmOf(new URLSearchParams(path.split('?')[1]), plain);

describe('the address of a film in the lab', () => {
  it('has all of it, so that it comes back as it went', () => {
    expect(read(labPath(FILM))).toEqual({ ...FILM, solarWm2: 120.123, brine: undefined });
    const salty = { ...FILM, brine: { agent: 'CaCl2', massPercent: 12 } } as const;
    expect(read(labPath(salty)).brine).toEqual(salty.brine);
  });

  it('says where it comes from', () => {
    const query = new URLSearchParams(
      labPath(FILM, { panel: 'roof', place: 'bay', startMs: 7 }).split('?')[1],
    );
    expect([query.get('panel'), query.get('place'), query.get('startMs')]).toEqual(['roof', 'bay', '7']);
    expect(labPath(FILM)).not.toContain('panel=');
  });

  it('takes what is missing or wrong from a plain one', () => {
    expect(read('/lab?airTempC=cold&tiltDeg=&material=tin&agent=KCl&massPercent=3')).toMatchObject({
      airTempC: 9,
      tiltDeg: 90,
      material: 'glass',
      brine: undefined,
    });
    expect(read('/lab?agent=NaCl').brine).toBeUndefined();
    expect(read('/lab?agent=NaCl&massPercent=x').brine).toBeUndefined();
    expect(read('/lab?airTempC=-3').airTempC).toBe(-3);
  });
});

describe('seconds on a clock', () => {
  it.each([
    [59.9, '1:00'],
    [3599, '59:59'],
    [3600, '1:00:00'],
    [3661, '1:01:01'],
    [-1, '−0:01'],
    [-61.9, '−1:01'],
    [-3600, '−1:00:00'],
    [1e-10, '0:00'],
  ])('%p s are %p', (seconds, text) => {
    expect(clockText(seconds)).toBe(text);
  });
});
