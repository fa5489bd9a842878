import type { SectionId } from './section.js';

/** From which step on one works part by part: not at all, the drying alone, the hand and what it needs, or all from the first soap. */
export type LoopFrom = 'nothing' | 'drying' | 'touch' | 'soap';
/** Warm water before each part is touched: a rinse of the place's, or a pass from the bucket. */
export type Before = 'rinse' | 'soak' | null;

/** How a wash is cut up, so that nothing waits too long. */
export interface Way {
  readonly id: WayId;
  readonly from: LoopFrom;
  readonly section: SectionId;
  readonly before: Before;
}

export type Cut = Exclude<SectionId, 'whole-car'>;
export type LoopName = 'dry' | 'touch' | 'soap';
export type WayId = 'whole' | `${LoopName}-${Cut}` | `${LoopName}-${Cut}-${Exclude<Before, null>}`;
