import type { BookedSpan } from '../booking/index.js';
import type { HouseRules } from '../house-rules/index.js';
import type { Shelf } from '../kit/index.js';
import type { Place } from '../place/index.js';
import type { Limits } from '../rules/index.js';
import type { CompiledHour, SaltLedger } from '../salt/index.js';
import type { SeasonJobRow } from '../season/index.js';
import type { ByGroup, Vehicle } from '../vehicle/index.js';
import type { AskedStart, Band, Cell, methodsWithWork, NearWay, PlaceWeather } from '../verdict/index.js';
import type { WashHistory } from './cadence.js';
import type { TargetState } from './cadence-target.js';
import type { Prices } from './data/prices.js';
import type { Window } from './window.js';

/** What is asked of a start: how it goes with its work of the season, and what the members say; null: the grid knows all there is. */
export type AskMembers = (
  window: Pick<Window, 'placeId' | 'methodId' | 'startMs'> & Partial<Pick<Window, 'extras'>>,
) => AskedStart | null;

/** A wash of this car by a method that was agreed on, and within which time. */
export type AgreedWash = Pick<BookedSpan, 'fromMs' | 'readyByMs'> & { readonly methodId: string };

export interface MorningCase {
  readonly vehicle: Vehicle;
  readonly places: readonly Place[];
  readonly limits: Limits;
  readonly prices: Prices;
  readonly house: HouseRules;
  readonly shelf: Shelf;
  readonly soil: ByGroup;
  readonly bands: readonly Band[];
  /** The car's methods, where the bands were made of them; absent: made again. */
  readonly methodsWith?: ReturnType<typeof methodsWithWork>;
  readonly ledger: SaltLedger;
  /** From the present hour on. */
  readonly ahead: readonly CompiledHour[];
  /** Asks the forecast's members of one start; null where there are none. Absent: the bands have been asked already. */
  readonly askMembers?: AskMembers;
  /** Air temperature felt outdoors, from the present hour on; null where not known. */
  readonly windChillC: readonly (number | null)[];
  readonly history: Omit<WashHistory, 'nowMs'>;
  readonly target: TargetState;
  /** Work of the season that is due, in the order in which it is done; and the weather at each place. */
  readonly season?: {
    readonly due: readonly SeasonJobRow[];
    /** Agreed on with a customer: done whatever it is worth. */
    readonly agreed: readonly SeasonJobRow[];
    readonly at: (placeId: string) => PlaceWeather | undefined;
  };
  /** Washes of the car that were agreed on by their method. */
  readonly agreedWashes?: readonly AgreedWash[];
  readonly nowMs: number;
  /** What can be done of the car at a place where all of it cannot; absent: nothing is looked for. */
  readonly halfAt?: (band: Band) => NearWay | null;
}

export const goes = (cell: Pick<Cell, 'verdict'>): boolean =>
  cell.verdict === 'go' || cell.verdict === 'go-if';

/** The first of the coming hours. */
export const firstAhead = ({ ahead }: Pick<MorningCase, 'ahead'>): number => ahead[0]?.atMs ?? NaN;
