/** Parts of the car that a wash reaches, and treats, in its own way. */
export const ZONE_GROUPS = ['upper', 'lower', 'wheels', 'arches', 'under'] as const;
export type ZoneGroup = (typeof ZONE_GROUPS)[number];

export const SURFACES = ['paint', 'plastic', 'glass', 'trim', 'wheel', 'metal'] as const;
export type Surface = (typeof SURFACES)[number];

export interface ZoneRow {
  readonly zone: string;
  readonly group: ZoneGroup;
  readonly side: 'left' | 'right' | null;
  readonly surface: Surface;
}

/** The zones of the unfolded car, used wherever a zone matters: salt, soil, protection, water behaviour, spots. */
export const CAR_ZONES = [
  { zone: 'roof', group: 'upper', side: null, surface: 'paint' },
  { zone: 'bonnet', group: 'upper', side: null, surface: 'paint' },
  { zone: 'boot', group: 'upper', side: null, surface: 'paint' },
  { zone: 'glass', group: 'upper', side: null, surface: 'glass' },
  { zone: 'upper-left', group: 'upper', side: 'left', surface: 'paint' },
  { zone: 'upper-right', group: 'upper', side: 'right', surface: 'paint' },
  { zone: 'trim', group: 'lower', side: null, surface: 'trim' },
  { zone: 'front', group: 'lower', side: null, surface: 'plastic' },
  { zone: 'rear', group: 'lower', side: null, surface: 'plastic' },
  { zone: 'lower-left', group: 'lower', side: 'left', surface: 'paint' },
  { zone: 'lower-right', group: 'lower', side: 'right', surface: 'paint' },
  { zone: 'wheels-left', group: 'wheels', side: 'left', surface: 'wheel' },
  { zone: 'wheels-right', group: 'wheels', side: 'right', surface: 'wheel' },
  { zone: 'arches-left', group: 'arches', side: 'left', surface: 'metal' },
  { zone: 'arches-right', group: 'arches', side: 'right', surface: 'metal' },
  { zone: 'underbody', group: 'under', side: null, surface: 'metal' },
] as const satisfies readonly ZoneRow[];

export type CarZone = (typeof CAR_ZONES)[number]['zone'];

export const CAR_ZONE_IDS: readonly CarZone[] = CAR_ZONES.map(({ zone }) => zone);

const BY_ID = new Map<CarZone, ZoneRow>(CAR_ZONES.map((row) => [row.zone, row]));

/** Group, side and surface of a zone. @throws RangeError for a zone that does not exist */
export function zoneOf(zone: CarZone): ZoneRow {
  const row = BY_ID.get(zone);
  if (!row)
    throw new RangeError(`zoneOf: zone is ${String(zone)}; allowed is ${[...BY_ID.keys()].join(', ')}`);
  return row;
}

/** A share for each group of zones, 0–1: what a wash takes off. */
export type ByGroup<T = number> = Readonly<Record<ZoneGroup, T>>;

/** The same for every group, made from a function. */
export const byGroup = <T>(make: (group: ZoneGroup) => T): ByGroup<T> =>
  Object.fromEntries(ZONE_GROUPS.map((group) => [group, make(group)])) as Record<ZoneGroup, T>;
