import type { StageId } from '../house-rules/index.js';
import type { MinutesRange } from '../quantity/index.js';
import type { PartId } from './section.js';
import type { StepProduct } from './step-product.js';
import type { ByGroup, SeasonJobId, SectionId, ZoneGroup } from '../vehicle/index.js';

export const WASH_STEP_IDS = [
  'before-machine',
  'machine-soak',
  'machine-jets',
  'machine-blower',
  'after-machine',
  'wheels',
  'foam',
  'pre-soak',
  'warm-soak',
  'rinse',
  'arches',
  'underbody-bounce',
  'underbody-ramps',
  'contact',
  'rinseless',
  'spray-wipe',
  'final-rinse',
  'blow',
  'towel',
  'shuts',
  'strip',
  'seal',
  'bare-check',
  'charge-port',
  'salt-neutraliser',
  'bugs',
  'iron',
  'tar',
  'engine-bay',
  'mats',
  'tyres',
  'underbody-flush',
  'underbody-foam',
  'clay',
  'polish',
  'top-up',
  'coat',
  'film-remover',
  'water-test',
  'wet-seal',
  'dry-seal',
  'foam-seal',
  'other-car',
  'drive-on',
  'thaw',
  'fill-buckets',
  'shield-neighbour',
] as const;
export type WashStepId = (typeof WASH_STEP_IDS)[number];

/** One step of a wash. */
export interface WashStep {
  readonly id: WashStepId;
  readonly groups: readonly ZoneGroup[];
  readonly minutes: number;
  /** The place's meter runs. */
  readonly onMeter: boolean;
  readonly litres: number;
  /** Litres that carry its product, where clear water is among them; absent: all. */
  readonly mixLitres?: number;
  /** Something rubs the paint. */
  readonly contact: boolean;
  /** Share of salt and film taken off each group that it names. */
  readonly removes: Partial<Record<ZoneGroup, number>>;
  /** Shortest and longest dwell in the cold, minutes; null where nothing dwells. */
  readonly dwell: MinutesRange | null;
  readonly direction?: 'bottom-up' | 'top-down';
  /** In the shop's own words. */
  readonly note?: string;
  /** The shop says how long it takes: the dwell of a bottle does not change it. */
  readonly hasOwnMinutes?: boolean;
  /** The shop says how long it dwells; a label that allows less wins. */
  readonly hasOwnDwell?: boolean;
  /** The shop says how much water it takes. */
  readonly hasOwnLitres?: boolean;
  /** The bottle that this step is to take, and its parts of water to one of product, where the shop says so for this step. */
  readonly ownBottle?: string;
  readonly ownParts?: number;
  /** How much of the car it is done on at once, where the shop says so for this step; absent: as the way has it. */
  readonly ownSection?: SectionId;
  /** In which place of a wash that ends in a second one, where the shop says so for this step; absent: as the way has it. */
  readonly ownStage?: StageId;
  /** Its key in the shop's own order of the method; absent: the method is done as it ships. */
  readonly key?: string;
  /** What it puts on; absent: nothing, or not looked up yet. */
  readonly product?: StepProduct;
  /** The work of the season that it belongs to; absent: it is of the wash. */
  readonly jobId?: SeasonJobId;
  /** The part of the car that it is done on; absent: all of it. */
  readonly part?: PartId;
  /** Done in the second place, where the wash is ended. */
  readonly isElsewhere?: true;
}

/** A step that does nothing to the car: what is done beside it, or on the way. */
export const IDLE: Omit<WashStep, 'id' | 'minutes'> = {
  groups: [],
  onMeter: false,
  litres: 0,
  contact: false,
  removes: {},
  dwell: null,
};

/** What a run of steps takes off in all: what each leaves is what the next one finds. */
export function removedBy(
  steps: readonly Pick<WashStep, 'removes'>[],
  groups: readonly ZoneGroup[],
): ByGroup {
  return Object.fromEntries(
    groups.map((group) => [
      group,
      1 - steps.reduce((left, { removes }) => left * (1 - (removes[group] ?? 0)), 1),
    ]),
  ) as Record<ZoneGroup, number>;
}
