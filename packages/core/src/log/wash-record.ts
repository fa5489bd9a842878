import type { WashChoices } from '../house-rules/index.js';
import type { PartId, WayId } from '../method/index.js';
import type { KitTaken, WashUse } from '../kit/index.js';
import type {
  ByGroup,
  PanelId,
  Protection,
  SeasonJobId,
  WaterBehaviour,
  ZoneGroup,
} from '../vehicle/index.js';
import type { Finding } from '../rules/index.js';
import type { VerdictKind } from '../verdict/index.js';

export const WASH_STATUSES = ['planned', 'done'] as const;
export type WashStatus = (typeof WASH_STATUSES)[number];

export const SPOTS_FOUND = ['none', 'few', 'many'] as const;
export type SpotsFound = (typeof SPOTS_FOUND)[number];

/** A wash as it was run, step by step. */
export interface RunRecord {
  /** `skipped` null: it was done. */
  readonly steps: readonly {
    readonly id: string;
    /** The part of the car that it was done on; absent: all of it. */
    readonly part?: PartId;
    readonly minutes: number;
    readonly plannedMinutes: number;
    readonly skipped: string | null;
  }[];
  /** Minutes on the meter; null where there is none. */
  readonly waterMinutes: number | null;
  readonly meterMinor: number | null;
  readonly meterEstimateMinor: number | null;
  readonly foldedTowels: number;
  readonly dryingTowels: number;
  /** Soil grades before, estimated. */
  readonly soilBefore: ByGroup;
  /** Temperatures measured at the car, °C. */
  readonly readings: readonly {
    readonly of: PanelId | 'air';
    readonly tempC: number;
    readonly atMs: number;
  }[];
  readonly notes: readonly {
    readonly id: string;
    readonly atMs: number;
    readonly text: string;
    readonly photoId: string | null;
  }[];
}

/** A protection that was put on with a wash. */
export interface LaidCoat {
  readonly kind: Exclude<Protection, 'bare'>;
  /** Of the bottle, where one was taken from the kit. */
  readonly productName: string | null;
  readonly groups: readonly ZoneGroup[];
}

/** What was found when the wash was over. */
export interface WashFound {
  /** Panels on which water froze. */
  readonly icePanels: readonly PanelId[];
  readonly spots: SpotsFound;
  /** What stayed dirty, in words. */
  readonly leftovers: string;
  readonly note: string;
  /** What water did afterwards, on the panels that were looked at. */
  readonly behaviour?: Readonly<Partial<Record<PanelId, WaterBehaviour>>>;
  /** What it used. */
  readonly used?: WashUse;
  /** What of that there was to take out of the kit; absent in records made before it was kept. */
  readonly taken?: KitTaken & {
    /** One wash was taken off what is counted by method. */
    readonly isCounted: boolean;
  };
  /** As it was planned, so that it can be opened again; absent where it was not. */
  readonly planned?: WashAsPlanned;
  /** Protection that was put on; absent in records made before it was kept. */
  readonly laid?: readonly LaidCoat[];
  /** Where it was run step by step. */
  readonly run?: RunRecord;
  /** Its run closed it: deeds of that run that arrive later still count. */
  readonly isClosedByRun?: boolean;
}

/** When, how, how long and with what besides. */
export interface WashAsPlanned {
  readonly methodId: string;
  readonly startMs: number;
  readonly minutes: number;
  /** Work of the season in the same visit. */
  readonly extras: readonly SeasonJobId[];
}

/** What the program said when the wash was planned; kept, so that it can be held against what was found. */
export interface Predicted extends WashChoices {
  readonly verdict: VerdictKind;
  readonly limiting: Finding;
  readonly forecastIssuedMs: number | null;
  /** The way in which it goes: what was accepted is what is prepared and run. Absent: planned before ways were told, or unknown. */
  readonly wayId?: WayId;
  /** Somebody chose that way. */
  readonly isOwnWay?: boolean;
  /** Coldest air at the place by which its bottles were taken, °C; absent: not kept then. */
  readonly placeC?: number | null;
}

/** Two washes that one pair of hands does in one visit, car by car as their products work. */
export interface WashVisit {
  /** The other wash. */
  readonly withId: string;
  /** Of the visit, from arriving to leaving with both. */
  readonly minutes: number;
}

/** A wash that is planned or was done. */
export interface WashRecord extends WashAsPlanned {
  readonly id: string;
  readonly vehicleId: string;
  readonly placeId: string;
  readonly status: WashStatus;
  /** Whose hands do it. */
  readonly workerId: string;
  /** It stays where it is when the plan is made again. */
  readonly isLocked: boolean;
  /** When it was begun; null: not yet, or not noted. */
  readonly startedMs: number | null;
  readonly costMinor: number | null;
  readonly predicted: Predicted | null;
  readonly found: WashFound | null;
  /** absent or null: it is done by itself. */
  readonly visit?: WashVisit | null;
}
