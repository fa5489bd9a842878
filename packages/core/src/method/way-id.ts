import type { SectionId } from '../vehicle/index.js';

/** From which step on one works part by part: not at all, the drying alone, the hand and what it needs, or all from the first soap. */
export type LoopFrom = 'nothing' | 'drying' | 'touch' | 'soap';
/** Before each part is touched warm water, a rinse of the place's or a pass from the bucket; in a second place it is let to thaw. */
export type Before = 'rinse' | 'soak' | 'thaw' | null;

/** Half of the body that is washed alone; the lower one with wheels, arches and underbody. */
export type Half = 'lower' | 'upper';

/** How a wash is cut up, so that nothing waits too long. */
export interface Way {
  readonly id: WayId;
  readonly from: LoopFrom;
  readonly section: SectionId;
  readonly before: Before;
  /** The half that is washed; null: the whole car is. */
  readonly only: Half | null;
  /** What is looped over is done in a second place. */
  readonly isElsewhere: boolean;
}

export type Cut = Exclude<SectionId, 'whole-car'>;
export type LoopName = 'dry' | 'touch' | 'soap';
export type WayId =
  | 'whole'
  | `${Half}-only`
  | `${'dry' | 'touch'}-elsewhere`
  | `${'dry' | 'touch'}-elsewhere-thaw`
  | `${LoopName}-${Cut}`
  | `${LoopName}-${Cut}-${Exclude<Before, null | 'thaw'>}`;
