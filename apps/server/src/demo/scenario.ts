import type { Place, Vehicle } from '@keen/core';

/** The made-up town and shop that the demo shows. Every name and figure is invented. */
export const DEMO_SEED = 3;
export const DEMO_ZONE = 'America/Toronto';
export const DEMO_CLOCK = '2026-01-14T06:40:00-05:00';
export const DEMO_SEASON_START = '2025-11-01T00:00:00-04:00';

const AT = { latitudeDeg: 46.5, longitudeDeg: -84.3, timeZone: DEMO_ZONE } as const;
const everyDay = (openMinute: number, closeMinute: number): Place['openHours'] =>
  Array.from({ length: 7 }, () => ({ openMinute, closeMinute }));

export interface NamedPlace extends Place {
  readonly name: string;
  readonly notes: string;
}

export interface NamedVehicle extends Vehicle {
  readonly name: string;
  readonly colourName: string;
  readonly keeper: string;
  readonly notes: string;
}

export const DEMO_PLACES: readonly NamedPlace[] = [
  {
    ...AT,
    id: 'home-garage',
    name: 'Home garage',
    notes: 'Unheated, floor drain, hard well water. The kettle fills the bucket.',
    kind: 'garage',
    climate: { kind: 'unheated' },
    shelter: { kind: 'indoors' },
    carHeadingDeg: 10,
    hasDrain: true,
    hasLight: true,
    tap: 'always',
    openHours: everyDay(360, 1320),
    washWater: { name: 'Well', hardnessMgPerLitre: 312, tdsMgPerLitre: 420, tempC: 6, origin: 'measured' },
    finalRinse: null,
    methods: [{ methodId: 'garage-rinseless', priceMinor: 150 }],
    travelMinutes: 0,
  },
  {
    ...AT,
    id: 'heated-unit',
    name: 'Rented heated unit',
    notes: 'Kept at 14 °C, no hose, no drain. Booked by the morning.',
    kind: 'heated-unit',
    climate: { kind: 'heated', setpointC: 14 },
    shelter: { kind: 'indoors' },
    carHeadingDeg: 90,
    hasDrain: false,
    hasLight: true,
    tap: 'none',
    openHours: [...Array.from({ length: 6 }, () => ({ openMinute: 480, closeMinute: 1080 })), null],
    washWater: { name: 'Town supply, carried in', hardnessMgPerLitre: 118, tdsMgPerLitre: 190, tempC: 12, origin: 'measured' },
    finalRinse: null,
    methods: [{ methodId: 'garage-rinseless', priceMinor: 1400 }],
    travelMinutes: 12,
  },
  {
    ...AT,
    id: 'pier-road-bay',
    name: 'Pier Road bay',
    notes: 'Self-serve, open to the south-east and north-west, warm water, last rinse softened and filtered.',
    kind: 'self-serve-bay',
    climate: { kind: 'open-bay' },
    shelter: {
      kind: 'roofed',
      openings: [
        { fromDeg: 110, toDeg: 165, topElevationDeg: 35 },
        { fromDeg: 290, toDeg: 345, topElevationDeg: 35 },
      ],
    },
    carHeadingDeg: 137,
    hasDrain: true,
    hasLight: true,
    tap: 'always',
    openHours: everyDay(360, 1320),
    washWater: { name: 'Bay, warm', hardnessMgPerLitre: 118, tdsMgPerLitre: 190, tempC: 34, origin: 'measured' },
    finalRinse: { name: 'Filtered rinse', hardnessMgPerLitre: 4, tdsMgPerLitre: 28, tempC: 20, origin: 'estimated' },
    methods: [{ methodId: 'bay-touch-free', priceMinor: 750 }],
    travelMinutes: 9,
  },
  {
    ...AT,
    id: 'beacon-touchless',
    name: 'Beacon touchless',
    notes: 'Automatic with underbody jets and a blower. Strong soap.',
    kind: 'automatic-bay',
    climate: { kind: 'outdoors' },
    shelter: { kind: 'open', horizon: [] },
    carHeadingDeg: 200,
    hasDrain: true,
    hasLight: true,
    tap: 'always',
    openHours: everyDay(420, 1260),
    washWater: { name: 'Town supply, reclaimed', hardnessMgPerLitre: 140, tdsMgPerLitre: 260, tempC: 24, origin: 'estimated' },
    finalRinse: { name: 'Spot-guard rinse', hardnessMgPerLitre: 30, tdsMgPerLitre: 70, tempC: 14, origin: 'estimated' },
    methods: [{ methodId: 'touchless-automatic', priceMinor: 1300 }],
    travelMinutes: 11,
  },
  {
    ...AT,
    id: 'north-drive',
    name: 'North drive',
    notes: 'Shaded by the house to the south until March; the tap is shut while nights freeze.',
    kind: 'drive',
    climate: { kind: 'outdoors' },
    shelter: {
      kind: 'open',
      horizon: [
        { azimuthDeg: 0, elevationDeg: 4 },
        { azimuthDeg: 80, elevationDeg: 8 },
        { azimuthDeg: 120, elevationDeg: 34 },
        { azimuthDeg: 240, elevationDeg: 34 },
        { azimuthDeg: 280, elevationDeg: 10 },
      ],
    },
    carHeadingDeg: 0,
    hasDrain: false,
    hasLight: false,
    tap: 'frost-shut',
    openHours: everyDay(420, 1260),
    washWater: { name: 'Well', hardnessMgPerLitre: 312, tdsMgPerLitre: 420, tempC: 6, origin: 'measured' },
    finalRinse: null,
    methods: [{ methodId: 'drive-hose', priceMinor: 60 }],
    travelMinutes: 0,
  },
];

