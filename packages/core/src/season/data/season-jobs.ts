import type { PlaceKind } from '../../place/index.js';
import type { SeasonJobId } from '../../vehicle/index.js';

/** Parts of the year in the northern half; half a year later in the southern. Days are [month, day]; the last is the first that lies outside. */
export const SEASONS = {
  'pre-winter': { from: [9, 15], before: [12, 1] },
  'mid-winter': { from: [1, 5], before: [3, 1] },
  spring: { from: [3, 20], before: [6, 1] },
  'salt-season': { from: [10, 1], before: [5, 1] },
} as const;
export type SeasonId = keyof typeof SEASONS;

/** Work beyond the wash, done in the same visit. */
export interface SeasonJobRow {
  readonly id: SeasonJobId;
  /** Once in each of these. */
  readonly seasons: readonly SeasonId[];
  /** Within them again after so many days; null: once is enough. */
  readonly everyDays: number | null;
  /** Where it can be done. */
  readonly placeKinds: readonly PlaceKind[];
  /** Only on paint that was just washed by hand. */
  readonly afterContact: boolean;
  readonly needsDrain: boolean;
  /** Only with a wash whose water gets under the car. */
  readonly underCar: boolean;
  readonly minutes: number;
  /** Coldest air at the car over the whole visit, °C. */
  readonly lowestC: number;
  readonly worthMinor: number;
  readonly status: 'judgement';
}

const INDOORS: readonly PlaceKind[] = ['garage', 'heated-unit'];
const WASHED_DOWN: readonly PlaceKind[] = ['self-serve-bay', 'garage', 'drive'];

/**
 * Work of the season. Source: practice notes, steps 5 and 6 (underbody by ramps or bounce; anti-corrosion foam on a clean underbody,
 * again at 3 months; decontamination before winter and in spring; polish and new protection when it is warm enough to cure). Minutes,
 * temperatures and worth are judgement and settable; the product's data sheet goes before them.
 */
export const SEASON_JOBS = [
  {
    id: 'underbody',
    seasons: ['pre-winter', 'mid-winter', 'spring'],
    everyDays: null,
    placeKinds: WASHED_DOWN,
    afterContact: false,
    needsDrain: true,
    underCar: true,
    minutes: 15,
    lowestC: -8,
    worthMinor: 1500,
    status: 'judgement',
  },
  {
    id: 'anti-corrosion',
    seasons: ['salt-season'],
    everyDays: 91,
    placeKinds: WASHED_DOWN,
    afterContact: false,
    needsDrain: true,
    underCar: true,
    minutes: 20,
    lowestC: 1,
    worthMinor: 2200,
    status: 'judgement',
  },
  {
    id: 'top-up',
    seasons: ['mid-winter'],
    everyDays: null,
    placeKinds: INDOORS,
    afterContact: true,
    needsDrain: false,
    underCar: false,
    minutes: 20,
    lowestC: 5,
    worthMinor: 1200,
    status: 'judgement',
  },
  {
    id: 'decontaminate',
    seasons: ['pre-winter', 'spring'],
    everyDays: null,
    placeKinds: INDOORS,
    afterContact: true,
    needsDrain: false,
    underCar: false,
    minutes: 75,
    lowestC: 5,
    worthMinor: 4000,
    status: 'judgement',
  },
  {
    id: 'polish',
    seasons: ['spring'],
    everyDays: null,
    placeKinds: INDOORS,
    afterContact: true,
    needsDrain: false,
    underCar: false,
    minutes: 180,
    lowestC: 10,
    worthMinor: 9000,
    status: 'judgement',
  },
  {
    id: 're-coat',
    seasons: ['pre-winter'],
    everyDays: null,
    placeKinds: INDOORS,
    afterContact: true,
    needsDrain: false,
    underCar: false,
    minutes: 120,
    lowestC: 10,
    worthMinor: 8000,
    status: 'judgement',
  },
  {
    id: 'engine-bay',
    seasons: ['spring'],
    everyDays: null,
    placeKinds: ['self-serve-bay', 'garage', 'heated-unit', 'drive'],
    afterContact: false,
    needsDrain: true,
    underCar: false,
    minutes: 25,
    lowestC: 5,
    worthMinor: 1800,
    status: 'judgement',
  },
] as const satisfies readonly SeasonJobRow[];
