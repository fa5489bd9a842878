import {
  type CadenceTarget,
  EVEN_WEEK,
  type Worker,
  type Place,
  type PlaceRecord,
  type Queue,
  type SeasonJobId,
  type Vehicle,
  type WeekShares,
  type ZoneProtection,
} from '@keen/core';

/** The made-up town and shop that the demo shows. Every name and figure is invented. */
export const DEMO_ZONE = 'America/Toronto';
export const DEMO_CLOCK = '2026-01-14T06:40:00-05:00';
export const DEMO_SEASON_START = '2025-11-01T00:00:00-04:00';

const AT = { latitudeDeg: 46.5, longitudeDeg: -84.3, timeZone: DEMO_ZONE } as const;
const everyDay = (openMinute: number, closeMinute: number): Place['openHours'] =>
  Array.from({ length: 7 }, () => ({ openMinute, closeMinute }));

/** Waiting at the bay: midday and after work, worse at the weekend. */
const BAY_QUEUE: Queue = {
  weekdayMinutes: [0, 0, 0, 0, 0, 0, 0, 2, 4, 4, 5, 6, 10, 8, 5, 6, 12, 18, 14, 8, 4, 2, 0, 0],
  weekendMinutes: [0, 0, 0, 0, 0, 0, 0, 0, 4, 10, 18, 25, 28, 28, 25, 22, 18, 14, 8, 5, 3, 2, 0, 0],
};
const TOUCHLESS_QUEUE: Queue = {
  weekdayMinutes: [0, 0, 0, 0, 0, 0, 0, 2, 3, 3, 3, 4, 8, 6, 4, 5, 9, 12, 8, 5, 3, 0, 0, 0],
  weekendMinutes: [0, 0, 0, 0, 0, 0, 0, 2, 4, 8, 12, 16, 18, 18, 15, 12, 10, 8, 5, 3, 2, 0, 0, 0],
};

/** The owner from Monday to Saturday; a helper on Saturdays. */
export const DEMO_WORKERS: readonly Worker[] = [
  {
    id: 'owner',
    name: 'Owner',
    hours: [0, 1, 2, 3, 4, 5, 6].map((day) => (day < 6 ? { openMinute: 450, closeMinute: 1110 } : null)),
  },
  {
    id: 'helper',
    name: 'Saturday helper',
    hours: [0, 1, 2, 3, 4, 5, 6].map((day) => (day === 5 ? { openMinute: 540, closeMinute: 960 } : null)),
  },
];

