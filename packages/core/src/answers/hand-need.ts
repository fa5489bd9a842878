import { METHODS } from '../method/index.js';
import type { Place } from '../place/index.js';
import { type ByGroup, ZONE_GROUPS, type ZoneGroup } from '../vehicle/index.js';

/** How near the dirtiest part of a car is to what no touch-free wash takes off any more. */
export interface HandNeed {
  readonly group: ZoneGroup;
  /** Film or grit there, 0–5. */
  readonly grade: number;
  /** The heaviest that a touch-free wash of the shop's takes off there, 0–5 (judgement, by method). */
  readonly takesGrade: number;
  /** `now`: it is beyond that; `soon`: within a grade of it; `not-yet`: clean enough to stay touch-free. */
  readonly when: 'now' | 'soon' | 'not-yet';
}

/** Nearer than a grade one wet week goes beyond it. */
const SOON_GRADES = 1;

/**
 * Is this car about to need a hand?
 *
 * @param soil heaviest film or grit by group, 0–5
 * @param places of the shop, with what is offered there
 * @returns the part that comes nearest to it; null where the shop has no touch-free wash
 * Source: practice notes ("wheels and paint kept clean stay touch-free"); grades that a method takes off are judgement
 */
export function handNeed(soil: ByGroup, places: readonly Pick<Place, 'methods'>[]): HandNeed | null {
  const offered = new Set(places.flatMap(({ methods }) => methods.map(({ methodId }) => methodId)));
  const touchFree = METHODS.filter(
    ({ id, contact, scope }) => !contact && scope === 'wash' && offered.has(id),
  );
  if (touchFree.length === 0) return null;
  const needs = ZONE_GROUPS.map((group) => {
    const takesGrade = Math.max(...touchFree.map(({ ceilingGrade }) => ceilingGrade[group]));
    return { group, grade: soil[group], takesGrade };
  });
  // Arches and underbody never need one: what a jet does not take off there no hand does.
  const nearest = needs
    .filter(({ group, takesGrade }) => takesGrade > 0 && group !== 'arches' && group !== 'under')
    .toSorted((a, b) => b.grade - b.takesGrade - (a.grade - a.takesGrade))[0];
  if (!nearest) return null;
  const beyond = nearest.grade - nearest.takesGrade;
  return { ...nearest, when: beyond > 0 ? 'now' : beyond > -SOON_GRADES ? 'soon' : 'not-yet' };
}
