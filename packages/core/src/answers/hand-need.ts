import { METHODS } from '../method/index.js';
import type { Place } from '../place/index.js';
import { soilByGroup, type ZoneSoil } from '../soil/index.js';
import { ZONE_GROUPS, type ZoneGroup, zoneOf } from '../vehicle/index.js';

/** How near the dirtiest part of a car is to what no touch-free wash takes off any more. */
export interface HandNeed {
  readonly group: ZoneGroup;
  /** Film or grit there, 0–5. */
  readonly grade: number;
  /** `measured`: somebody looked since the last wash. */
  readonly origin: ZoneSoil['origin'];
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
 * @param soil of every zone
 * @param places of the shop, with what is offered there
 * @returns the part that comes nearest to it; null where the shop has no touch-free wash
 * Source: practice notes ("wheels and paint kept clean stay touch-free"); grades that a method takes off are judgement
 */
export function handNeed(
  soil: readonly ZoneSoil[],
  places: readonly Pick<Place, 'methods'>[],
): HandNeed | null {
  const offered = new Set(places.flatMap(({ methods }) => methods.map(({ methodId }) => methodId)));
  const touchFree = METHODS.filter(
    ({ id, contact, scope }) => !contact && scope === 'wash' && offered.has(id),
  );
  if (touchFree.length === 0) return null;
  const grades = soilByGroup(soil);
  const needs = ZONE_GROUPS.map((group) => {
    const takesGrade = Math.max(...touchFree.map(({ ceilingGrade }) => ceilingGrade[group]));
    return { group, grade: grades[group], takesGrade };
  });
  // Arches and underbody never need one: what a jet does not take off there no hand does.
  const nearest = needs
    .filter(({ group, takesGrade }) => takesGrade > 0 && group !== 'arches' && group !== 'under')
    .toSorted((a, b) => b.grade - b.takesGrade - (a.grade - a.takesGrade))[0];
  if (!nearest) return null;
  const beyond = nearest.grade - nearest.takesGrade;
  const isSeen = soil.some(
    ({ zone, kind, grade, origin }) =>
      origin === 'measured' &&
      grade === nearest.grade &&
      (kind === 'salt-film' || kind === 'grit') &&
      zoneOf(zone).group === nearest.group,
  );
  const origin = isSeen ? 'measured' : 'estimated';
  return { ...nearest, origin, when: beyond > 0 ? 'now' : beyond > -SOON_GRADES ? 'soon' : 'not-yet' };
}
