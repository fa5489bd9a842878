import {
  hasLength,
  type HorizonPoint,
  METHODS,
  MOST_MINOR,
  type Opening,
  type OpenSpan,
  type PlaceKind,
  type Queue,
  type SiteRule,
  type Tap,
  type PlaceRecord,
} from '@keen/core';

/** What is typed of a water. */
export interface WaterDraft {
  readonly name: string;
  readonly hardnessMgPerLitre: number | null;
  readonly tdsMgPerLitre: number | null;
  readonly tempC: number | null;
  readonly origin: 'measured' | 'estimated' | 'default';
}

/** A method on offer, with the price of a visit. */
export interface OfferDraft {
  readonly methodId: string;
  readonly priceMinor: number | null;
}

/** A coin or card meter as typed. */
export interface TariffDraft {
  readonly startPriceMinor: number | null;
  readonly startSeconds: number | null;
  readonly blockPriceMinor: number | null;
  readonly blockSeconds: number | null;
  readonly pausable: boolean;
}

/** Waiting between two hours of the day. */
export interface QueueRow {
  readonly fromHour: number;
  readonly toHour: number;
  readonly minutes: number;
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
  readonly relHumidityPercent: number | null;
  readonly offers: readonly OfferDraft[];
  readonly tariff: TariffDraft | null;
  readonly weekdayQueue: readonly QueueRow[];
  readonly weekendQueue: readonly QueueRow[];
  readonly forbids: readonly SiteRule[];
  readonly travelMinutes: number | null;
  readonly carsAtOnce: number | null;
}

/** What a kind of place is like: its air, its roof, and the usual way to wash there. */
export const KIND_FACTS = {
  garage: { climate: 'unheated', shelter: 'indoors', methodId: 'garage-rinseless' },
  'heated-unit': { climate: 'heated', shelter: 'indoors', methodId: 'garage-rinseless' },
  'self-serve-bay': { climate: 'open-bay', shelter: 'roofed', methodId: 'bay-touch-free' },
  'automatic-bay': { climate: 'outdoors', shelter: 'open', methodId: 'touchless-automatic' },
  drive: { climate: 'outdoors', shelter: 'open', methodId: 'drive-hose' },
} as const satisfies Readonly<Record<PlaceKind, { climate: string; shelter: string; methodId: string }>>;

/** Ways to wash that a kind of place can offer. */
export const methodsAt = (kind: PlaceKind): string[] =>
  METHODS.filter(({ placeKinds }) => placeKinds.includes(kind)).map(({ id }) => id);

export const DEFAULT_TARIFF: TariffDraft = {
  startPriceMinor: 300,
  startSeconds: 180,
  blockPriceMinor: 100,
  blockSeconds: 60,
  pausable: false,
};

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
  relHumidityPercent: null,
  offers: [{ methodId: KIND_FACTS.garage.methodId, priceMinor: 0 }],
  tariff: null,
  weekdayQueue: [],
  weekendQueue: [],
  forbids: [],
  travelMinutes: 0,
  carsAtOnce: 1,
});

/** Twenty-four hours as stretches of equal waiting; hours without any are left out. */
export function queueRows(minutesByHour: readonly number[]): QueueRow[] {
  const rows: QueueRow[] = [];
  minutesByHour.forEach((minutes, hour) => {
    const last = rows.at(-1);
    if (minutes <= 0) return;
    if (last?.toHour === hour && last.minutes === minutes)
      rows[rows.length - 1] = { ...last, toHour: hour + 1 };
    else rows.push({ fromHour: hour, toHour: hour + 1, minutes });
  });
  return rows;
}

/** The stretches as twenty-four hours; where two overlap the longer wait counts. */
export const queueHours = (rows: readonly QueueRow[]): number[] =>
  Array.from({ length: 24 }, (_, hour) =>
    Math.max(
      0,
      ...rows
        .filter(({ fromHour, toHour }) => fromHour <= hour && hour < toHour)
        .map(({ minutes }) => minutes),
    ),
  );

function queueFrom(weekday: readonly QueueRow[], weekend: readonly QueueRow[]): Queue | null {
  if (weekday.length === 0 && weekend.length === 0) return null;
  return { weekdayMinutes: queueHours(weekday), weekendMinutes: queueHours(weekend) };
}

const humidityPercent = (climate: PlaceRecord['climate']): number | null => {
  const fraction = 'relHumidityFraction' in climate ? (climate.relHumidityFraction ?? null) : null;
  return fraction === null ? null : Math.round(fraction * 100);
};

