import type { ZoneSalt } from '../salt/index.js';

/** Salt load of the lower body from which each grade of soil is reached, g/m² (judgement). */
const GRADES = [
  { fromGramsPerM2: 12, grade: 5 },
  { fromGramsPerM2: 6, grade: 4 },
  { fromGramsPerM2: 3, grade: 3 },
  { fromGramsPerM2: 1, grade: 2 },
  { fromGramsPerM2: 0.2, grade: 1 },
] as const;

/**
 * How dirty is the lower body, from what salt it carries?
 *
 * @returns grade 0 clean to 5 caked; an estimate, to be corrected by looking
 */
export function estimatedSoilGrade(zones: readonly ZoneSalt[]): number {
  const lower = zones.filter(
    ({ zone }) => zone === 'lower-left' || zone === 'lower-right' || zone === 'rear',
  );
  const heaviest = Math.max(0, ...lower.map(({ loadGramsPerM2 }) => loadGramsPerM2));
  return GRADES.find(({ fromGramsPerM2 }) => heaviest >= fromGramsPerM2)?.grade ?? 0;
}
