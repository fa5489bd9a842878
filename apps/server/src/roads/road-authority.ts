import type { Treatment } from '@keen/core';

/** Where treatment bulletins come from. A real authority's feed would fill this port with its own adapter. */
export interface RoadAuthority {
  /** What people call it; shown beside every figure that comes from it. */
  readonly name: string;
  /** Treatments spread from fromMs up to, and not with, toMs. */
  bulletins(fromMs: number, toMs: number): Promise<Treatment[]>;
}

export const ROAD_AUTHORITY = Symbol('road authority');
