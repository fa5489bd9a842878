import { CAR_ZONES, MS_PER_HOUR, ZONE_GROUPS, type ZoneGroup } from '@keen/core';
import type { CarZone, VerdictKind, BalanceRow, CadenceOutcome, CadencePart, PlaceRecord } from '@keen/core';
import type { Format } from '../../format/format.js';
import { findingText } from '../../words/finding-words.js';
import { LEFTOVER_NAMES } from '../../words/car-names.js';
import { methodName, VERDICT_WORDS } from '../../words/names.js';
import { csvText } from '../../parts/csv.js';
import type { Layer } from '../../parts/unfolded-car.js';

const ORDER: readonly VerdictKind[] = ['go', 'go-if', 'wait', 'unknown', 'no'];

export const SORTS = {
  verdict: 'What goes first',
  salt: 'Most salt saved',
  money: 'Cheapest',
  minutes: 'Quickest',
  water: 'Least water',
} as const;
export type Sort = keyof typeof SORTS;

/** Money, and time at its price. */
export const fullPriceMinor = (row: BalanceRow): number => row.cost.totalMinor + row.timeMinor;

export const totalMinutes = ({ minutes }: BalanceRow): number =>
  minutes.wash + minutes.travel + minutes.queue;

const KEYS: Readonly<Record<Sort, (row: BalanceRow) => number>> = {
  verdict: (row) => ORDER.indexOf(row.verdict) * 1e9 - (row.saltMinor - fullPriceMinor(row)),
  salt: (row) => -row.activeHoursSaved,
  money: (row) => row.cost.totalMinor,
  minutes: totalMinutes,
  water: (row) => row.litres,
};

export const sortRows = (rows: readonly BalanceRow[], sort: Sort): BalanceRow[] =>
  [...rows].sort((a, b) => KEYS[sort](a) - KEYS[sort](b));

/** Salt that would stay on a zone, g/m². */
export const leftOn = (row: BalanceRow, zone: CarZone): number =>
  row.left.find((entry) => entry.zone === zone)?.loadGramsPerM2 ?? 0;

/** What comes off each zone, as the unfolded car draws it. */
export const removalLayer = ({ removes }: Pick<BalanceRow, 'removes'>): Layer =>
  Object.fromEntries(
    CAR_ZONES.map(({ zone, group }) => [
      zone,
      { text: '', strength: removes[group], spoken: `${Math.round(removes[group] * 100)} percent` },
    ]),
  );

interface Removed {
  readonly group: ZoneGroup;
  /** 0–1. */
  readonly share: number;
}

/** Where most comes off, and where least. */
export function removedMostAndLeast({ removes }: Pick<BalanceRow, 'removes'>): {
  readonly most: Removed;
  readonly least: Removed;
} {
  const [first, ...rest] = ZONE_GROUPS.map((group): Removed => ({ group, share: removes[group] }));
  const start = first ?? { group: 'upper', share: 0 };
  return {
    most: rest.reduce((most, one) => (one.share > most.share ? one : most), start),
    least: rest.reduce((least, one) => (one.share < least.share ? one : least), start),
  };
}

export const leavesText = (row: BalanceRow): string =>
  row.leaves.length === 0 ? 'nothing' : row.leaves.map((leftover) => LEFTOVER_NAMES[leftover]).join(', ');

/** Hours of the week that can be chosen, from the present one. */
export const hourOptions = (fromMs: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => fromMs + i * MS_PER_HOUR);

/** The table as CSV, one row a method. */
export function balanceCsv(
  rows: readonly BalanceRow[],
  places: readonly PlaceRecord[],
  format: Format,
): string {
  const head = [
    'place',
    'method',
    'verdict',
    'reason',
    'removes_upper',
    'removes_lower',
    'removes_wheels',
    'removes_arches',
    'removes_under',
    'minutes',
    'money_minor',
    'litres',
    'active_hours_saved',
  ];
  const lines = rows.map((row) => [
    places.find(({ id }) => id === row.placeId)?.name ?? row.placeId,
    methodName(row.methodId),
    VERDICT_WORDS[row.verdict],
    findingText(row.limiting, format),
    ...[row.removes.upper, row.removes.lower, row.removes.wheels, row.removes.arches, row.removes.under].map(
      (share) => share.toFixed(3),
    ),
    totalMinutes(row).toFixed(0),
    Math.round(row.cost.totalMinor),
    row.litres.toFixed(1),
    Number(row.activeHoursSaved.toFixed(2)),
  ]);
  return csvText(head, lines);
}

export interface CadencePlan {
  readonly name: string;
  readonly parts: readonly CadencePart[];
}

/** Cadences to begin with, from what the shop's places offer. */
export function usualPlans(places: readonly PlaceRecord[]): CadencePlan[] {
  const offered = new Set(places.flatMap(({ methods }) => methods.map(({ methodId }) => methodId)));
  const part = (methodId: string, everyDays: number): CadencePart[] =>
    offered.has(methodId) ? [{ methodId, everyDays }] : [];
  const contact =
    ['bay-contact', 'garage-hose', 'drive-hose', 'garage-rinseless'].find((id) => offered.has(id)) ?? '';
  const plans: CadencePlan[] = [
    { name: 'Touch-free every week', parts: part('bay-touch-free', 7) },
    { name: 'Automatic every week', parts: part('touchless-automatic', 7) },
    { name: 'By hand every month', parts: part(contact, 28) },
    { name: 'Salt flush weekly, by hand monthly', parts: [...part('salt-flush', 7), ...part(contact, 28)] },
    {
      name: 'Touch-free every two weeks, by hand monthly',
      parts: [...part('bay-touch-free', 14), ...part(contact, 28)],
    },
  ];
  return plans.filter(({ parts }) => parts.length > 0);
}

/** Money for each active hour saved; null where nothing was saved. */
export const priceOfHourMinor = ({ moneyMinor, activeHoursSaved }: CadenceOutcome): number | null =>
  activeHoursSaved > 0.05 ? moneyMinor / activeHoursSaved : null;
