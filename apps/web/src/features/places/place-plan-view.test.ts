import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type SunHour } from '@keen/core';
import { makeFormat } from '../../format/format.js';
import { hillsOf, MIDDLE, planText, pointAt, SUN_RADIUS, WALL_RADIUS, wallsOf } from './place-plan-view.js';

const format = makeFormat(DEFAULT_DISPLAY, 'Etc/UTC', 'en-CA');
const AT = Date.UTC(2026, 0, 14, 9);
const hour = (i: number, isLit: boolean): SunHour => ({
  atMs: AT + i * 3_600_000,
  azimuthDeg: 120 + 15 * i,
  isLit,
});

describe('a place seen from above', () => {
  it('has north up and goes with the clock', () => {
    expect(pointAt(0, 10)).toEqual({ x: MIDDLE, y: MIDDLE - 10 });
    expect(pointAt(90, 10).x).toBeCloseTo(MIDDLE + 10, 9);
    expect(pointAt(180, 10).y).toBeCloseTo(MIDDLE + 10, 9);
  });

  it('has walls all round indoors, none in the open, and gaps where it opens', () => {
    expect(wallsOf({ kind: 'indoors' })).toHaveLength(1);
    expect(wallsOf({ kind: 'open', horizon: [] })).toEqual([]);
    expect(wallsOf({ kind: 'roofed', openings: [] })).toHaveLength(1);
    const opening = (fromDeg: number, toDeg: number) => ({ fromDeg, toDeg, topElevationDeg: 40 });
    const [wall] = wallsOf({ kind: 'roofed', openings: [opening(90, 180)] });
    // From where the opening ends in the south, the long way round, to where it begins in the east.
    const south = pointAt(180, WALL_RADIUS);
    expect(wall).toMatch(new RegExp(`^M${south.x.toFixed(2)} ${south.y.toFixed(2)} .* 0 1 1 `));
    expect(wallsOf({ kind: 'roofed', openings: [opening(300, 60), opening(120, 240)] })).toHaveLength(2);
  });

  it('has hills where they hide the low sun, no deeper than the ring', () => {
    expect(hillsOf([{ azimuthDeg: 90, elevationDeg: 0 }])).toEqual([]);
    const [low, high] = hillsOf([
      { azimuthDeg: 90, elevationDeg: 10 },
      { azimuthDeg: 120, elevationDeg: 80 },
    ]);
    expect(low?.depth).toBeLessThan(high?.depth ?? 0);
    expect(high?.depth).toBe(SUN_RADIUS - WALL_RADIUS);
  });

  it('is said in words', () => {
    const roofed = { shelter: { kind: 'roofed', openings: [] } } as const;
    expect(planText(roofed, [hour(0, false), hour(1, true), hour(2, true), hour(3, false)], format)).toBe(
      'Seen from above, north up: under a roof; the sun reaches the car 10:00 to 11:00.',
    );
    expect(planText({ shelter: { kind: 'indoors' } }, [hour(0, false)], format)).toContain(
      'no sun reaches the car',
    );
  });
});
