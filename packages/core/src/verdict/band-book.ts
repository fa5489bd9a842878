import type { WayId } from '../method/index.js';
import type { Place } from '../place/index.js';
import type { Finding, Judgement } from '../rules/index.js';
import type { Cell } from './band.js';
import type { RuledBy } from './circumstances.js';
import type { MemberFailures } from './failed-fraction.js';

/** Share of members that a start fails in, and the judgement with it. */
export interface AskedStart extends Judgement {
  /** The way in which it goes, and the cold by which its bottles are taken. */
  readonly wayId: WayId;
  readonly placeC: number | null;
  /** null: no member reaches so far. */
  readonly blockedFraction: number | null;
  readonly failures: MemberFailures | null;
}

/** What was found out about one method at one place for one car: its starts, and what the members said of those that they were asked about. */
export interface BandPage {
  /** What refuses it for good; null: nothing does; undefined: not looked for yet. */
  refusal?: Finding | null;
  /** null: not judged yet. */
  cells: readonly Cell[] | null;
  readonly asked: Map<number, AskedStart | null>;
}

export const emptyPage = (): BandPage => ({ cells: null, asked: new Map() });

/** By method: a name for how it is done in every cold. */
export type MethodNames = Readonly<Record<string, string>>;

/** Pages that were made before. A page goes by a name for all that it rests on: a change in anything that it reads gives it another. */
export interface BandBook {
  name(inputs: object): string;
  /** Names that go by these inputs; made where they are not known. */
  names(inputs: object, make: () => MethodNames): MethodNames;
  page(name: string): BandPage;
}

/** What a page rests on besides the methods; the weather and the night after are the book's to name. */
export interface PageInputs {
  readonly around: RuledBy;
  readonly place: Place;
  readonly startsMs: readonly number[];
  readonly withMembers: boolean;
}

/** A car as the rules see it: its look and its protection, not who drives it how far, nor when it is due. */
function looksOf(vehicle: RuledBy['vehicle']): object {
  const {
    driving: _driving,
    weekShares: _week,
    cadenceDays: _cadence,
    target: _target,
    seasonJobs: _jobs,
    id: _id,
    ...looks
  } = vehicle;
  return looks;
}

/** All that every page of one car at one place reads besides the methods. */
export const readsOf = ({ around, place, startsMs, withMembers }: PageInputs): object => ({
  looks: looksOf(around.vehicle),
  limits: around.limits,
  choices: around.house.choices,
  soil: around.soil,
  place,
  startsMs,
  withMembers,
});
