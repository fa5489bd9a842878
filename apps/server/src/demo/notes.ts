import {
  startOfHourMs,
  swab,
  type ZoneSoil,
  type DriveRecord,
  type SoilLookRecord,
  type SwabRecord,
} from '@keen/core';

const PATCH = { volumeMl: 15, areaMm2: 1250 } as const;
const local = (text: string): number => Date.parse(`${text}-05:00`);

type SwabRow = readonly [vehicleId: string, at: string, zone: SwabRecord['zone'], microSiemens: number];

/** Patches that somebody stuck on this winter. */
const SWABS: readonly SwabRow[] = [
  ['red-pickup', '2025-12-03T17:30', 'lower-left', 190],
  ['red-pickup', '2025-12-22T16:10', 'lower-left', 360],
  ['red-pickup', '2026-01-10T15:40', 'lower-right', 600],
  ['grey-suv', '2025-12-19T18:00', 'lower-right', 82],
  ['grey-suv', '2026-01-11T11:20', 'lower-left', 390],
  ['white-van', '2026-01-12T16:45', 'rear', 310],
];

export const demoSwabs = (): SwabRecord[] =>
  SWABS.map(([vehicleId, at, zone, deltaMicroSiemensPerCm], i) => ({
    id: `swab-${i}`,
    vehicleId,
    atMs: local(at),
    zone,
    deltaMicroSiemensPerCm,
    ...PATCH,
    gramsPerM2: swab({ deltaMicroSiemensPerCm, ...PATCH }).mgPerM2 / 1000,
  }));

type DriveRow = readonly [
  vehicleId: string,
  at: string,
  roadClass: DriveRecord['roadClass'],
  km: number,
  kmh: number,
];

/** A trip to the next town and back, and a day of deliveries. */
const DRIVES: readonly DriveRow[] = [
  ['green-estate', '2026-01-03T09:00', 'main', 71, 84],
  ['green-estate', '2026-01-03T10:00', 'main', 38, 80],
  ['green-estate', '2026-01-03T16:00', 'main', 66, 76],
  ['green-estate', '2026-01-03T17:00', 'main', 43, 72],
  ['white-van', '2026-01-09T08:00', 'main', 44, 68],
  ['white-van', '2026-01-09T09:00', 'bridge', 12, 58],
  ['white-van', '2026-01-09T11:00', 'town', 19, 31],
  ['white-van', '2026-01-09T15:00', 'main', 52, 70],
];

export const demoDrives = (): DriveRecord[] =>
  DRIVES.map(([vehicleId, at, roadClass, km, meanKmh], i) => ({
    id: `drive-${i}`,
    vehicleId,
    hourMs: startOfHourMs(local(at)),
    roadClass,
    km,
    meanKmh,
    origin: 'entered',
  }));

type LookRow = readonly [
  vehicleId: string,
  zone: SoilLookRecord['zone'],
  kind: SoilLookRecord['kind'],
  grade: number,
];

/** What was seen when the cars came home. */
const LOOKS: readonly LookRow[] = [
  ['white-van', 'rear', 'grit', 4],
  ['white-van', 'lower-left', 'tar', 2],
  ['red-pickup', 'arches-left', 'grit', 5],
  ['red-pickup', 'wheels-left', 'iron', 3],
  ['black-saloon', 'bonnet', 'scale', 1],
];

/** @param estimatedOf the soil of a vehicle as it was estimated at that instant */
export const demoLooks = (
  atMs: number,
  estimatedOf: (vehicleId: string) => readonly ZoneSoil[],
): SoilLookRecord[] =>
  LOOKS.map(([vehicleId, zone, kind, grade], i) => ({
    id: `look-${i}`,
    vehicleId,
    zone,
    kind,
    grade,
    atMs,
    estimatedThen:
      estimatedOf(vehicleId).find((entry) => entry.zone === zone && entry.kind === kind)?.grade ?? 0,
  }));
