import { describe, expect, it } from '@jest/globals';
import { CAR_ZONE_IDS } from '../vehicle/index.js';
import { gradeLeft, gradeOfLoad, soilByGroup, type SoilFacts, type SoilKind, soilNow } from './index.js';

const facts = (change: Partial<SoilFacts> = {}): SoilFacts => ({
  nowMs: 0,
  zones: CAR_ZONE_IDS.map((zone) => ({ zone, loadGramsPerM2: 0, activeHours: 0 })),
  daysSinceWash: 10,
  daysSinceContactWash: 10,
  wetRoadFraction: 0.5,
  meanAirC: -4,
  spottedWashes: 0,
  ...change,
});
const grade = (soil: ReturnType<typeof soilNow>, zone: string, kind: SoilKind): number =>
  soil.find((entry) => entry.zone === zone && entry.kind === kind)?.grade ?? NaN;

describe('grades from the load', () => {
  it.each([
    { load: 0, expected: 0 },
    { load: 0.2, expected: 1 },
    { load: 0.99, expected: 1 },
    { load: 1, expected: 2 },
    { load: 3, expected: 3 },
    { load: 6, expected: 4 },
    { load: 12, expected: 5 },
  ])('$load g/m² is grade $expected', ({ load, expected }) => {
    expect(gradeOfLoad(load)).toBe(expected);
  });
});

describe('the estimate', () => {
  it('grades each zone by its own load', () => {
    const zones = facts().zones.map((entry) => ({
      ...entry,
      loadGramsPerM2: entry.zone === 'rear' ? 7 : 0.5,
    }));
    const soil = soilNow(facts({ zones }));
    expect(grade(soil, 'rear', 'salt-film')).toBe(4);
    expect(grade(soil, 'roof', 'salt-film')).toBe(1);
    expect(soil.every(({ origin }) => origin === 'estimated')).toBe(true);
  });

  it('has grit on wet roads, lower down more than above, and none on dry ones', () => {
    const wet = soilNow(facts({ wetRoadFraction: 1, daysSinceWash: 20 }));
    expect(grade(wet, 'arches-left', 'grit')).toBeGreaterThan(grade(wet, 'roof', 'grit'));
    expect(grade(soilNow(facts({ wetRoadFraction: 0 })), 'arches-left', 'grit')).toBe(0);
  });

  it('has iron on wheels first, and insects only in the warm', () => {
    const soil = soilNow(facts({ daysSinceContactWash: 60 }));
    expect(grade(soil, 'wheels-left', 'iron')).toBeGreaterThan(grade(soil, 'roof', 'iron'));
    const warm = soilNow(facts({ meanAirC: 18 }));
    for (const zone of ['bonnet', 'front', 'glass'] as const)
      expect(grade(warm, zone, 'bugs')).toBeGreaterThan(0);
    for (const zone of ['roof', 'boot', 'rear', 'upper-left'] as const)
      expect(grade(warm, zone, 'bugs')).toBe(0);
    expect(grade(soil, 'bonnet', 'bugs')).toBe(0);
  });

  it('has dust after dry days, and not sooner', () => {
    const dry = (daysSinceWash: number, wetRoadFraction = 0) =>
      grade(soilNow(facts({ zones: [], daysSinceWash, wetRoadFraction })), 'roof', 'salt-film');
    expect([dry(4.9), dry(5), dry(9, 0.5), dry(10, 0.5)]).toEqual([0, 1, 0, 1]);
  });

  it('has scale after washes that left spots', () => {
    expect(grade(soilNow(facts({ spottedWashes: 2 })), 'bonnet', 'scale')).toBe(2);
  });

  it('never leaves the scale', () => {
    const soil = soilNow(
      facts({ daysSinceWash: 900, daysSinceContactWash: 900, wetRoadFraction: 1, spottedWashes: 40 }),
    );
    for (const entry of soil) {
      expect(entry.grade).toBeGreaterThanOrEqual(0);
      expect(entry.grade).toBeLessThanOrEqual(5);
    }
  });
});

describe('what somebody saw', () => {
  const look = { zone: 'rear', kind: 'salt-film', grade: 2, atMs: 5, estimatedThen: 3 } as const;
  const withLoad = (loadGramsPerM2: number): SoilFacts =>
    facts({ zones: [{ zone: 'rear', loadGramsPerM2, activeHours: 0 }] });

  it('goes before the estimate, and grows with what comes later', () => {
    expect(
      soilNow(withLoad(3), [look]).find(({ zone, kind }) => zone === 'rear' && kind === 'salt-film'),
    ).toEqual({
      zone: 'rear',
      kind: 'salt-film',
      grade: 2,
      origin: 'measured',
    });
    expect(grade(soilNow(withLoad(12), [look]), 'rear', 'salt-film')).toBe(4);
  });

  it('is the newest look', () => {
    const later = { ...look, grade: 4, atMs: 9 };
    expect(grade(soilNow(withLoad(3), [later, look]), 'rear', 'salt-film')).toBe(4);
  });
});

describe('what is left of a soil', () => {
  it.each([
    { grade: 4, taken: 0, left: 4 },
    { grade: 4, taken: 0.5, left: 3 },
    { grade: 4, taken: 0.75, left: 2 },
    { grade: 1, taken: 0.9, left: 0 },
    { grade: 5, taken: 1, left: 0 },
  ])('grade $grade with $taken taken off is $left', ({ grade, taken, left }) => {
    expect(gradeLeft(grade, taken)).toBeCloseTo(left, 9);
  });
});

describe('soil by group', () => {
  it('is the heaviest film or grit, not tar', () => {
    const soil = soilNow(
      facts({
        daysSinceWash: 4,
        zones: [{ zone: 'lower-left', loadGramsPerM2: 4, activeHours: 0 }],
        wetRoadFraction: 0,
        daysSinceContactWash: 400,
      }),
    );
    expect(soilByGroup(soil)).toMatchObject({ lower: 3, upper: 0 });
  });
});
