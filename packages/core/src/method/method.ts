import type { PlaceKind } from '../place/index.js';
import type { ByGroup, SectionId } from '../vehicle/index.js';
import type { WashStep } from './wash-step.js';
import type { WayId } from './way-id.js';

export const METHOD_IDS = [
  'touchless-automatic',
  'bay-touch-free',
  'bay-contact',
  'bay-rinse-rinseless',
  'garage-rinseless',
  'garage-hose',
  'drive-hose',
  'rinseless-outdoors',
  'waterless',
  'salt-flush',
  'strip-reseal',
  'pre-coating',
  'winter-strip',
  'pre-coating-air',
  'rinseless-heavy',
] as const;
export type MethodId = (typeof METHOD_IDS)[number];

export const isMethodId = (id: string): id is MethodId => (METHOD_IDS as readonly string[]).includes(id);

/** How the last water leaves by hand. */
export type DriedBy = 'blow-and-towel' | 'towel' | 'blower';

/** How water leaves: taken off by hand, or left to the machine's blower and the road. */
export type Drying =
  | { readonly kind: 'wiped'; readonly by: DriedBy }
  | { readonly kind: 'left'; readonly filmFraction: number };

export const METHOD_NEEDS = ['tap', 'drain', 'own-bucket', 'own-foam', 'power', 'pressure'] as const;
/** What the place must have or allow. */
export type MethodNeed = (typeof METHOD_NEEDS)[number];

export const LEFTOVERS = [
  'film',
  'arches',
  'deep-wheels',
  'underbody',
  'uppers',
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
  /** One after the other, as they are done. */
  readonly steps: readonly WashStep[];
  /** The same with each step on the whole car, before they were cut up; absent: they are not. */
  readonly plainSteps?: readonly WashStep[];
  /** The way in which they are cut up; absent: as the method is written down. */
  readonly wayId?: WayId;
  /** How much of the car is worked on at once in that way. */
  readonly section?: SectionId;
  /** How much is worked on at once, usually. */
  readonly usualSection: SectionId;
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
  /** g/m² that the last wetting leaves; null: a flood rinse, by water behaviour. */
  readonly filmGramsPerM2: number | null;
  /** Water from a warm bucket instead of the place's own, °C. */
  readonly bucketC: number | null;
  /** Its buckets are filled there, not brought. */
  readonly fillsBuckets?: true;
  readonly litres: number;
  readonly needs: readonly MethodNeed[];
  /** The products that it cannot do without need at least this air, °C; null: any. */
  readonly warmestNeedC: number | null;
  /** Heaviest soil grade that it cleans honestly, by group; 0: it does not go there. */
  readonly ceilingGrade: ByGroup;
  readonly leaves: readonly Leftover[];
  readonly media: Media;
  /** Of all that its steps put on, minor units. */
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
