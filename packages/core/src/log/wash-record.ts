import type { PanelId, SeasonJobId } from '../vehicle/index.js';
import type { Finding } from '../rules/index.js';
import type { VerdictKind } from '../verdict/index.js';

export const WASH_STATUSES = ['planned', 'done'] as const;
export type WashStatus = (typeof WASH_STATUSES)[number];

export const SPOTS_FOUND = ['none', 'few', 'many'] as const;
export type SpotsFound = (typeof SPOTS_FOUND)[number];

/** What was found when the wash was over. */
export interface WashFound {
  /** Panels on which water froze. */
  readonly icePanels: readonly PanelId[];
  readonly spots: SpotsFound;
  /** What stayed dirty, in words. */
  readonly leftovers: string;
  readonly note: string;
}

/** What the program said when the wash was planned; kept, so that it can be held against what was found. */
export interface Predicted {
  readonly verdict: VerdictKind;
  readonly limiting: Finding;
  readonly forecastIssuedMs: number | null;
}

/** A wash that is planned or was done. */
export interface WashRecord {
  readonly id: string;
  readonly vehicleId: string;
  readonly placeId: string;
  readonly methodId: string;
  readonly status: WashStatus;
  readonly startMs: number;
  readonly minutes: number;
  /** Whose hands do it. */
  readonly handsId: string;
  /** It stays where it is when the plan is made anew. */
  readonly isLocked: boolean;
  /** When it was begun; null: not yet, or not noted. */
  readonly startedMs: number | null;
  /** Work of the season in the same visit. */
  readonly extras: readonly SeasonJobId[];
  readonly costMinor: number | null;
  readonly predicted: Predicted | null;
  readonly found: WashFound | null;
}
