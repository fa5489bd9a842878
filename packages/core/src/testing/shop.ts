import { DEFAULT_HOUSE, type HouseRules } from '../house-rules/index.js';
import { EMPTY_SHELF, type Gear, type Product, shelfOf } from '../kit/index.js';
import type { Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { CLEAN } from '../soil/index.js';
import { EVEN_WEEK, type Vehicle } from '../vehicle/index.js';
import {
  type Circumstances,
  equippedMethod,
  type MethodCase,
  NightAir,
  type WeatherSpan,
} from '../verdict/index.js';

/** A plain car and plain places for tests. */
export const VEHICLE: Vehicle = {
  id: 'v',
  bodyClass: 'saloon',
  paintTone: 'black',
  bodyMaterial: 'steel',
  protection: 'bare',
  waterBehaviour: 'flat',
  protections: [],
  delicateWheels: false,
  hasChargePort: false,
  driving: { mainRoadKm: 0, townKm: 0, bridgeKm: 0 },
  weekShares: EVEN_WEEK,
  standsAtPlaceId: null,
  cadenceDays: 14,
  target: { kind: 'days' },
  seasonJobs: [],
};

export const WATER = {
  name: 'tap',
  hardnessMgPerLitre: 150,
  tdsMgPerLitre: 300,
  tempC: 8,
  origin: 'measured',
} as const;

const AT = { latitudeDeg: 46.5, longitudeDeg: -84.3, timeZone: 'America/Toronto' } as const;
const PLAIN = {
  ...AT,
  carHeadingDeg: 0,
  hasDrain: false,
  hasLight: true,
  finalRinse: null,
  washWater: WATER,
  tariff: null,
  queue: null,
  forbids: [],
  travelMinutes: 0,
  carsAtOnce: 1,
} as const;

export const everyDay = (openMinute: number, closeMinute: number): Place['openHours'] =>
  Array.from({ length: 7 }, () => ({ openMinute, closeMinute }));

export const HEATED_UNIT: Place = {
  ...PLAIN,
  id: 'garage',
  kind: 'heated-unit',
  climate: { kind: 'heated', setpointC: 14 },
  shelter: { kind: 'indoors' },
  tap: 'none',
  openHours: everyDay(480, 1080),
  methods: [{ methodId: 'garage-rinseless', priceMinor: 0 }],
};

export const DRIVE: Place = {
  ...PLAIN,
  id: 'drive',
  kind: 'drive',
  climate: { kind: 'outdoors' },
  shelter: { kind: 'open', horizon: [] },
  hasLight: false,
  tap: 'frost-shut',
  openHours: everyDay(0, 1440),
  methods: [{ methodId: 'drive-hose', priceMinor: 0 }],
};

export const BAY: Place = {
  ...PLAIN,
  id: 'bay',
  kind: 'self-serve-bay',
  climate: { kind: 'open-bay' },
  shelter: { kind: 'roofed', openings: [{ fromDeg: 110, toDeg: 165, topElevationDeg: 35 }] },
  hasDrain: true,
  tap: 'always',
  openHours: everyDay(360, 1320),
  washWater: { ...WATER, tempC: 34 },
  finalRinse: { ...WATER, tdsMgPerLitre: 28 },
  methods: [
    { methodId: 'bay-touch-free', priceMinor: 0 },
    { methodId: 'bay-contact', priceMinor: 0 },
    { methodId: 'salt-flush', priceMinor: 0 },
  ],
  tariff: {
    startPriceMinor: 300,
    startSeconds: 180,
    blockPriceMinor: 100,
    blockSeconds: 60,
    pausable: false,
  },
  travelMinutes: 10,
};

/** The house with some choices changed. */
export const houseWith = (
  choices: Partial<HouseRules['choices']>,
  numbers: Partial<HouseRules['numbers']> = {},
): HouseRules => ({
  choices: { ...DEFAULT_HOUSE.choices, ...choices },
  numbers: { ...DEFAULT_HOUSE.numbers, ...numbers },
});

/** What the rules read besides place and hour, on a clean plain car. */
export const circumstances = (span: WeatherSpan, change: Partial<Circumstances> = {}): Circumstances => ({
  vehicle: VEHICLE,
  limits: DEFAULT_LIMITS,
  house: DEFAULT_HOUSE,
  shelf: EMPTY_SHELF,
  soil: CLEAN,
  night: new NightAir(null, span),
  ...change,
});

/** A foamer, unless changed. */
export const piece = (change: Partial<Gear> = {}): Gear => ({
  id: change.kind ?? 'g',
  name: 'g',
  kind: 'foamer',
  count: 1,
  cleanCount: 0,
  volumeMl: null,
  outputLitresPerBottle: null,
  lifeLitres: null,
  litresUsed: 0,
  notes: '',
  ...change,
});

/** A bottle of shampoo, unless changed. */
export const bottle = (change: Partial<Product> = {}): Product => ({
  id: change.role ?? 'shampoo',
  name: change.role ?? 'shampoo',
  role: 'shampoo',
  inUsePh: 7.5,
  usualParts: 400,
  fewestParts: 100,
  mostParts: 1000,
  capMl: null,
  carMl: null,
  dwell: null,
  lowestWorkC: null,
  lowestStoreC: null,
  keptIn: 'van',
  bottleMl: 1000,
  leftMl: 1000,
  lowMl: 200,
  priceMinor: 2000,
  notes: '',
  ...change,
});

/** A method with its products: as shipped, on a plain car, from an empty kit unless told. */
export const methodWith = (
  methodId: string,
  {
    products = [],
    gear = [],
    ...change
  }: Partial<MethodCase> & { readonly products?: readonly Product[]; readonly gear?: readonly Gear[] } = {},
): Method =>
  equippedMethod(methodId, {
    vehicle: VEHICLE,
    house: DEFAULT_HOUSE,
    limits: DEFAULT_LIMITS,
    shelf: shelfOf({ products, gear }),
    ...change,
  });
