import type { PlaceKind } from '../../place/index.js';

export type MethodId = 'touchless-automatic' | 'bay-touch-free' | 'garage-rinseless' | 'drive-hose';

/** A part of the car that is wet at once, and how long from its last rinse until it is wiped. */
export interface Section {
  readonly id: 'whole-car' | 'one-side' | 'two-panels' | 'one-panel';
  readonly minutes: number;
}

export interface Method {
  readonly id: MethodId;
  readonly placeKinds: readonly PlaceKind[];
  readonly contact: boolean;
  /** Time on site, arrival to leaving. */
  readonly minutes: number;
  /** Of which with wet hands in the air of the place. */
  readonly handsMinutes: number;
  /** How water leaves: wiped by hand in sections (usual one first), or left to the machine's blower and the road. */
  readonly drying:
    | { readonly kind: 'wiped'; readonly sections: readonly [Section, ...Section[]] }
    | { readonly kind: 'left'; readonly filmShare: number };
  /** g/m² put on; null: a flood rinse, by water behaviour. */
  readonly filmGramsPerM2: number | null;
  /** Water that warms the panel before the film is left, L/m². */
  readonly warmingLitresPerM2: number;
  /** Water from a warm bucket instead of the place's own, °C. */
  readonly bucketC: number | null;
  readonly litres: number;
  readonly needsTap: boolean;
  readonly needsDrain: boolean;
  /** In-use pH of its soap (label data of a typical product). */
  readonly soapPh: number;
  /** Heaviest soil grade that it cleans honestly. */
  readonly soilCeilingGrade: number;
  /** Share of salt taken off by zone group. */
  readonly removes: { readonly upper: number; readonly lower: number; readonly under: number };
  readonly status: 'judgement';
}

/** Ways to wash. Every figure is trade practice, editable where it decides. */
export const METHODS = [
  {
    id: 'touchless-automatic',
    placeKinds: ['automatic-bay'],
    contact: false,
    minutes: 10,
    handsMinutes: 0,
    drying: { kind: 'left', filmShare: 0.25 },
    filmGramsPerM2: null,
    warmingLitresPerM2: 4,
    bucketC: null,
    litres: 180,
    needsTap: false,
    needsDrain: true,
    soapPh: 12.5,
    soilCeilingGrade: 4,
    removes: { upper: 0.85, lower: 0.8, under: 0.6 },
    status: 'judgement',
  },
  {
    id: 'bay-touch-free',
    placeKinds: ['self-serve-bay'],
    contact: false,
    minutes: 30,
    handsMinutes: 20,
    drying: {
      kind: 'wiped',
      sections: [
        { id: 'whole-car', minutes: 9 },
        { id: 'one-side', minutes: 5 },
        { id: 'two-panels', minutes: 2.5 },
      ],
    },
    filmGramsPerM2: null,
    warmingLitresPerM2: 4,
    bucketC: null,
    litres: 90,
    needsTap: false,
    needsDrain: true,
    soapPh: 11,
    soilCeilingGrade: 4,
    removes: { upper: 0.92, lower: 0.9, under: 0.8 },
    status: 'judgement',
  },
  {
    id: 'garage-rinseless',
    placeKinds: ['garage', 'heated-unit'],
    contact: true,
    minutes: 75,
    handsMinutes: 60,
    drying: {
      kind: 'wiped',
      sections: [
        { id: 'two-panels', minutes: 3 },
        { id: 'one-panel', minutes: 1.5 },
      ],
    },
    filmGramsPerM2: 50,
    warmingLitresPerM2: 0.3,
    bucketC: 38,
    litres: 10,
    needsTap: false,
    needsDrain: false,
    soapPh: 7.5,
    soilCeilingGrade: 3,
    removes: { upper: 0.97, lower: 0.93, under: 0 },
    status: 'judgement',
  },
  {
    id: 'drive-hose',
    placeKinds: ['drive'],
    contact: true,
    minutes: 90,
    handsMinutes: 75,
    drying: {
      kind: 'wiped',
      sections: [
        { id: 'whole-car', minutes: 12 },
        { id: 'one-side', minutes: 6 },
        { id: 'two-panels', minutes: 3 },
      ],
    },
    filmGramsPerM2: null,
    warmingLitresPerM2: 3,
    bucketC: null,
    litres: 140,
    needsTap: true,
    needsDrain: false,
    soapPh: 8,
    soilCeilingGrade: 5,
    removes: { upper: 0.97, lower: 0.95, under: 0.6 },
    status: 'judgement',
  },
] as const satisfies readonly Method[];

const BY_ID = new Map<string, Method>(METHODS.map((method) => [method.id, method]));

/** A method by its id. @throws RangeError for an id that does not exist */
export function methodOf(methodId: string): Method {
  const method = BY_ID.get(methodId);
  if (!method)
    throw new RangeError(`methodOf: methodId is ${methodId}; allowed is ${[...BY_ID.keys()].join(', ')}`);
  return method;
}
