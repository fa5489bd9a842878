import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import { distanceKm, requireDrive, speedFactor, trackDrives, type TrackPoint } from './index.js';

const START = Date.UTC(2026, 0, 10, 8);

/** A way north along a meridian at a steady speed; a degree of latitude is 111.19 km. */
const way = (kmh: number, minutes: number, everySeconds = 30): TrackPoint[] =>
  Array.from({ length: (minutes * 60) / everySeconds + 1 }, (_, i) => ({
    line: i + 3,
    latitudeDeg: 46.5 + (kmh * i * everySeconds) / 3600 / 111.195,
    longitudeDeg: -84.3,
    atMs: START + i * everySeconds * 1000,
  }));

describe('a drive', () => {
  const plain = { hourMs: START, roadClass: 'main', km: 40, meanKmh: 70 } as const;

  it.each([
    { change: {}, field: null, why: 'an ordinary hour' },
    { change: { km: 250 }, field: null, why: 'the most within an hour' },
    { change: { km: 5000 }, field: 'km', why: '5,000 km within an hour' },
    { change: { km: -1 }, field: 'km', why: 'backwards' },
    { change: { meanKmh: 400 }, field: 'meanKmh', why: 'faster than anything on the road' },
    { change: { meanKmh: null }, field: null, why: 'no speed known' },
    { change: { roadClass: 'river' as 'main' }, field: 'roadClass', why: 'a road that is none' },
  ])('$why', ({ change, field }) => {
    const act = (): void => requireDrive({ ...plain, ...change });
    if (field === null) expect(act).not.toThrow();
    else expect(act).toThrow(expect.objectContaining({ field }));
  });

  it.each([
    { kmh: 5, factor: 0.25, why: 'crawling still throws some' },
    { kmh: 40, factor: 0.5, why: 'half of 80' },
    { kmh: 80, factor: 1, why: 'what the pick-up is stated for' },
    { kmh: 200, factor: 1.5, why: 'no more than so much' },
  ])('spray at $kmh km/h: $why', ({ kmh, factor }) => {
    expect(speedFactor(kmh)).toBeCloseTo(factor, 9);
  });
});

describe('distance', () => {
  it('is a 360th of the meridian for a degree of latitude', () => {
    const here = { latitudeDeg: 46, longitudeDeg: -84 };
    expect(distanceKm(here, { ...here, latitudeDeg: 47 })).toBeCloseTo(111.19, 1);
    expect(distanceKm(here, here)).toBe(0);
  });

  it('shrinks with latitude for a degree of longitude', () => {
    const at = (latitudeDeg: number): number =>
      distanceKm({ latitudeDeg, longitudeDeg: 0 }, { latitudeDeg, longitudeDeg: 1 });
    expect(at(60) / at(0)).toBeCloseTo(0.5, 2);
  });
});

describe('a recorded way', () => {
  it('gives kilometres and mean speed by hour, main road where it is fast', () => {
    const { drives, faults } = trackDrives(way(80, 30), null);
    expect(faults).toEqual([]);
    expect(drives).toHaveLength(1);
    expect(drives[0]).toMatchObject({ hourMs: START, roadClass: 'main' });
    expect(drives[0]?.km).toBeCloseTo(40, 1);
    expect(drives[0]?.meanKmh).toBeCloseTo(80, 0);
  });

  it('is town where it is slow, or what one says it is', () => {
    expect(trackDrives(way(35, 20), null).drives[0]?.roadClass).toBe('town');
    expect(trackDrives(way(35, 20), 'bridge').drives[0]?.roadClass).toBe('bridge');
  });

  it('is split where the hour turns', () => {
    const { drives } = trackDrives(
      way(60, 90).map((point) => ({ ...point, atMs: (point.atMs ?? 0) + 1_800_000 })),
      'main',
    );
    expect(drives.map(({ hourMs }) => (hourMs - START) / MS_PER_HOUR)).toEqual([0, 1]);
    expect(drives[0]?.km).toBeCloseTo(30, 0);
    expect(drives[1]?.km).toBeCloseTo(60, 0);
  });

  it('does not drive a straight line through a long stop, nor count standing', () => {
    const points = way(60, 10);
    const late = points.map((point) => ({
      ...point,
      atMs: (point.atMs ?? 0) + 2 * MS_PER_HOUR,
      latitudeDeg: point.latitudeDeg + 1,
    }));
    const { drives } = trackDrives([...points, ...late], 'main');
    expect(drives.reduce((sum, { km }) => sum + km, 0)).toBeCloseTo(20, 0);
    expect(trackDrives(way(1, 30), null).drives).toEqual([]);
  });

  it.each<{ change: Partial<TrackPoint>; code: string }>([
    { change: { atMs: null }, code: 'no-time' },
    { change: { atMs: START - 1 }, code: 'out-of-order' },
    { change: { latitudeDeg: 120 }, code: 'bad-place' },
    { change: { latitudeDeg: NaN }, code: 'bad-place' },
    { change: { latitudeDeg: 50 }, code: 'too-fast' },
  ])('passes over a point with $code and says its line', ({ change, code }) => {
    const points = way(60, 10);
    const broken = points.map((point, i) => (i === 7 ? { ...point, ...change } : point));
    const { drives, faults } = trackDrives(broken, 'main');
    expect(faults).toEqual([expect.objectContaining({ line: 10, code })]);
    expect(drives[0]?.km).toBeCloseTo(10, 0);
  });
});
