import type { PlaceKind } from '../place/index.js';
import type { ByGroup } from '../vehicle/index.js';
import type { WashStep } from './wash-step.js';

export const METHOD_IDS = [
  'touchless-automatic',
  'bay-touch-free',
  'bay-contact',
  'bay-rinse-rinseless',
  'garage-rinseless',
  'garage-hose',
  'drive-hose',
  'waterless',
  'salt-flush',
  'strip-reseal',
  'pre-coating',
] as const;
export type MethodId = (typeof METHOD_IDS)[number];

/** A part of the car that is wet at once, and how long from its last rinse until it is wiped. */
export interface Section {
  readonly id: 'whole-car' | 'one-side' | 'two-panels' | 'one-panel';
  readonly minutes: number;
}

/** How the last water leaves by hand. */
export type DriedBy = 'blow-and-towel' | 'towel' | 'blower';

/** How water leaves: taken off in sections (usual one first), or left to the machine's blower and the road. */
export type Drying =
  | { readonly kind: 'wiped'; readonly by: DriedBy; readonly sections: readonly [Section, ...Section[]] }
  | { readonly kind: 'left'; readonly filmShare: number };

export const METHOD_NEEDS = ['tap', 'drain', 'own-bucket', 'own-foam', 'power', 'pressure'] as const;
/** What the place must have or allow. */
export type MethodNeed = (typeof METHOD_NEEDS)[number];

export const LEFTOVERS = [
  'film',
  'arches',
  'deep-wheels',
  'underbody',
  'lowers',
  'vents',
  'bugs',
  'tar',
  'iron',
  'scale',
] as const;
/** What it does not honestly clean. */
export type Leftover = (typeof LEFTOVERS)[number];

export interface Media {
  readonly mitts: number;
  readonly foldedTowels: number;
  readonly dryingTowels: number;
}

/** A way to wash, its figures all worked out from its steps. */
export interface Method {
  readonly id: MethodId;
  readonly placeKinds: readonly PlaceKind[];
  readonly steps: readonly WashStep[];
  /** Arriving, laying out and packing up. */
  readonly setUpMinutes: number;
  readonly contact: boolean;
  /** Time on site, arrival to leaving. */
  readonly minutes: number;
  /** Of which with wet hands in the air of the place. */
  readonly handsMinutes: number;
  /** Paid seconds in the order of the steps. */
  readonly meterSeconds: number;
  readonly drying: Drying;
  /** g/m² put on; null: a flood rinse, by water behaviour. */
  readonly filmGramsPerM2: number | null;
  /** Water that warms the panel before the film is left, L/m². */
  readonly warmingLitresPerM2: number;
  /** Water from a warm bucket instead of the place's own, °C. */
  readonly bucketC: number | null;
  readonly litres: number;
  readonly needs: readonly MethodNeed[];
  /** In-use pH of its soap (label data of a typical product). */
  readonly soapPh: number;
  /** Products need at least this air, °C; null: any. */
  readonly warmestNeedC: number | null;
  /** Heaviest soil grade that it cleans honestly, by group; 0: it does not go there. */
  readonly ceilingGrade: ByGroup;
  readonly leaves: readonly Leftover[];
  readonly media: Media;
  readonly productMinor: number;
  /** Share of salt taken off by zone group. */
  readonly removes: ByGroup;
  /** `in-between`: takes salt off between washes, and is none itself. */
  readonly scope: 'wash' | 'in-between';
  /** Takes protection off on purpose. */
  readonly strips: boolean;
  /** … and puts nothing on after: the paint waits bare for the shop's coat. */
  readonly leavesBare: boolean;
  readonly status: 'judgement';
}
