import type { ZoneSalt } from '../salt/index.js';
import { byGroup, type ByGroup, CAR_ZONES, type CarZone, type ZoneGroup } from '../vehicle/index.js';

export const SOIL_KINDS = ['salt-film', 'grit', 'iron', 'bugs', 'tar', 'scale'] as const;
export type SoilKind = (typeof SOIL_KINDS)[number];

/** 0 clean · 1 dust · 2 light film · 3 film with grit · 4 heavy · 5 caked. */
export const MOST_SOIL_GRADE = 5;

/** What somebody saw. */
export interface SoilSeen {
  readonly zone: CarZone;
  readonly kind: SoilKind;
  /** 0–5. */
  readonly grade: number;
  readonly atMs: number;
}

export interface ZoneSoil {
  readonly zone: CarZone;
  readonly kind: SoilKind;
  /** 0–5, in steps of a half where it is estimated. */
  readonly grade: number;
  /** `measured`: somebody looked since the last wash; what came later is added by the estimate. */
  readonly origin: 'measured' | 'estimated';
}

/** What the estimate rests on. */
export interface SoilFacts {
  readonly nowMs: number;
  readonly zones: readonly ZoneSalt[];
  readonly daysSinceWash: number;
  readonly daysSinceContactWash: number;
  /** Share of the days since the last wash on which roads were wet, slushy or snowed. */
  readonly wetRoadFraction: number;
  /** Mean air since the last wash, °C: insects fly above about 10. */
  readonly meanAirC: number;
  /** Washes since the last correction after which spots were found. */
  readonly spottedWashes: number;
}

/** Salt load from which each grade is reached, g/m² (judgement). */
const LOAD_GRADES = [
  { fromGramsPerM2: 12, grade: 5 },
  { fromGramsPerM2: 6, grade: 4 },
  { fromGramsPerM2: 3, grade: 3 },
  { fromGramsPerM2: 1, grade: 2 },
  { fromGramsPerM2: 0.2, grade: 1 },
] as const;

/** Grade of film that goes with a load of salt. */
export const gradeOfLoad = (loadGramsPerM2: number): number =>
  LOAD_GRADES.find(({ fromGramsPerM2 }) => loadGramsPerM2 >= fromGramsPerM2)?.grade ?? 0;

const DAYS_TO_FULL: Readonly<Record<'grit' | 'iron' | 'tar', number>> = { grit: 30, iron: 120, tar: 240 };
/** How much of what the wheels throw reaches each group, 0–1 (judgement). */
const THROWN: ByGroup = { upper: 0.25, lower: 0.7, wheels: 1, arches: 1, under: 1 };
/** Insects fly in air warmer than this, °C. */
export const INSECTS_FLY_C = 10;
/** What meets them first: nose, windscreen and mirrors, the edge of the bonnet (practice). */
const MEETS_INSECTS: ReadonlySet<CarZone> = new Set(['front', 'glass', 'bonnet']);
/** Dry days after which dust lies on a car that no wet road has reached (judgement). */
const DRY_DAYS_TO_DUST = 5;
const DUST_GRADE = 1;

const dustGrade = ({ daysSinceWash, wetRoadFraction }: SoilFacts): number =>
  daysSinceWash * (1 - wetRoadFraction) >= DRY_DAYS_TO_DUST ? DUST_GRADE : 0;

const half = (value: number): number => Math.min(MOST_SOIL_GRADE, Math.max(0, Math.round(value * 2) / 2));

function estimate(
  kind: SoilKind,
  at: { zone: CarZone; group: ZoneGroup; load: number },
  facts: SoilFacts,
): number {
  const thrown = THROWN[at.group];
  switch (kind) {
    case 'salt-film':
      return Math.max(gradeOfLoad(at.load), dustGrade(facts));
    case 'grit':
      return half((5 * thrown * facts.wetRoadFraction * facts.daysSinceWash) / DAYS_TO_FULL.grit);
    case 'iron':
      return half(
        (5 * (at.group === 'wheels' ? 1 : thrown * 0.3) * facts.daysSinceContactWash) / DAYS_TO_FULL.iron,
      );
    case 'tar':
      return at.group === 'lower' ? half((5 * facts.daysSinceContactWash) / DAYS_TO_FULL.tar) : 0;
    case 'bugs':
      return facts.meanAirC > INSECTS_FLY_C && MEETS_INSECTS.has(at.zone) ? half(facts.daysSinceWash / 7) : 0;
    case 'scale':
      return at.group === 'upper' || at.group === 'lower' ? half(facts.spottedWashes) : 0;
  }
}

/**
 * How dirty is each zone, and with what?
 *
 * @param facts what the estimate rests on
 * @param seen what somebody looked at since the last wash, with what the estimate said then
 * @returns a grade 0–5 for each zone and kind; what was seen goes before the estimate, and grows with it
 * Model: grades from the ledger's load, days and road states (judgement).
 */
export function soilNow(
  facts: SoilFacts,
  seen: readonly (SoilSeen & { readonly estimatedThen: number })[] = [],
): ZoneSoil[] {
  return CAR_ZONES.flatMap(({ zone, group }) => {
    const load = facts.zones.find((entry) => entry.zone === zone)?.loadGramsPerM2 ?? 0;
    return SOIL_KINDS.map((kind): ZoneSoil => {
      const grade = estimate(kind, { zone, group, load }, facts);
      const look = seen
        .filter((entry) => entry.zone === zone && entry.kind === kind)
        .reduce<(typeof seen)[number] | null>(
          (last, entry) => (!last || entry.atMs > last.atMs ? entry : last),
          null,
        );
      if (!look) return { zone, kind, grade, origin: 'estimated' };
      return {
        zone,
        kind,
        grade: half(look.grade + Math.max(0, grade - look.estimatedThen)),
        origin: 'measured',
      };
    });
  });
}

/** Grade that is left of a soil when a share of it (0–1) was taken off: each halving is a grade less (judgement). */
export const gradeLeft = (grade: number, takenFraction: number): number =>
  Math.max(0, grade + Math.log2(Math.max(0.01, 1 - takenFraction)));

/** Heaviest film or grit by group of zones: what a method's ceiling is held against. */
export function soilByGroup(soil: readonly ZoneSoil[]): ByGroup {
  const groupOf = new Map<CarZone, ZoneGroup>(CAR_ZONES.map(({ zone, group }) => [zone, group]));
  return byGroup((group) =>
    Math.max(
      0,
      ...soil
        .filter(({ zone, kind }) => groupOf.get(zone) === group && (kind === 'salt-film' || kind === 'grit'))
        .map(({ grade }) => grade),
    ),
  );
}

export const CLEAN: ByGroup = Object.freeze(byGroup(() => 0));
