import { type Media, type Method, removedBy, type WashStepId } from '../method/index.js';
import { gradeLeft } from '../soil/index.js';
import { type ByGroup, panelM2, panelsOf, type Vehicle, type ZoneGroup } from '../vehicle/index.js';
import type { DryingPlan } from './drying.js';

/** Faces of folded towels that one group of zones takes. */
export interface GroupFaces {
  readonly group: ZoneGroup;
  /** Wiped surface, m². */
  readonly m2: number;
  /** 0–5, when the towel first touches it. */
  readonly grade: number;
  readonly faces: number;
}

export interface Cloths {
  readonly media: Media;
  /** Where it is washed with folded towels; empty: by mitt, or not by hand. */
  readonly faces: readonly GroupFaces[];
}

/** Folded in half twice. */
export const FACES_OF_A_TOWEL = 8;

/** What a face wipes before it is fouled, m²: a panel where there is dust, one straight pass in heavy grit (practice notes §4; judgement). */
const M2_OF_A_FACE = [
  { fromGrade: 3.5, m2: 0.15 },
  { fromGrade: 2.5, m2: 0.2 },
  { fromGrade: 1.5, m2: 0.4 },
  { fromGrade: 0, m2: 0.7 },
] as const;
/** Lowers behind which a mitt of their own is fouled too: sills and rear get a third (judgement). */
const THIRD_MITT_GRADE = 3.5;
/** Of a flank, what lies below the belt of the doors (judgement). */
const FLANK_LOWER_FRACTION = 0.4;
/** Faces of two wheels: rim, spokes; twice as many where there is grit (judgement). */
const WHEEL_FACES = 8;

const BY_TOWEL: ReadonlySet<WashStepId> = new Set(['rinseless', 'spray-wipe']);
const LOWER_PANELS: ReadonlySet<string> = new Set(['front', 'rear']);
const FLANKS: ReadonlySet<string> = new Set(['left', 'right']);

/** Surface of the upper and the lower body, m² (judgement). */
export function bodyM2(bodyClass: Vehicle['bodyClass']): { readonly upper: number; readonly lower: number } {
  return panelsOf(bodyClass).reduce(
    (sum, { id }) => {
      const m2 = panelM2(bodyClass, id);
      const lowerFraction = LOWER_PANELS.has(id) ? 1 : FLANKS.has(id) ? FLANK_LOWER_FRACTION : 0;
      return { upper: sum.upper + m2 * (1 - lowerFraction), lower: sum.lower + m2 * lowerFraction };
    },
    { upper: 0, lower: 0 },
  );
}

const m2OfAFace = (grade: number): number =>
  M2_OF_A_FACE.find(({ fromGrade }) => grade >= fromGrade)?.m2 ?? 0.7;

/** Soil of a group when a step reaches it. */
function gradeAt(steps: Method['steps'], at: number, { group, soil }: { group: ZoneGroup; soil: ByGroup }) {
  return gradeLeft(soil[group], removedBy(steps.slice(0, at), [group])[group]);
}

function bodyFaces({ steps }: Pick<Method, 'steps'>, vehicle: WipedCar, soil: ByGroup): GroupFaces[] {
  const at = steps.findIndex(({ id }) => BY_TOWEL.has(id));
  const step = steps[at];
  if (!step) return [];
  const surfaces = bodyM2(vehicle.bodyClass);
  return (['upper', 'lower'] as const)
    .filter((group) => step.groups.includes(group))
    .map((group) => {
      const m2 = surfaces[group];
      const grade = gradeAt(steps, at, { group, soil });
      return { group, m2, grade, faces: Math.ceil(m2 / m2OfAFace(grade)) };
    });
}

function wheelFaces({ steps }: Pick<Method, 'steps'>, soil: ByGroup): number {
  const at = steps.findIndex(({ id, contact }) => id === 'wheels' && contact);
  if (at < 0) return 0;
  return WHEEL_FACES * (gradeAt(steps, at, { group: 'wheels', soil }) >= THIRD_MITT_GRADE ? 2 : 1);
}

type WipedCar = Pick<Vehicle, 'bodyClass'>;

/**
 * How many towels and mitts does this wash take, as dirty as the car is?
 *
 * @param wash the car, the method as the shop does it, soil by group (0–5), what the drying takes
 * @returns folded towels by faces where they wash, else as the method has them; a third mitt where the lowers are heavy; as many drying
 * towels as take the water, never fewer than the method has
 * Model: eight faces to a towel; a face does a panel in dust and a single pass in heavy grit (practice notes); surfaces and the grades
 * between are judgement
 */
export function clothsFor(wash: {
  readonly vehicle: WipedCar;
  readonly method: Pick<Method, 'steps' | 'plainSteps' | 'media'>;
  readonly soil: ByGroup;
  readonly drying: Pick<DryingPlan, 'towels'> | null;
}): Cloths {
  const { vehicle, method, soil, drying } = wash;
  const { media } = method;
  // Soil goes by the whole car, however it is cut up.
  const steps = method.plainSteps ?? method.steps;
  const dryingTowels = Math.max(media.dryingTowels, drying?.towels ?? 0);
  if (media.mitts > 0) {
    const touch = steps.findIndex(({ contact, groups }) => contact && groups.includes('lower'));
    const isHeavy = touch >= 0 && gradeAt(steps, touch, { group: 'lower', soil }) >= THIRD_MITT_GRADE;
    const mitts = media.mitts === 2 && isHeavy ? 3 : media.mitts;
    return { media: { ...media, mitts, dryingTowels }, faces: [] };
  }
  const faces = bodyFaces({ steps }, vehicle, soil);
  if (faces.length === 0) return { media: { ...media, dryingTowels }, faces };
  const shuts = steps.some(({ id }) => id === 'shuts') ? 1 : 0;
  const washed = faces.reduce((sum, group) => sum + group.faces, 0) + wheelFaces({ steps }, soil);
  return {
    media: { ...media, foldedTowels: Math.ceil(washed / FACES_OF_A_TOWEL) + shuts, dryingTowels },
    faces,
  };
}
