import { type ByGroup, CAR_ZONES, type CarZone } from '../vehicle/index.js';
import { MOST_SOIL_GRADE, type SoilKind } from './soil.js';

/** How a whole car looks at a glance, by the wet roads behind it. */
export const QUICK_LOOKS = ['clean', 'light', 'two-weeks', 'month', 'caked'] as const;
export type QuickLook = (typeof QUICK_LOOKS)[number];

/** Film by group: the lower third heavier than the upper body, what the wheels throw at heaviest (practice notes; judgement). */
const FILM: Readonly<Record<QuickLook, ByGroup>> = {
  clean: { upper: 0, lower: 0, wheels: 0, arches: 0, under: 0 },
  light: { upper: 1, lower: 1, wheels: 2, arches: 2, under: 1 },
  'two-weeks': { upper: 1, lower: 2, wheels: 3, arches: 3, under: 2 },
  month: { upper: 3, lower: 4, wheels: 4, arches: 5, under: 4 },
  caked: { upper: 4, lower: 5, wheels: 5, arches: 5, under: 5 },
};
/** The rear catches what the car itself throws up. */
const REAR_MORE = 1;
/** A film carries grit from grade 3 on, so grit stands two grades behind it. */
const GRIT_BEHIND = 2;

/**
 * What does a glance at the whole car say of each zone?
 *
 * @returns a grade 0–5 of film and of grit for every zone; other kinds of soil cannot be told at a glance
 */
export function quickLook(look: QuickLook): { zone: CarZone; kind: SoilKind; grade: number }[] {
  return CAR_ZONES.flatMap(({ zone, group }) => {
    const onGroup = FILM[look][group];
    const film = onGroup > 0 && zone === 'rear' ? Math.min(MOST_SOIL_GRADE, onGroup + REAR_MORE) : onGroup;
    return [
      { zone, kind: 'salt-film' as const, grade: film },
      { zone, kind: 'grit' as const, grade: Math.max(0, film - GRIT_BEHIND) },
    ];
  });
}