type VehicleRow = Omit<NamedVehicle, 'driving'> & { readonly km: readonly [main: number, town: number, bridge: number] };

const ROWS: readonly VehicleRow[] = [
  { id: 'black-saloon', name: 'Black saloon', colourName: 'deep black', bodyClass: 'saloon', paintTone: 'black', bodyMaterial: 'steel', protection: 'coating', waterBehaviour: 'beading', km: [34, 9, 0], standsAtPlaceId: 'home-garage', cadenceDays: 7, keeper: 'The shop', notes: 'Shows every spot. Spotted in December when the last rinse was hard.' },
  { id: 'white-van', name: 'White van', colourName: 'plain white', bodyClass: 'van', paintTone: 'white', bodyMaterial: 'steel', protection: 'bare', waterBehaviour: 'flat', km: [48, 22, 12], standsAtPlaceId: null, cadenceDays: 10, keeper: 'The shop', notes: 'Carries the kit.' },
  { id: 'silver-estate', name: 'Silver estate', colourName: 'light silver', bodyClass: 'estate', paintTone: 'silver', bodyMaterial: 'steel', protection: 'wax', waterBehaviour: 'sheeting', km: [28, 12, 12], standsAtPlaceId: null, cadenceDays: 14, keeper: 'Orla Venn', notes: 'Wax stripped by three automatic washes in a row; keep it away from strong soap.' },
  { id: 'blue-hatch', name: 'Blue hatch', colourName: 'mid blue', bodyClass: 'hatch', paintTone: 'mid', bodyMaterial: 'steel', protection: 'sealant', waterBehaviour: 'beading', km: [8, 14, 0], standsAtPlaceId: null, cadenceDays: 14, keeper: 'Tamsin Roe', notes: '' },
  { id: 'red-pickup', name: 'Red pickup', colourName: 'dark red', bodyClass: 'pickup', paintTone: 'mid', bodyMaterial: 'aluminium', protection: 'sealant', waterBehaviour: 'sheeting', km: [52, 6, 18], standsAtPlaceId: null, cadenceDays: 10, keeper: 'Jory Pell', notes: 'Crosses the bridge each day: magnesium brine underneath.' },
  { id: 'grey-suv', name: 'Grey SUV', colourName: 'graphite grey', bodyClass: 'suv', paintTone: 'mid', bodyMaterial: 'steel', protection: 'coating', waterBehaviour: 'beading', km: [22, 10, 6], standsAtPlaceId: 'heated-unit', cadenceDays: 14, keeper: 'Mirren Ask', notes: 'Stands warm: salt works faster there.' },
  { id: 'green-estate', name: 'Green estate', colourName: 'bottle green', bodyClass: 'estate', paintTone: 'mid', bodyMaterial: 'steel', protection: 'wax', waterBehaviour: 'beading', km: [16, 8, 0], standsAtPlaceId: null, cadenceDays: 14, keeper: 'Aldous Fenn', notes: '' },
  { id: 'white-hatch', name: 'White hatch', colourName: 'pearl white', bodyClass: 'hatch', paintTone: 'white', bodyMaterial: 'steel', protection: 'sealant', waterBehaviour: 'sheeting', km: [6, 18, 0], standsAtPlaceId: null, cadenceDays: 21, keeper: 'Tamsin Roe', notes: 'Charges at home; keep water off the flap in frost.' },
  { id: 'black-suv', name: 'Black SUV', colourName: 'gloss black', bodyClass: 'suv', paintTone: 'black', bodyMaterial: 'aluminium', protection: 'coating', waterBehaviour: 'beading', km: [30, 8, 12], standsAtPlaceId: null, cadenceDays: 10, keeper: 'Ines Calder', notes: 'The roof froze on 6 December: the wind was missed.' },
  { id: 'silver-saloon', name: 'Silver saloon', colourName: 'pewter', bodyClass: 'saloon', paintTone: 'silver', bodyMaterial: 'steel', protection: 'bare', waterBehaviour: 'flat', km: [12, 12, 0], standsAtPlaceId: null, cadenceDays: 21, keeper: 'Corin Hale', notes: '' },
  { id: 'orange-hatch', name: 'Orange hatch', colourName: 'burnt orange', bodyClass: 'hatch', paintTone: 'mid', bodyMaterial: 'steel', protection: 'sealant', waterBehaviour: 'beading', km: [4, 8, 0], standsAtPlaceId: 'home-garage', cadenceDays: 21, keeper: 'The shop', notes: 'Little used.' },
  { id: 'cream-van', name: 'Cream camper van', colourName: 'cream', bodyClass: 'van', paintTone: 'white', bodyMaterial: 'steel', protection: 'wax', waterBehaviour: 'beading', km: [3, 2, 0], standsAtPlaceId: null, cadenceDays: 28, keeper: 'Wilf Arden', notes: 'Laid up most of the winter.' },
];

export const DEMO_VEHICLES: readonly NamedVehicle[] = ROWS.map(({ km: [mainRoadKm, townKm, bridgeKm], ...row }) => ({
  ...row,
  driving: { mainRoadKm, townKm, bridgeKm },
}));