export type NamedPlace = Omit<PlaceRecord, 'finishAt'> & Partial<Pick<PlaceRecord, 'finishAt'>>;

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
    methods: [
      { methodId: 'garage-rinseless', priceMinor: 90 },
      { methodId: 'garage-hose', priceMinor: 120 },
      { methodId: 'waterless', priceMinor: 0 },
      { methodId: 'rinseless-heavy', priceMinor: 100 },
      { methodId: 'strip-reseal', priceMinor: 100 },
      { methodId: 'winter-strip', priceMinor: 160 },
    ],
    tariff: null,
    queue: null,
    forbids: [],
    travelMinutes: 0,
    carsAtOnce: 1,
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
    washWater: {
      name: 'Town supply, carried in',
      hardnessMgPerLitre: 118,
      tdsMgPerLitre: 190,
      tempC: 12,
      origin: 'measured',
    },
    finalRinse: null,
    methods: [
      { methodId: 'garage-rinseless', priceMinor: 1400 },
      { methodId: 'waterless', priceMinor: 1400 },
      { methodId: 'strip-reseal', priceMinor: 1400 },
      { methodId: 'pre-coating', priceMinor: 1400 },
    ],
    tariff: null,
    queue: null,
    forbids: [],
    travelMinutes: 12,
    carsAtOnce: 1,
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
    washWater: {
      name: 'Bay, warm',
      hardnessMgPerLitre: 118,
      tdsMgPerLitre: 190,
      tempC: 34,
      origin: 'measured',
    },
    finalRinse: {
      name: 'Filtered rinse',
      hardnessMgPerLitre: 4,
      tdsMgPerLitre: 28,
      tempC: 20,
      origin: 'estimated',
    },
    methods: [
      { methodId: 'bay-touch-free', priceMinor: 0 },
      { methodId: 'bay-contact', priceMinor: 0 },
      { methodId: 'bay-rinse-rinseless', priceMinor: 0 },
      { methodId: 'salt-flush', priceMinor: 0 },
    ],
    tariff: {
      startPriceMinor: 300,
      startSeconds: 180,
      blockPriceMinor: 75,
      blockSeconds: 60,
      pausable: false,
    },
    queue: BAY_QUEUE,
    forbids: [],
    travelMinutes: 9,
    finishAt: { placeId: 'heated-unit', driveMinutes: 5, priceMinor: 1400 },
    carsAtOnce: 2,
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
    washWater: {
      name: 'Town supply, reclaimed',
      hardnessMgPerLitre: 140,
      tdsMgPerLitre: 260,
      tempC: 24,
      origin: 'estimated',
    },
    finalRinse: {
      name: 'Spot-guard rinse',
      hardnessMgPerLitre: 30,
      tdsMgPerLitre: 70,
      tempC: 14,
      origin: 'estimated',
    },
    methods: [{ methodId: 'touchless-automatic', priceMinor: 1300 }],
    tariff: null,
    queue: TOUCHLESS_QUEUE,
    forbids: ['no-contact'],
    travelMinutes: 11,
    carsAtOnce: 1,
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
    methods: [
      { methodId: 'drive-hose', priceMinor: 60 },
      { methodId: 'salt-flush', priceMinor: 30 },
      { methodId: 'waterless', priceMinor: 0 },
    ],
    tariff: null,
    queue: null,
    forbids: ['no-washing-in-frost'],
    travelMinutes: 0,
    carsAtOnce: 1,
    dryingSpot: 'under the roof by the gate',
  },
];

/** What is the same for most of them is left out. */
type VehicleRow = Omit<
  NamedVehicle,
  'driving' | 'protections' | 'delicateWheels' | 'hasChargePort' | 'weekShares' | 'target' | 'seasonJobs'
> & {
  readonly km: readonly [main: number, town: number, bridge: number];
  readonly protections?: readonly ZoneProtection[];
  readonly delicateWheels?: boolean;
  readonly hasChargePort?: boolean;
  readonly weekShares?: WeekShares;
  readonly target?: CadenceTarget;
  readonly seasonJobs?: readonly SeasonJobId[];
};

const COMMUTER: WeekShares = [1, 1, 1, 1, 1, 0.5, 0.3];
const TRADE: WeekShares = [1, 1, 1, 1, 1, 0.6, 0];

/** A zone's protection with its day, and what water did there when somebody looked. */
const on = (
  { zone, kind, day }: Pick<ZoneProtection, 'zone' | 'kind'> & { readonly day: string },
  rest: {
    product?: string;
    lifeDays?: number;
    seen?: readonly [NonNullable<ZoneProtection['observed']>['behaviour'], string];
  } = {},
): ZoneProtection => ({
  zone,
  kind,
  appliedMs: Date.parse(`${day}T12:00:00-05:00`),
  productName: rest.product ?? null,
  claimedLifeDays: rest.lifeDays ?? null,
  observed: rest.seen
    ? { behaviour: rest.seen[0], atMs: Date.parse(`${rest.seen[1]}T12:00:00-05:00`) }
    : null,
});
const BODY_ZONES = [
  'roof',
  'bonnet',
  'boot',
  'upper-left',
  'upper-right',
  'lower-left',
  'lower-right',
  'front',
  'rear',
] as const;

