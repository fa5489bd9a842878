import { describe, expect, it } from '@jest/globals';
import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { litAt, sunLine, type SunLineCase } from './index.js';

/** A drive in the north, its car's nose to the north, on an evening of midsummer: the sun goes round by the left side. */
const START = Date.parse('2026-06-21T15:00:00-04:00');
const at = (minutes: number): number => START + minutes * MS_PER_MINUTE;
const DRIVE: SunLineCase['place'] = {
  latitudeDeg: 46.5,
  longitudeDeg: -84.3,
  carHeadingDeg: 0,
  shelter: { kind: 'open', horizon: [] },
};
const line = (change: Partial<SunLineCase> = {}) =>
  sunLine({
    place: DRIVE,
    startMs: START,
    endMs: at(90),
    lookUntilMs: START + 8 * MS_PER_HOUR,
    cloudAt: () => 0,
    edges: [],
    ...change,
  });
const sides = (of: ReturnType<typeof line>) => of?.spans.map(({ side }) => side);

describe('the side that is in the sun', () => {
  it('is the left one in the afternoon of a car that looks north, with its rear, until the sun is down', () => {
    const found = line();
    expect(sides(found)).toEqual(expect.arrayContaining(['left', 'rear']));
    expect(sides(found)).not.toContain('right');
    expect(found?.litFlank).toBe('left');
    const left = found?.spans.find(({ side }) => side === 'left');
    expect(left?.fromMs).toBe(START);
    // The sun sets there at 21:45; before that its beam is too weak to notice.
    expect(left?.toMs).toBeGreaterThan(Date.parse('2026-06-21T20:30:00-04:00'));
    expect(left?.toMs).toBeLessThanOrEqual(Date.parse('2026-06-21T21:45:00-04:00'));
  });

  it('is the other one where the car stands the other way round, and changes where the sun crosses its nose', () => {
    expect(line({ place: { ...DRIVE, carHeadingDeg: 180 } })?.litFlank).toBe('right');
    const across = line({ place: { ...DRIVE, carHeadingDeg: 250 }, endMs: at(180) });
    const [first] = across?.spans.filter(({ side }) => side === 'left') ?? [];
    const [then] = across?.spans.filter(({ side }) => side === 'right') ?? [];
    expect(first?.toMs).toBeLessThan(at(180));
    expect(then?.fromMs).toBeGreaterThanOrEqual((first?.toMs ?? Infinity) - 10 * MS_PER_MINUTE);
  });

  it('is none at night, under cloud, indoors, behind a wall, or where nobody knows the cloud', () => {
    expect(line({ startMs: START + 9 * MS_PER_HOUR, endMs: START + 10 * MS_PER_HOUR })).toBeNull();
    expect(line({ cloudAt: () => 1 })).toBeNull();
    expect(line({ cloudAt: () => null })).toBeNull();
    expect(line({ place: { ...DRIVE, shelter: { kind: 'indoors' } } })).toBeNull();
    const wall = { kind: 'open', horizon: [{ azimuthDeg: 0, elevationDeg: 85 }] } as const;
    expect(line({ place: { ...DRIVE, shelter: wall } })).toBeNull();
  });

  it('is followed beyond the wash to tell when it ends, and what begins after the wash is left out', () => {
    const short = line({ place: { ...DRIVE, carHeadingDeg: 250 }, endMs: at(20), lookUntilMs: at(20) });
    expect(short?.spans.find(({ side }) => side === 'left')?.toMs).toBeNull();
    const followed = line({ place: { ...DRIVE, carHeadingDeg: 250 }, endMs: at(20) });
    expect(followed?.spans.find(({ side }) => side === 'left')?.toMs).not.toBeNull();
    expect(sides(followed)).not.toContain('right');
  });

  it('asks for an order of work only where water dries on it during the wash', () => {
    const dries = (panel: 'left' | 'right', minutes: number, ends: 'dries' | 'freezes' = 'dries') =>
      line({ edges: [{ panel, minutes, ends }] })?.driesThere;
    expect(dries('left', 12)).toBe(true);
    expect(dries('left', 90)).toBe(false);
    expect(dries('right', 12)).toBe(false);
    expect(dries('left', 12, 'freezes')).toBe(false);
  });

  it('is asked for one instant', () => {
    const found = line();
    expect(found && litAt(found, at(30)).map(({ side }) => side)).toEqual(expect.arrayContaining(['left']));
    expect(found && litAt(found, START + 8 * MS_PER_HOUR)).toEqual([]);
  });
});
