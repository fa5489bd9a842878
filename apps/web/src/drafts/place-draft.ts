import {
  type BucketWater,
  type HorizonPoint,
  METHODS,
  type Opening,
  type OpenSpan,
  type PlaceKind,
  type PlaceRecord,
  type SiteRule,
  type SiteSoap,
  type Tap,
} from '@keen/core';
import { type AirDraft, airDraft, NO_AIR } from './air-draft.js';
import { KIND_FACTS } from './kind-facts.js';
import { type QueueRow, queueRows } from './queue-rows.js';

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

/** What is typed into the form of a place. */
export interface PlaceDraft extends AirDraft {
  readonly name: string;
  readonly notes: string;
  readonly kind: PlaceKind;
  readonly latitudeDeg: number | null;
  readonly longitudeDeg: number | null;
  readonly timeZone: string;
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
  /** null: as long as one likes. */
  readonly mostMinutes: number | null;
  readonly dryingSpot: string;
  readonly siteSoap: SiteSoap;
  readonly bucketWater: BucketWater;
  /** Where a wash that begins here is ended; null: here. */
  readonly finishPlaceId: string | null;
  readonly finishMinutes: number | null;
  readonly finishMinor: number | null;
}

const usualOffers = (kind: PlaceKind): OfferDraft[] =>
  KIND_FACTS[kind].methodIds.map((methodId) => ({ methodId, priceMinor: 0 }));

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
  ...NO_AIR,
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
  offers: usualOffers('garage'),
  tariff: null,
  weekdayQueue: [],
  weekendQueue: [],
  forbids: [],
  travelMinutes: 0,
  carsAtOnce: 1,
  mostMinutes: null,
  dryingSpot: '',
  siteSoap: 'ordinary',
  bucketWater: 'brought',
  finishPlaceId: null,
  finishMinutes: null,
  finishMinor: null,
});

const humidityPercent = (climate: PlaceRecord['climate']): number | null => {
  const fraction = 'relHumidityFraction' in climate ? (climate.relHumidityFraction ?? null) : null;
  return fraction === null ? null : Math.round(fraction * 100);
};

/** A place becomes another kind: its usual ways to wash, its air, its drain, and no tap where there is none. */
export const ofKind = (kind: PlaceKind): Partial<PlaceDraft> => ({
  kind,
  offers: usualOffers(kind),
  hasDrain: KIND_FACTS[kind].hasDrain,
  indoorAir: KIND_FACTS[kind].climate === 'heated' ? 'kept' : 'model',
  ...(kind === 'car-park' ? { tap: 'none' } : {}),
});

export function draftOf(place: PlaceRecord): PlaceDraft {
  const { climate, shelter, methods, queue, finishAt, id: _id, ...fields } = place;
  return {
    ...fields,
    mostMinutes: fields.mostMinutes ?? null,
    dryingSpot: fields.dryingSpot ?? '',
    siteSoap: fields.siteSoap ?? 'ordinary',
    bucketWater: fields.bucketWater ?? 'brought',
    ...airDraft(climate),
    horizon: shelter.kind === 'open' ? shelter.horizon : [],
    openings: shelter.kind === 'roofed' ? shelter.openings : [],
    relHumidityPercent: humidityPercent(climate),
    offers: methods,
    weekdayQueue: queueRows(queue?.weekdayMinutes ?? []),
    weekendQueue: queueRows(queue?.weekendMinutes ?? []),
    finishPlaceId: finishAt?.placeId ?? null,
    finishMinutes: finishAt?.driveMinutes ?? null,
    finishMinor: finishAt?.priceMinor ?? null,
  };
}
