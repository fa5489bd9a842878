import {
  MOST_MINOR,
  type PanelId,
  type SeasonJobId,
  type SpotsFound,
  type WashRecord,
  MS_PER_MINUTE,
} from '@keen/core';
import type { LoggedWash } from '../../api/wash-queries.js';
import { fromMinor, toMinor } from '../../format/minor.js';
import { fromLocalInput, toLocalInput } from '../../format/local-input.js';
import { numberOf } from '../../parts/number-text.js';

/** What is typed into the form of a done wash. */
export interface WashDraft {
  readonly vehicleId: string;
  readonly placeId: string;
  readonly methodId: string;
  readonly start: string;
  /** What the field was filled with. */
  readonly startMs: number | null;
  readonly minutes: number | string;
  readonly cost: number | string;
  readonly icePanels: PanelId[];
  /** Seasonal jobs that were done. */
  readonly extras: readonly SeasonJobId[];
  readonly spots: SpotsFound;
  readonly leftovers: string;
  readonly note: string;
}

/** A fresh form for a planned wash: everything that is likely is filled in. */
export function draftFor(
  wash: WashRecord,
  around: { nowMs: number; timeZone: string; priceMinor: number | null },
): WashDraft {
  const begunMs =
    wash.startMs > around.nowMs
      ? Math.min(wash.startMs, around.nowMs - MS_PER_MINUTE * wash.minutes)
      : wash.startMs;
  return {
    vehicleId: wash.vehicleId,
    placeId: wash.placeId,
    methodId: wash.methodId,
    start: toLocalInput(begunMs, around.timeZone),
    startMs: begunMs,
    minutes: Math.round(wash.minutes),
    cost: fromMinor(around.priceMinor) ?? '',
    icePanels: [],
    extras: [...wash.extras],
    spots: 'none',
    leftovers: '',
    note: '',
  };
}

export type DraftErrors = Partial<Record<keyof WashDraft, string>>;

/** The form's faults by field; none where it can be sent. */
export function draftErrors(draft: WashDraft, around: { nowMs: number; timeZone: string }): DraftErrors {
  const errors: DraftErrors = {};
  const startMs = fromLocalInput(draft.start, around.timeZone, draft.startMs);
  if (startMs === null) errors.start = 'Give a date and a time.';
  else if (startMs > around.nowMs) errors.start = 'This is still to come; a wash that is done has begun.';
  if (!draft.vehicleId) errors.vehicleId = 'Choose the vehicle.';
  if (!draft.placeId) errors.placeId = 'Choose the place.';
  if (!draft.methodId) errors.methodId = 'Choose the method.';
  const minutes = numberOf(draft.minutes);
  if (minutes === null || minutes < 1 || minutes > 1440) errors.minutes = 'Between 1 and 1440 minutes.';
  const cost = numberOf(draft.cost);
  if (draft.cost !== '' && (cost === null || cost < 0 || (toMinor(cost) ?? 0) > MOST_MINOR))
    errors.cost = 'Between 0 and 1 000 000.';
  return errors;
}

/** An amount as it is kept; null: not said. */
const minorOf = (typed: number | string): number | null => toMinor(numberOf(typed));

/** The form as the server takes it. Only for a form without faults. */
export function doneFrom(draft: WashDraft, timeZone: string): LoggedWash {
  const { icePanels, spots, leftovers, note } = draft;
  return {
    startMs: fromLocalInput(draft.start, timeZone, draft.startMs) ?? 0,
    minutes: numberOf(draft.minutes) ?? 1,
    methodId: draft.methodId,
    extras: draft.extras,
    costMinor: minorOf(draft.cost),
    found: { icePanels, spots, leftovers, note },
  };
}
