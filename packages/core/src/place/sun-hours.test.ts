import { describe, expect, it } from '@jest/globals';
import { sunHours } from './sun-hours.js';

const AT = { latitudeDeg: 46.5, longitudeDeg: -84.3 };
const JANUARY = Date.UTC(2026, 0, 14, 17);
const OPEN = { kind: 'open', horizon: [] } as const;

describe('the sun round a place', () => {
  it('goes from the south-east over south to the south-west in a winter day of nine hours', () => {
    const hours = sunHours({ ...AT, shelter: OPEN }, JANUARY);
    expect(hours.length).toBeGreaterThanOrEqual(8);
    expect(hours.length).toBeLessThanOrEqual(9);
    expect(hours[0]?.azimuthDeg).toBeGreaterThan(115);
    expect(hours.at(-1)?.azimuthDeg).toBeLessThan(245);
    const azimuths = hours.map(({ azimuthDeg }) => azimuthDeg);
    expect(azimuths).toEqual([...azimuths].sort((a, b) => a - b));
    expect(hours.every(({ isLit }) => isLit)).toBe(true);
  });

  it('reaches no car indoors, and under a roof only through an opening that looks its way', () => {
    expect(sunHours({ ...AT, shelter: { kind: 'indoors' } }, JANUARY).some(({ isLit }) => isLit)).toBe(false);
    const southEast = {
      kind: 'roofed',
      openings: [{ fromDeg: 100, toDeg: 160, topElevationDeg: 40 }],
    } as const;
    const lit = sunHours({ ...AT, shelter: southEast }, JANUARY).filter(({ isLit }) => isLit);
    expect(lit.length).toBeGreaterThan(0);
    for (const { azimuthDeg } of lit) expect(azimuthDeg).toBeLessThanOrEqual(160);
  });

  it('is nowhere in a polar night, and up all day in a polar summer', () => {
    const north = { latitudeDeg: 75, longitudeDeg: 20, shelter: OPEN };
    expect(sunHours(north, Date.UTC(2026, 11, 21, 12))).toEqual([]);
    expect(sunHours(north, Date.UTC(2026, 5, 21, 12))).toHaveLength(24);
  });
});
