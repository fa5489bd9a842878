import type { WashChoices } from '../house-rules/index.js';
import type { WayId } from '../method/index.js';
import type { Finding } from '../rules/index.js';
import type { Extras } from '../season/index.js';
import type { MemberFailures, VerdictKind } from '../verdict/index.js';
import type { WashValue } from './wash-value.js';

/** A start that goes, and what it is worth. */
export interface Window {
  readonly placeId: string;
  readonly methodId: string;
  /** The way in which it goes. */
  readonly wayId: WayId;
  /** Coldest air at the place by which its bottles are taken, °C; null: not known. */
  readonly placeC: number | null;
  readonly startMs: number;
  /** Hands off the car; the queue, waited through before it, is not counted. */
  readonly endMs: number;
  readonly verdict: VerdictKind;
  readonly limiting: Finding;
  /** All else that it goes on condition of; empty where nobody looked. */
  readonly otherConditions: readonly Finding[];
  readonly blockedFraction: number | null;
  /** In which members it fails, and by what; null where they were not asked. */
  readonly failures: MemberFailures | null;
  /** Among the worthiest of its hour; its members were asked, if there are any. */
  readonly isForemost: boolean;
  /** It washes the whole car, and counts for its cadence. */
  readonly isWash: boolean;
  /** Of the kind that the house wants next. */
  readonly isWanted: boolean;
  readonly activeHoursSaved: number;
  /** Work of the season that goes with it; its minutes are within the window, its own salt is in its worth. */
  readonly extras: Extras;
  /** What a minute of wet hands costs in that air beyond their time, minor units. */
  readonly coldMinorPerMinute: number;
  /** Its method takes the protection off. */
  readonly leavesBare: boolean;
  readonly value: WashValue;
  /** What was chosen for this wash alone, with which it is priced; absent: all is the shop's own. */
  readonly choices?: WashChoices;
}