export function draftOf(place: PlaceRecord): PlaceDraft {
  const { climate, shelter, methods, queue, id: _id, ...fields } = place;
  return {
    ...fields,
    setpointC: climate.kind === 'heated' ? climate.setpointC : 15,
    horizon: shelter.kind === 'open' ? shelter.horizon : [],
    openings: shelter.kind === 'roofed' ? shelter.openings : [],
    relHumidityPercent: humidityPercent(climate),
    offers: methods,
    weekdayQueue: queueRows(queue?.weekdayMinutes ?? []),
    weekendQueue: queueRows(queue?.weekendMinutes ?? []),
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
  { field: 'carsAtOnce', read: (draft) => draft.carsAtOnce, low: 1, high: 20, unit: 'cars' },
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

function tariffErrors(tariff: TariffDraft): Record<string, string> {
  const errors: Record<string, string> = {};
  const check = (
    field: Exclude<keyof TariffDraft, 'pausable'>,
    low: number,
    high: number,
    text: string,
  ): void => {
    const value = tariff[field];
    if (value === null || value < low || value > high) errors[`tariff.${field}`] = text;
  };
  check('startPriceMinor', 0, MOST_MINOR, 'From 0 to 1,000,000.');
  check('startSeconds', 0, 36_000, 'From 0 to 36,000 s.');
  check('blockPriceMinor', 0, MOST_MINOR, 'From 0 to 1,000,000.');
  check('blockSeconds', 1, 36_000, 'From 1 to 36,000 s.');
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
  if (draft.offers.length === 0) errors.offers = 'Choose at least one way to wash.';
  draft.offers.forEach(({ methodId, priceMinor }) => {
    if (priceMinor === null || priceMinor < 0 || priceMinor > MOST_MINOR)
      errors[`offers.${methodId}`] = 'From 0 to 1,000,000.';
  });
  if (draft.tariff) Object.assign(errors, tariffErrors(draft.tariff));
  if (draft.relHumidityPercent !== null && (draft.relHumidityPercent < 5 || draft.relHumidityPercent > 100))
    errors.relHumidityPercent = 'From 5 to 100 %.';
  [...draft.weekdayQueue, ...draft.weekendQueue].forEach(({ fromHour, toHour }) => {
    if (toHour <= fromHour) errors.queue = 'A stretch of waiting must end after it begins.';
  });
  draft.openHours.forEach((span, weekday) => {
    if (span && !hasLength(span))
      errors[`openHours.${weekday}`] =
        'It closes as it opens. For the whole day give 00:00 to 00:00 of the next day.';
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
  const {
    setpointC,
    relHumidityPercent,
    horizon,
    openings,
    offers,
    tariff,
    weekdayQueue,
    weekendQueue,
    washWater,
    finalRinse,
    ...fields
  } = draft;
  const relHumidityFraction = relHumidityPercent === null ? null : relHumidityPercent / 100;
  const facts = KIND_FACTS[draft.kind];
  return {
    ...fields,
    name: fields.name.trim(),
    latitudeDeg: draft.latitudeDeg ?? 0,
    longitudeDeg: draft.longitudeDeg ?? 0,
    carHeadingDeg: draft.carHeadingDeg ?? 0,
    travelMinutes: draft.travelMinutes ?? 0,
    carsAtOnce: draft.carsAtOnce ?? 1,
    climate:
      facts.climate === 'heated'
        ? { kind: 'heated', setpointC: setpointC ?? 15, relHumidityFraction }
        : facts.climate === 'unheated'
          ? { kind: 'unheated', relHumidityFraction }
          : { kind: facts.climate },
    shelter:
      facts.shelter === 'indoors'
        ? { kind: 'indoors' }
        : facts.shelter === 'roofed'
          ? { kind: 'roofed', openings }
          : { kind: 'open', horizon },
    washWater: waterFrom(washWater),
    finalRinse: finalRinse ? waterFrom(finalRinse) : null,
    methods: offers.map(({ methodId, priceMinor }) => ({
      methodId,
      priceMinor: Math.round(priceMinor ?? 0),
    })),
    tariff: tariff && {
      startPriceMinor: Math.round(tariff.startPriceMinor ?? 0),
      startSeconds: tariff.startSeconds ?? 0,
      blockPriceMinor: Math.round(tariff.blockPriceMinor ?? 0),
      blockSeconds: tariff.blockSeconds ?? 60,
      pausable: tariff.pausable,
    },
    queue: queueFrom(weekdayQueue, weekendQueue),
  };
}
