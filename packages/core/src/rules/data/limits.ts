/** A threshold that decides; every judgement may be changed by the user. */
export interface LimitRow {
  readonly id: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly unit: string;
  readonly means: string;
  readonly source: string;
  readonly status: 'published' | 'derived' | 'judgement';
}

const practice = 'trade practice';

export const LIMITS = [
  {
    id: 'inHandShare',
    value: 0.33,
    min: 0,
    max: 2,
    unit: 'share',
    means: 'time kept in hand over the minutes from wetting to wiping',
    source: practice,
    status: 'judgement',
  },
  {
    id: 'leftFilmColdestC',
    value: -8,
    min: -30,
    max: 5,
    unit: '°C',
    means: 'coldest panel on which a film may be left to freeze thin',
    source: practice,
    status: 'judgement',
  },
  {
    id: 'spotsShowScale',
    value: 1,
    min: 0.2,
    max: 5,
    unit: '×',
    means:
      'scales the residue from which spots show on each paint tone (black 12, mid 15, silver 25, white 30 mg/m²)',
    source: practice,
    status: 'judgement',
  },
  {
    id: 'towelLeavesGramsPerM2',
    value: 3,
    min: 0.5,
    max: 20,
    unit: 'g/m²',
    means: 'film that a drying towel leaves',
    source: practice,
    status: 'judgement',
  },
  {
    id: 'tapFreezesBelowC',
    value: 0,
    min: -10,
    max: 5,
    unit: '°C',
    means:
      'an outdoor tap that is shut for frost stays shut while the air has been or will be below this within 12 h',
    source: practice,
    status: 'judgement',
  },
  {
    id: 'floorWaterLitres',
    value: 20,
    min: 0,
    max: 500,
    unit: 'L',
    means: 'most water on an indoor floor without a drain',
    source: practice,
    status: 'judgement',
  },
  {
    id: 'lightLeftMinutes',
    value: 0,
    min: -120,
    max: 120,
    unit: 'min',
    means: 'daylight left at the end where the place has no lamps',
    source: practice,
    status: 'judgement',
  },
  {
    id: 'coldHandsC',
    value: -20,
    min: -50,
    max: 5,
    unit: '°C',
    means: 'wind chill from which wet-hand work needs breaks and lined gloves',
    source: practice,
    status: 'judgement',
  },
  {
    id: 'frostbiteC',
    value: -28,
    min: -50,
    max: -20,
    unit: '°C',
    means: 'wind chill from which exposed skin can freeze in 10 to 30 min',
    source: 'Environment Canada 2001',
    status: 'published',
  },
  {
    id: 'fallingMm',
    value: 0.2,
    min: 0,
    max: 5,
    unit: 'mm/h',
    means: 'rain or snow in the open while drying',
    source: practice,
    status: 'judgement',
  },
  {
    id: 'groundFreezesC',
    value: 0,
    min: -10,
    max: 5,
    unit: '°C',
    means: 'run-off on open ground turns to ice if the air goes below this within 12 h',
    source: practice,
    status: 'judgement',
  },
  {
    id: 'waxPh',
    value: 9.5,
    min: 7,
    max: 14,
    unit: 'pH',
    means: 'soap above this wears wax',
    source: practice,
    status: 'judgement',
  },
  {
    id: 'sealantPh',
    value: 11.5,
    min: 7,
    max: 14,
    unit: 'pH',
    means: 'soap above this wears sealant',
    source: practice,
    status: 'judgement',
  },
  {
    id: 'coatingPh',
    value: 13,
    min: 7,
    max: 14,
    unit: 'pH',
    means: 'soap above this wears a coating, in short contact',
    source: practice,
    status: 'judgement',
  },
  {
    id: 'tolerableBlockedShare',
    value: 0.2,
    min: 0,
    max: 1,
    unit: 'share',
    means: 'share of forecast members in which the window may fail',
    source: practice,
    status: 'judgement',
  },
] as const satisfies readonly LimitRow[];

export type LimitId = (typeof LIMITS)[number]['id'];
export type Limits = Readonly<Record<LimitId, number>>;

/** The limits as they ship. */
export const DEFAULT_LIMITS: Limits = Object.freeze(
  Object.fromEntries(LIMITS.map((row) => [row.id, row.value])) as Record<LimitId, number>,
);
