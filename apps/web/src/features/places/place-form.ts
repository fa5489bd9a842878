import type { HorizonPoint, Opening, OpenSpan, PlaceKind, Tap } from '@keen/core';
import type { PlaceRecord } from '../../api/types.js';

/** What is typed of a water. */
export interface WaterDraft {
  readonly name: string;
  readonly hardnessMgPerLitre: number | null;
  readonly tdsMgPerLitre: number | null;
  readonly tempC: number | null;
  readonly origin: 'measured' | 'estimated' | 'default';
}

/** What is typed into the form of a place. */
export interface PlaceDraft {
  readonly name: string;
  readonly notes: string;
  readonly kind: PlaceKind;
  readonly latitudeDeg: number | null;
  readonly longitudeDeg: number | null;
  readonly timeZone: string;
  readonly setpointC: number | null;
  readonly horizon: readonly HorizonPoint[];
  readonly openings: readonly Opening[];
  readonly carHeadingDeg: number | null;
  readonly hasDrain: boolean;
  readonly hasLight: boolean;
  readonly tap: Tap;
  readonly openHours: readonly (OpenSpan | null)[];
  readonly washWater: WaterDraft;
  readonly finalRinse: WaterDraft | null;
  readonly priceMinor: number | null;
  readonly travelMinutes: number | null;
}

/** What a kind of place is like: its air, its roof, and the way to wash there. */
export const KIND_FACTS = {
  garage: { climate: 'unheated', shelter: 'indoors', methodId: 'garage-rinseless' },
  'heated-unit': { climate: 'heated', shelter: 'indoors', methodId: 'garage-rinseless' },
  'self-serve-bay': { climate: 'open-bay', shelter: 'roofed', methodId: 'bay-touch-free' },
  'automatic-bay': { climate: 'outdoors', shelter: 'open', methodId: 'touchless-automatic' },
  drive: { climate: 'outdoors', shelter: 'open', methodId: 'drive-hose' },
} as const satisfies Readonly<Record<PlaceKind, { climate: string; shelter: string; methodId: string }>>;

export const DEFAULT_WATER: WaterDraft = {
  name: 'Tap',
  hardnessMgPerLitre: 150,
  tdsMgPerLitre: 220,
  tempC: 8,
  origin: 'default',
};

export const newPlace = (
  timeZone: string,
  at?: { latitudeDeg: number; longitudeDeg: number },
): PlaceDraft => ({
  name: '',
  notes: '',
  kind: 'garage',
  latitudeDeg: at?.latitudeDeg ?? null,
  longitudeDeg: at?.longitudeDeg ?? null,
  timeZone,
  setpointC: 15,
  horizon: [],
  openings: [{ fromDeg: 90, toDeg: 150, topElevationDeg: 35 }],
  carHeadingDeg: 0,
  hasDrain: false,
  hasLight: true,
  tap: 'always',
  openHours: Array.from({ length: 7 }, () => ({ openMinute: 420, closeMinute: 1260 })),
  washWater: DEFAULT_WATER,
  finalRinse: null,
  priceMinor: 0,
  travelMinutes: 0,
});

export function draftOf(place: PlaceRecord): PlaceDraft {
  const { climate, shelter, methods, id: _id, ...fields } = place;
  return {
    ...fields,
    setpointC: climate.kind === 'heated' ? climate.setpointC : 15,
    horizon: shelter.kind === 'open' ? shelter.horizon : [],
    openings: shelter.kind === 'roofed' ? shelter.openings : [],
    priceMinor: methods[0]?.priceMinor ?? 0,
  };
}

export type PlaceErrors = Readonly<Record<string, string>>;

