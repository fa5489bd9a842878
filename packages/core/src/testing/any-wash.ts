import { DEFAULT_HOUSE, HOUSE_RULES, type HouseChoices, type HouseRules } from '../house-rules/index.js';
import { type Kit, type Product, shelfOf } from '../kit/index.js';
import type { Place } from '../place/index.js';
import type { ProductRole } from '../protection/index.js';
import { methodOf } from '../method/index.js';
import { MS_PER_HOUR } from '../quantity/index.js';
import { SEASON_JOBS, type SeasonJobRow } from '../season/index.js';
import { BODY_CLASSES, PAINT_TONES, PROTECTIONS, type Vehicle, WATER_BEHAVIOURS } from '../vehicle/index.js';
import { cellDetail, type CellRequest, type Judged, type WeatherSpan } from '../verdict/index.js';
import { COLD_LAKE_PORT, hashUnit, simulateWeather } from '../weather/index.js';
import { BAY, bottle, circumstances, DRIVE, VEHICLE } from './shop.js';

const START = Date.UTC(2026, 0, 14, 15);

/** Twelve days of a cold winter. */
export const WINTER: WeatherSpan = {
  fromMs: START,
  hours: simulateWeather({ climate: COLD_LAKE_PORT, seed: 5, fromMs: START, hourCount: 24 * 12 }),
};
/** A fortnight in spring, when more goes as it is. */
const SPRING: WeatherSpan = {
  fromMs: START,
  hours: WINTER.hours.map(
    (hour) => hour && { ...hour, airTempC: hour.airTempC + 12, dewPointC: hour.dewPointC + 9 },
  ),
};

const offering = (place: Place, methodIds: readonly string[], priceMinor: number): Place => ({
  ...place,
  hasLight: true,
  hasDrain: true,
  tap: 'always',
  methods: methodIds.map((methodId) => ({ methodId, priceMinor })),
});

const BAY_METHODS = ['bay-touch-free', 'bay-contact', 'bay-rinse-rinseless'];

const SITES: readonly Place[] = [
  offering(BAY, BAY_METHODS, 100),
  offering(
    { ...BAY, id: 'thin-bay', forbids: ['no-own-foam'], siteSoap: 'weak', bucketWater: 'gun' },
    BAY_METHODS,
    150,
  ),
  offering(
    { ...DRIVE, id: 'garage', kind: 'garage', climate: { kind: 'unheated' }, shelter: { kind: 'indoors' } },
    ['garage-rinseless', 'garage-hose', 'waterless'],
    0,
  ),
  offering(
    {
      ...DRIVE,
      id: 'shared-garage',
      kind: 'garage',
      climate: { kind: 'unheated' },
      shelter: { kind: 'indoors' },
      forbids: ['neighbour-close'],
    },
    ['garage-rinseless', 'waterless'],
    0,
  ),
  offering(DRIVE, ['drive-hose', 'salt-flush', 'waterless'], 200),
];

const SOME_ROLES: readonly ProductRole[] = [
  'shampoo',
  'rinseless',
  'alkaline-pre-wash',
  'wheel-cleaner',
  'wheel-acid',
  'drying-aid',
  'waterless',
  'film-remover',
];

export interface AnyWash {
  readonly request: CellRequest;
  readonly place: Place;
  readonly vehicle: Vehicle;
  readonly house: HouseRules;
  readonly kit: Kit;
  readonly atMs: number;
  readonly found: Judged;
}

/** A car, a place, a method, work of the season, a house, a kit and an hour as dice have them, judged. */
export function anyWash(seed: number): AnyWash {
  let n = 0;
  const dice = (): number => hashUnit(seed, (n += 1));
  const oneOf = <T>(values: readonly T[]): T => {
    const value = values[Math.floor(dice() * values.length)];
    if (value === undefined) throw new Error('nothing to choose from');
    return value;
  };
  const within = (from: number, to: number): number => from + dice() * (to - from);
  const place = oneOf(SITES);
  const vehicle: Vehicle = {
    ...VEHICLE,
    bodyClass: oneOf(BODY_CLASSES),
    paintTone: oneOf(PAINT_TONES),
    waterBehaviour: oneOf(WATER_BEHAVIOURS),
    delicateWheels: dice() < 0.2,
    protection: oneOf(PROTECTIONS),
  };
  const { methodId } = oneOf(place.methods);
  const products = SOME_ROLES.filter(() => dice() < 0.5).map((role): Product => {
    const fewestParts = Math.round(within(1, 40));
    const usualParts = fewestParts + Math.round(within(0, 300));
    return bottle({
      role,
      inUsePh: role === 'wheel-acid' ? 2 : within(6, 11.5),
      usualParts,
      fewestParts,
      mostParts: usualParts + 200,
      dwell: dice() < 0.5 ? { minMinutes: within(0, 3), maxMinutes: within(3, 12) } : null,
      lowestWorkC: dice() < 0.3 ? within(-10, 5) : null,
      priceMinor: Math.round(within(500, 6000)),
      carMl: dice() < 0.2 ? within(10, 90) : null,
      leftMl: 5000,
    });
  });
  const choices = Object.fromEntries(
    HOUSE_RULES.map(({ id, options }) => {
      const ids: readonly string[] = options.map((option) => option.id);
      return [id, dice() < 0.7 ? ids[0] : oneOf(ids)];
    }),
  ) as unknown as HouseChoices;
  const house = { ...DEFAULT_HOUSE, choices };
  const kit: Kit = { products, gear: [] };
  const span = dice() < 0.6 ? WINTER : SPRING;
  const atMs = WINTER.fromMs + (24 + Math.floor(dice() * 24 * 9)) * MS_PER_HOUR;
  const around = circumstances(span, { vehicle, house, shelf: shelfOf(kit) });
  const { contact, ceilingGrade } = methodOf(methodId);
  const suits = ({ placeKinds, afterContact, underCar }: SeasonJobRow): boolean =>
    placeKinds.includes(place.kind) && (!afterContact || contact) && (!underCar || ceilingGrade.under > 0);
  const work = dice() < 0.4 ? SEASON_JOBS.filter((job) => suits(job) && dice() < 0.4) : [];
  const request: CellRequest = { ...around, place, methodId, control: span, roadAhead: null, work };
  return { request, place, vehicle, house, kit, atMs, found: cellDetail(request, atMs) };
}

export const goes = ({ judgement }: Judged): boolean => judgement.standing.startsWith('go');
