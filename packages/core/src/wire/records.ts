import type { BookedSpan, MessageKind } from '../booking/index.js';
import type { RoadClass, RoadState, Treatment } from '../road/index.js';
import type { Sight } from '../weather/index.js';

export interface TreatmentRecord extends Treatment {
  readonly id: string;
  /** Who told it. */
  readonly source: string;
}

export interface SightRecord extends Sight {
  readonly id: string;
  readonly roadClass: RoadClass | null;
  readonly roadState: RoadState | null;
}

export interface BookingRecord extends BookedSpan {
  /** What was agreed on, minor units; null: not yet. */
  readonly agreedMinor: number | null;
  readonly note: string;
}

/** What a customer is to be told. */
export interface MessageRecord {
  readonly id: string;
  readonly customerId: string;
  readonly vehicleId: string;
  readonly washId: string | null;
  readonly kind: MessageKind;
  readonly body: string;
  readonly createdMs: number;
  /** Start and place of the wash that it tells of. */
  readonly toldStartMs: number | null;
  readonly toldPlaceId: string | null;
  /** When it was taken out of the outbox; null: it waits. */
  readonly exportedMs: number | null;
}
