import type { WayId } from '../method/index.js';
import type { Finding } from '../rules/index.js';

/** `wait`: no now, but a later hour in the same band will do. */
export type VerdictKind = 'go' | 'go-if' | 'wait' | 'no' | 'unknown';

export interface Cell {
  /** The hour of the cell. */
  readonly startMs: number;
  /** Minutes after it at which this goes; 0 unless starting a little later is what makes it go. */
  readonly delayMinutes: number;
  /** The way in which it goes, or in which it was looked at. */
  readonly wayId: WayId;
  /** Coldest air at the place by which its bottles were taken, °C; null: not known. */
  readonly placeC: number | null;
  readonly verdict: VerdictKind;
  readonly limiting: Finding;
  /** For `wait`: the next start that goes. */
  readonly untilMs: number | null;
  /** Share of forecast members in which this start is blocked, 0–1; null where members were not asked. */
  readonly blockedFraction: number | null;
}

export interface Band {
  readonly placeId: string;
  readonly methodId: string;
  /** Set where no hour can change the answer; then there are no cells. */
  readonly refusal: Finding | null;
  readonly cells: readonly Cell[];
}
