import { addableSteps, type Leftover, type Method, STEP_KINDS, type WashStepId } from '../method/index.js';
import { gradeLeft, type SoilKind, type ZoneSoil } from '../soil/index.js';
import { type CarZone, type ZoneGroup, zoneOf } from '../vehicle/index.js';

/** Something that is on this car and that this wash does not take off. */
export interface LeftOn {
  readonly leftover: Leftover;
  /** 0–5, the heaviest of its zones. */
  readonly grade: number;
  readonly zones: readonly CarZone[];
  readonly origin: ZoneSoil['origin'];
  /** The step that would take it off, and where; null: none that this method can have. */
  readonly step: {
    readonly id: WashStepId;
    readonly groups: readonly ZoneGroup[];
  } | null;
}

/** So little of it is not worth a word (judgement). */
const LEAST_GRADE = 1.5;
/** A film that is left is seen from here on (judgement). */
const LEAST_FILM_GRADE = 1;

const KINDS: Readonly<Partial<Record<Leftover, SoilKind>>> = {
  bugs: 'bugs',
  tar: 'tar',
  iron: 'iron',
  scale: 'scale',
};
const GROUPS: Readonly<Partial<Record<Leftover, ZoneGroup>>> = {
  arches: 'arches',
  'deep-wheels': 'wheels',
  underbody: 'under',
  uppers: 'upper',
  lowers: 'lower',
};
/** The step for each kind; scale is for the spot clinic. */
const STEP_FOR: Readonly<Partial<Record<Leftover, WashStepId>>> = { bugs: 'bugs', tar: 'tar', iron: 'iron' };

const isFilm = ({ kind }: ZoneSoil): boolean => kind === 'salt-film' || kind === 'grit';

/** What of the soil a leftover means, as it is when the wash is over. */
function soilOf(leftover: Leftover, soil: readonly ZoneSoil[], { removes }: Method): ZoneSoil[] {
  const kind = KINDS[leftover];
  if (kind) return soil.filter((one) => one.kind === kind && one.grade >= LEAST_GRADE);
  const group = GROUPS[leftover];
  if (group)
    return soil.filter((one) => isFilm(one) && zoneOf(one.zone).group === group && one.grade >= LEAST_GRADE);
  if (leftover !== 'film') return [];
  return soil
    .filter((one) => isFilm(one) && ['upper', 'lower'].includes(zoneOf(one.zone).group))
    .map((one) => ({ ...one, grade: gradeLeft(one.grade, removes[zoneOf(one.zone).group]) }))
    .filter(({ grade }) => grade >= LEAST_FILM_GRADE);
}

/** null: no water of this method would take that product off again. */
function stepFor(
  leftover: Leftover,
  groups: readonly ZoneGroup[],
  { steps, plainSteps = steps }: Method,
): LeftOn['step'] {
  const id = STEP_FOR[leftover];
  if (!id || !addableSteps(plainSteps).some((step) => step.id === id)) return null;
  const isRinsed = plainSteps.some(
    (step) => STEP_KINDS[step.id].rinses === 'body' && groups.every((group) => step.groups.includes(group)),
  );
  return isRinsed ? { id, groups } : null;
}

/**
 * What is on this car now that this wash does not take off?
 *
 * @param soil of each zone, as seen or estimated
 * @param method as it is done; what one of its steps is for is not left
 * @returns heaviest first, with the step that would take it off where the method can have one
 */
export function leftOn(soil: readonly ZoneSoil[], method: Method): LeftOn[] {
  const does = (leftover: Leftover): boolean =>
    method.steps.some(({ id }) => id === STEP_FOR[leftover] || (id === 'clay' && leftover === 'iron'));
  return method.leaves
    .filter((leftover) => !does(leftover))
    .flatMap((leftover): LeftOn[] => {
      const on = soilOf(leftover, soil, method);
      if (on.length === 0) return [];
      return [
        {
          leftover,
          grade: Math.max(...on.map(({ grade }) => grade)),
          zones: [...new Set(on.map(({ zone }) => zone))],
          origin: on.every(({ origin }) => origin === 'measured') ? 'measured' : 'estimated',
          step: stepFor(leftover, [...new Set(on.map(({ zone }) => zoneOf(zone).group))], method),
        },
      ];
    })
    .toSorted((a, b) => b.grade - a.grade);
}
