import type { MessageKind } from '../booking/index.js';
import type { WashRecord } from '../log/index.js';
import type { Quote } from '../quote/index.js';
import type { Finding } from '../rules/index.js';
import type { VerdictKind } from '../verdict/index.js';

/** What a customer would pay, and what the visit takes. */
export interface QuoteAnswer extends Quote {
  readonly minutes: number;
  /** Money and one's own time, ways included, minor units. */
  readonly costMinor: number;
}

/** What a customer does not know yet. */
export interface UnsentMessage {
  readonly kind: MessageKind;
  readonly customerId: string;
  readonly vehicleId: string;
  readonly wash: WashRecord;
  /** What they were told before; null: nothing of this wash. */
  readonly lastSaid: { readonly startMs: number; readonly placeId: string } | null;
  /** Why the start that they know of does not go any more; null: it goes, or the forecast does not reach. */
  readonly against: { readonly verdict: VerdictKind; readonly limiting: Finding } | null;
  /** Coldest air where the car stands in the night after, °C; null: not known. */
  readonly overnightC: number | null;
}

/** All that is known of a customer and their cars, for them to have. */
export interface CustomerEverything {
  readonly madeMs: number;
  /** Rows by their table; pictures as base64. */
  readonly records: Readonly<Record<string, readonly Readonly<Record<string, unknown>>[]>>;
}

/** Whom to call about a car that is washed today. */
export interface TodaysContact {
  readonly vehicleId: string;
  readonly name: string;
  /** How they are reached, as they said it; may be empty. */
  readonly contact: string;
}
