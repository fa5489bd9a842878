import type { PlaceRecord, VehicleRecord, WashRecord } from '@keen/core';
import type { Format } from '../../format/format.js';
import { PANEL_NAMES, SPOTS_NAMES } from '../../words/car-names.js';
import { methodName } from '../../words/names.js';
import { csvText } from '../../parts/csv.js';

export type SortKey = 'start' | 'vehicle' | 'place' | 'minutes' | 'cost';

export interface WashSort {
  readonly by: SortKey;
  readonly descending: boolean;
}

export interface WashRow {
  readonly wash: WashRecord;
  readonly vehicle: string;
  readonly place: string;
  readonly method: string;
  readonly found: string;
}

/** What was found, in words. */
export function foundText({ found }: WashRecord): string {
  if (!found) return '';
  const ice =
    found.icePanels.length > 0
      ? `Ice on the ${found.icePanels.map((panel) => PANEL_NAMES[panel]).join(', ')}.`
      : '';
  const spots = found.spots === 'none' ? '' : `${SPOTS_NAMES[found.spots]}.`;
  return (
    [ice, spots, found.leftovers, found.note].filter((part) => part !== '').join(' ') || 'Clean and dry.'
  );
}

const VALUE: Readonly<Record<SortKey, (row: WashRow) => number | string>> = {
  start: ({ wash }) => wash.startMs,
  vehicle: ({ vehicle }) => vehicle,
  place: ({ place }) => place,
  minutes: ({ wash }) => wash.minutes,
  cost: ({ wash }) => wash.costMinor ?? -1,
};

const compare = (a: number | string, b: number | string): number =>
  typeof a === 'string' ? a.localeCompare(String(b)) : a - Number(b);

/** Rows with names, filtered by a vehicle and a text, sorted. */
export function washRows(
  washes: readonly WashRecord[],
  names: { readonly vehicles: readonly VehicleRecord[]; readonly places: readonly PlaceRecord[] },
  shown: { readonly vehicleId: string | null; readonly text: string; readonly sort: WashSort },
): WashRow[] {
  const nameIn = (records: readonly { id: string; name: string }[], id: string): string =>
    records.find((record) => record.id === id)?.name ?? 'deleted';
  const rows = washes.map((wash) => ({
    wash,
    vehicle: nameIn(names.vehicles, wash.vehicleId),
    place: nameIn(names.places, wash.placeId),
    method: methodName(wash.methodId),
    found: foundText(wash),
  }));
  const text = shown.text.trim().toLowerCase();
  const wanted = rows.filter(
    (row) =>
      (shown.vehicleId === null || row.wash.vehicleId === shown.vehicleId) &&
      (text === '' ||
        [row.vehicle, row.place, row.method, row.found].some((part) => part.toLowerCase().includes(text))),
  );
  const value = VALUE[shown.sort.by];
  return wanted.sort((a, b) => compare(value(a), value(b)) * (shown.sort.descending ? -1 : 1));
}

/** The rows as CSV with units in the heads; instants in ISO 8601. */
export function washesCsv(rows: readonly WashRow[], format: Format): string {
  const head = [
    'start',
    'vehicle',
    'place',
    'method',
    'status',
    'minutes',
    `cost_${format.display.currency}`,
    'found',
  ];
  const lines = rows.map(({ wash, vehicle, place, method, found }) => [
    new Date(wash.startMs).toISOString(),
    vehicle,
    place,
    method,
    wash.status,
    Math.round(wash.minutes),
    wash.costMinor === null ? '' : (wash.costMinor / 100).toFixed(2),
    found,
  ]);
  return csvText(head, lines);
}