const ROWS: readonly VehicleRow[] = [
  {
    id: 'black-saloon',
    name: 'Black saloon',
    colourName: 'deep black',
    bodyClass: 'saloon',
    paintTone: 'black',
    bodyMaterial: 'steel',
    protection: 'coating',
    waterBehaviour: 'beading',
    km: [34, 9, 0],
    standsAtPlaceId: 'home-garage',
    cadenceDays: 7,
    weekShares: COMMUTER,
    delicateWheels: true,
    protections: [
      ...BODY_ZONES.filter((zone) => zone !== 'bonnet').map((zone) =>
        on({ zone, kind: 'coating', day: '2024-05-18' }, { product: 'Three-year coating', lifeDays: 1095 }),
      ),
      { zone: 'bonnet', kind: 'bare', appliedMs: null, claimedLifeDays: null, observed: null },
      on(
        { zone: 'glass', kind: 'spray-ceramic', day: '2025-10-20' },
        { product: 'Glass sealer', lifeDays: 180 },
      ),
      on({ zone: 'wheels-left', kind: 'coating', day: '2024-05-18' }, { lifeDays: 365 }),
      on({ zone: 'wheels-right', kind: 'coating', day: '2024-05-18' }, { lifeDays: 365 }),
    ],
    keeper: 'The shop',
    notes:
      'Shows every spot. Bonnet repainted and bare since. Spotted in November when the last rinse was hard.',
  },
  {
    id: 'white-van',
    name: 'White van',
    colourName: 'plain white',
    bodyClass: 'van',
    paintTone: 'white',
    bodyMaterial: 'steel',
    protection: 'bare',
    waterBehaviour: 'flat',
    km: [48, 22, 12],
    standsAtPlaceId: null,
    cadenceDays: 10,
    weekShares: TRADE,
    keeper: 'The shop',
    notes: 'Carries the kit.',
  },
  {
    id: 'silver-estate',
    name: 'Silver estate',
    colourName: 'light silver',
    bodyClass: 'estate',
    paintTone: 'silver',
    bodyMaterial: 'steel',
    protection: 'wax',
    waterBehaviour: 'sheeting',
    km: [28, 12, 12],
    standsAtPlaceId: null,
    cadenceDays: 14,
    weekShares: COMMUTER,
    protections: BODY_ZONES.map((zone) =>
      on(
        { zone, kind: 'wax', day: '2025-10-25' },
        {
          lifeDays: 75,
          seen: [zone === 'roof' ? 'sheeting' : 'flat', '2025-12-29'],
        },
      ),
    ),
    keeper: 'Orla Venn',
    notes: 'Wax stripped by three automatic washes in a row; keep it away from strong soap.',
  },
  {
    id: 'blue-hatch',
    name: 'Blue hatch',
    colourName: 'mid blue',
    bodyClass: 'hatch',
    paintTone: 'mid',
    bodyMaterial: 'steel',
    protection: 'sealant',
    waterBehaviour: 'beading',
    km: [8, 14, 0],
    standsAtPlaceId: null,
    cadenceDays: 14,
    protections: BODY_ZONES.map((zone) =>
      on({ zone, kind: 'sealant', day: '2025-11-02' }, { lifeDays: 120 }),
    ),
    keeper: 'Tamsin Roe',
    notes: '',
  },
  {
    id: 'red-pickup',
    name: 'Red pickup',
    colourName: 'dark red',
    bodyClass: 'pickup',
    paintTone: 'mid',
    bodyMaterial: 'aluminium',
    protection: 'sealant',
    waterBehaviour: 'sheeting',
    km: [52, 6, 18],
    standsAtPlaceId: null,
    cadenceDays: 10,
    weekShares: TRADE,
    protections: BODY_ZONES.map((zone) =>
      on({ zone, kind: 'sealant', day: '2025-10-11' }, { lifeDays: 120 }),
    ),
    target: { kind: 'salt-days', most: 12 },
    keeper: 'Jory Pell',
    notes: 'Crosses the bridge each day: magnesium brine underneath.',
  },
  {
    id: 'grey-suv',
    name: 'Grey SUV',
    colourName: 'graphite grey',
    bodyClass: 'suv',
    paintTone: 'mid',
    bodyMaterial: 'steel',
    protection: 'coating',
    waterBehaviour: 'beading',
    km: [22, 10, 6],
    standsAtPlaceId: 'heated-unit',
    cadenceDays: 14,
    weekShares: COMMUTER,
    protections: BODY_ZONES.map((zone) =>
      on(
        { zone, kind: 'coating', day: '2023-09-02' },
        {
          lifeDays: 1095,
          seen:
            zone.startsWith('lower') || zone === 'rear' ? ['flat', '2026-01-08'] : ['beading', '2026-01-08'],
        },
      ),
    ),
    keeper: 'Mirren Ask',
    notes: 'Stands warm: salt works faster there.',
  },
  {
    id: 'green-estate',
    name: 'Green estate',
    colourName: 'bottle green',
    bodyClass: 'estate',
    paintTone: 'mid',
    bodyMaterial: 'steel',
    protection: 'wax',
    waterBehaviour: 'beading',
    km: [16, 8, 0],
    standsAtPlaceId: null,
    cadenceDays: 14,
    keeper: 'Aldous Fenn',
    notes: '',
  },
  {
    id: 'white-hatch',
    name: 'White hatch',
    colourName: 'pearl white',
    bodyClass: 'hatch',
    paintTone: 'white',
    bodyMaterial: 'steel',
    protection: 'sealant',
    waterBehaviour: 'sheeting',
    km: [6, 18, 0],
    standsAtPlaceId: null,
    cadenceDays: 21,
    keeper: 'Tamsin Roe',
    notes: 'Charges at home; keep water off the flap in frost.',
  },
  {
    id: 'black-suv',
    name: 'Black SUV',
    colourName: 'gloss black',
    bodyClass: 'suv',
    paintTone: 'black',
    bodyMaterial: 'aluminium',
    protection: 'coating',
    waterBehaviour: 'beading',
    km: [30, 8, 12],
    standsAtPlaceId: null,
    cadenceDays: 10,
    target: { kind: 'active-hours', most: 40 },
    keeper: 'Ines Calder',
    notes: 'The roof froze on 6 December: the wind was missed.',
  },
  {
    id: 'silver-saloon',
    name: 'Silver saloon',
    colourName: 'pewter',
    bodyClass: 'saloon',
    paintTone: 'silver',
    bodyMaterial: 'steel',
    protection: 'bare',
    waterBehaviour: 'flat',
    km: [12, 12, 0],
    standsAtPlaceId: null,
    cadenceDays: 21,
    keeper: 'Corin Hale',
    notes: '',
  },
  {
    id: 'orange-hatch',
    name: 'Orange hatch',
    colourName: 'burnt orange',
    bodyClass: 'hatch',
    paintTone: 'mid',
    bodyMaterial: 'steel',
    protection: 'sealant',
    waterBehaviour: 'beading',
    km: [4, 8, 0],
    standsAtPlaceId: 'home-garage',
    cadenceDays: 21,
    keeper: 'The shop',
    notes: 'Little used.',
  },
  {
    id: 'cream-van',
    name: 'Cream camper van',
    colourName: 'cream',
    bodyClass: 'van',
    paintTone: 'white',
    bodyMaterial: 'steel',
    protection: 'wax',
    waterBehaviour: 'beading',
    km: [3, 2, 0],
    standsAtPlaceId: null,
    cadenceDays: 28,
    keeper: 'Wilf Arden',
    notes: 'Laid up most of the winter.',
  },
];

/** What is done beyond the wash where nobody asked for more. */
const USUAL_JOBS: readonly SeasonJobId[] = ['underbody', 'anti-corrosion'];
const ALL_JOBS: readonly SeasonJobId[] = [...USUAL_JOBS, 'top-up', 'decontaminate', 'polish', 're-coat'];

export const DEMO_VEHICLES: readonly NamedVehicle[] = ROWS.map(
  ({ km: [mainRoadKm, townKm, bridgeKm], ...row }) => ({
    protections: [],
    delicateWheels: false,
    hasChargePort: false,
    weekShares: EVEN_WEEK,
    target: { kind: 'days' },
    seasonJobs: row.keeper === 'The shop' ? ALL_JOBS : USUAL_JOBS,
    ...row,
    driving: { mainRoadKm, townKm, bridgeKm },
  }),
);
