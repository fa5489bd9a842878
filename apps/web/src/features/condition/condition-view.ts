import {
  CAR_ZONES,
  type CarZone,
  compatibility,
  type HandNeed,
  type Compatibility,
  type ProductRole,
  protectionOn,
  type SoilKind,
  type Stands,
  zoneOf,
  type ZoneProtection,
  type ZoneSoil,
  type ConditionView,
  type VehicleRecord,
} from '@keen/core';
import type { ZoneProtectionState } from '@keen/core';
import { GROUP_NAMES } from '../../words/run-words.js';
import type { Layer } from '../../parts/unfolded-car.js';
import { AMOUNT_NAMES, GRADE_NAMES, PROTECTION_NAMES, STANDING_NAMES } from '../../words/car-names.js';

const MOST_GRADE = 5;

export const soilOn = (soil: readonly ZoneSoil[], zone: CarZone, kind: SoilKind): ZoneSoil =>
  soil.find((entry) => entry.zone === zone && entry.kind === kind) ?? {
    zone,
    kind,
    grade: 0,
    origin: 'estimated',
  };

/** "2.5, film with grit": a half counts as the heavier. */
export function gradeText(grade: number, kind: SoilKind): string {
  const names = kind === 'salt-film' || kind === 'grit' ? GRADE_NAMES : AMOUNT_NAMES;
  return `${grade.toFixed(1).replace('.0', '')}, ${names[Math.min(MOST_GRADE, Math.ceil(grade))] ?? ''}`;
}

const gradeOf = (grade: number): string => grade.toFixed(1).replace('.0', '');

/** When a car needs a hand again, and how near that is. */
export function handText({ group, grade, origin, takesGrade, when }: HandNeed): string {
  const nearness = `grade ${gradeOf(grade)} on the ${GROUP_NAMES[group]} (${origin === 'measured' ? 'seen' : 'estimated'}), and touch-free takes up to ${gradeOf(takesGrade)} off (judgement)`;
  switch (when) {
    case 'now':
      return `Needs a hand: ${nearness}.`;
    case 'soon':
      return `About to need a hand: ${nearness}. Washed touch-free now, it stays touch-free.`;
    case 'not-yet':
      return `Touch-free is enough: ${nearness}.`;
  }
}

/** One kind of soil on every zone. */
export function soilLayer(soil: readonly ZoneSoil[], kind: SoilKind): Layer {
  return Object.fromEntries(
    CAR_ZONES.map(({ zone }) => {
      const { grade, origin } = soilOn(soil, zone, kind);
      return [
        zone,
        {
          text: grade.toFixed(1).replace('.0', ''),
          strength: grade / MOST_GRADE,
          isMeasured: origin === 'measured',
          spoken: `${gradeText(grade, kind)}, ${origin === 'measured' ? 'seen' : 'estimated'}`,
        },
      ];
    }),
  );
}

const SHORT_STANDING: Readonly<Record<ZoneProtectionState['standing'], string>> = {
  none: '',
  sound: 'ok',
  worn: 'worn',
  spent: 'spent',
  'clogged-or-gone': 'flat',
  'unknown-age': '?',
};

/** What is left of the protection on every zone. */
export function protectionLayer(protections: ConditionView['protections']): Layer {
  return Object.fromEntries(
    protections.map(({ zone, kind, standing, leftFraction, observed }) => {
      const left = leftFraction === null ? null : Math.round(leftFraction * 100);
      const overruled = observed !== null;
      return [
        zone,
        {
          text: overruled || left === null ? SHORT_STANDING[standing] : `${left} %`,
          strength: overruled ? ({ sound: 1, worn: 0.4 }[standing as string] ?? 0) : (leftFraction ?? 0),
          isMeasured: overruled,
          spoken: `${PROTECTION_NAMES[kind]}, ${STANDING_NAMES[standing]}${left === null ? '' : `, ${left} % by the sums`}`,
        },
      ];
    }),
  );
}

const BEHAVIOUR_STRENGTH = { beading: 1, sheeting: 0.5, flat: 0.05 } as const;
const BEHAVIOUR_SHORT = { beading: 'beads', sheeting: 'sheets', flat: 'flat' } as const;

/** What water does on every zone: as seen, or as on the car. */
export function waterLayer(vehicle: Pick<VehicleRecord, 'protections' | 'waterBehaviour'>): Layer {
  return Object.fromEntries(
    CAR_ZONES.filter(({ surface }) => surface !== 'metal').map(({ zone }) => {
      const seen = vehicle.protections.find((row) => row.zone === zone)?.observed;
      const behaviour = seen?.behaviour ?? vehicle.waterBehaviour;
      return [
        zone,
        {
          text: BEHAVIOUR_SHORT[behaviour],
          strength: BEHAVIOUR_STRENGTH[behaviour],
          isMeasured: seen != null,
          spoken: `${BEHAVIOUR_SHORT[behaviour]}, ${seen ? 'seen' : 'as on the car'}`,
        },
      ];
    }),
  );
}

/** The row of a zone, made where there is none. */
export const protectionRow = (
  vehicle: Pick<VehicleRecord, 'protection' | 'protections'>,
  zone: CarZone,
): ZoneProtection =>
  vehicle.protections.find((row) => row.zone === zone) ?? {
    zone,
    kind: protectionOn(vehicle, zone),
    appliedMs: null,
    claimedLifeDays: null,
    observed: null,
  };

/** Zones that are painted like this one: what is put on one is often put on all. */
export const likeZones = (zone: CarZone): CarZone[] => {
  const { surface } = zoneOf(zone);
  const painted = surface === 'paint' || surface === 'plastic';
  return CAR_ZONES.filter((row) =>
    painted ? row.surface === 'paint' || row.surface === 'plastic' : row.surface === surface,
  ).map((row) => row.zone);
};

/** The rows with some zones changed. */
export function withRows(
  rows: readonly ZoneProtection[],
  changed: readonly ZoneProtection[],
): ZoneProtection[] {
  const zones = new Set(changed.map(({ zone }) => zone));
  return [...rows.filter(({ zone }) => !zones.has(zone)), ...changed];
}

export interface ZoneCompatibility {
  readonly zone: CarZone;
  readonly answer: Compatibility;
}

/** What a product does on every zone that it may meet. */
export function compatibilityByZone(
  vehicle: Pick<VehicleRecord, 'protection' | 'protections' | 'delicateWheels'>,
  product: { readonly role: ProductRole; readonly inUsePh: number },
  stands?: Stands,
): ZoneCompatibility[] {
  return CAR_ZONES.filter(({ surface }) => surface !== 'metal').map(({ zone, surface }) => ({
    zone,
    answer: compatibility({
      ...product,
      stands,
      protection: protectionOn(vehicle, zone),
      isDelicateMetal: surface === 'wheel' && vehicle.delicateWheels,
    }),
  }));
}