const RANGES: readonly {
  field: string;
  read: (draft: PlaceDraft) => number | null;
  low: number;
  high: number;
  unit: string;
}[] = [
  { field: 'latitudeDeg', read: (draft) => draft.latitudeDeg, low: -90, high: 90, unit: 'degrees' },
  { field: 'longitudeDeg', read: (draft) => draft.longitudeDeg, low: -180, high: 180, unit: 'degrees' },
  { field: 'carHeadingDeg', read: (draft) => draft.carHeadingDeg, low: 0, high: 360, unit: 'degrees' },
  { field: 'travelMinutes', read: (draft) => draft.travelMinutes, low: 0, high: 600, unit: 'minutes' },
  { field: 'priceMinor', read: (draft) => draft.priceMinor, low: 0, high: 1_000_000, unit: '' },
];

function waterErrors(water: WaterDraft, prefix: string): Record<string, string> {
  const errors: Record<string, string> = {};
  const check = (field: keyof WaterDraft, high: number, unit: string): void => {
    const value = water[field];
    if (typeof value !== 'number' || value < 0 || value > high)
      errors[`${prefix}.${field}`] = `From 0 to ${high} ${unit}.`;
  };
  check('hardnessMgPerLitre', 10_000, 'mg/L');
  check('tdsMgPerLitre', 50_000, 'mg/L');
  check('tempC', 60, '°C');
  if (water.name.trim() === '') errors[`${prefix}.name`] = 'Give the water a name.';
  return errors;
}

/** The form's faults by field. */
export function placeErrors(draft: PlaceDraft): PlaceErrors {
  const errors: Record<string, string> = {};
  if (draft.name.trim() === '') errors.name = 'Give it a name.';
  for (const { field, read, low, high, unit } of RANGES) {
    const value = read(draft);
    if (value === null || value < low || value > high)
      errors[field] = `From ${low} to ${high} ${unit}`.trim() + '.';
  }
  if (
    KIND_FACTS[draft.kind].climate === 'heated' &&
    (draft.setpointC === null || draft.setpointC < -10 || draft.setpointC > 35)
  ) {
    errors.setpointC = 'From −10 to 35 °C.';
  }
  draft.openHours.forEach((span, weekday) => {
    if (span && span.closeMinute <= span.openMinute)
      errors[`openHours.${weekday}`] = 'It closes before it opens.';
  });
  return {
    ...errors,
    ...waterErrors(draft.washWater, 'washWater'),
    ...(draft.finalRinse ? waterErrors(draft.finalRinse, 'finalRinse') : {}),
  };
}

const waterFrom = (water: WaterDraft): PlaceRecord['washWater'] => ({
  ...water,
  hardnessMgPerLitre: water.hardnessMgPerLitre ?? 0,
  tdsMgPerLitre: water.tdsMgPerLitre ?? 0,
  tempC: water.tempC ?? 0,
});

/** The form as the server takes it. Only for a form without faults. */
export function placeFrom(draft: PlaceDraft): Omit<PlaceRecord, 'id'> {
  const { setpointC, horizon, openings, priceMinor, washWater, finalRinse, ...fields } = draft;
  const facts = KIND_FACTS[draft.kind];
  return {
    ...fields,
    name: fields.name.trim(),
    latitudeDeg: draft.latitudeDeg ?? 0,
    longitudeDeg: draft.longitudeDeg ?? 0,
    carHeadingDeg: draft.carHeadingDeg ?? 0,
    travelMinutes: draft.travelMinutes ?? 0,
    climate:
      facts.climate === 'heated' ? { kind: 'heated', setpointC: setpointC ?? 15 } : { kind: facts.climate },
    shelter:
      facts.shelter === 'indoors'
        ? { kind: 'indoors' }
        : facts.shelter === 'roofed'
          ? { kind: 'roofed', openings }
          : { kind: 'open', horizon },
    washWater: waterFrom(washWater),
    finalRinse: finalRinse ? waterFrom(finalRinse) : null,
    methods: [{ methodId: facts.methodId, priceMinor: Math.round(priceMinor ?? 0) }],
  };
}

/** "07:30" as minutes after midnight; null while it is not a time. */
export function minutesOf(text: string): number | null {
  const match = /^(\d{2}):(\d{2})$/.exec(text);
  return match ? Number(match[1]) * 60 + Number(match[2]) : null;
}

export const clockOf = (minutes: number): string =>
  `${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
