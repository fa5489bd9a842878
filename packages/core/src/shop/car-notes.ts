import type { Customer } from '../booking/index.js';
import type { Drive } from '../drive/index.js';
import type { WashRecord } from '../log/index.js';
import type { SaltReading, SwabInput } from '../salt/index.js';
import type { SoilSeen } from '../soil/index.js';

export interface DriveRecord extends Drive {
  readonly id: string;
  readonly vehicleId: string;
  readonly origin: 'entered' | 'track';
}

/** A swab as it was taken, and the load that follows from it. */
export interface SwabRecord extends SaltReading, SwabInput {
  readonly id: string;
  readonly vehicleId: string;
}

/** What somebody saw on a zone, beside what the estimate said at that moment. */
export interface SoilLookRecord extends SoilSeen {
  readonly id: string;
  readonly vehicleId: string;
  readonly estimatedThen: number;
}

/** All that was ever noted about vehicles, read at once. */
export interface CarNotes {
  readonly washes: readonly WashRecord[];
  readonly drives: readonly DriveRecord[];
  readonly swabs: readonly SwabRecord[];
  readonly looks: readonly SoilLookRecord[];
  readonly customers: readonly Pick<Customer, 'id' | 'availability'>[];
}
