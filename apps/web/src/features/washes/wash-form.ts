import type { PanelId, SeasonJobId, SpotsFound } from '@keen/core';
import type { DoneWash, WashRecord } from '../../api/types.js';
import { fromLocalInput, toLocalInput } from '../../format/local-input.js';

/** What is typed into the form of a done wash. */
export interface WashDraft {
  readonly vehicleId: string;
  readonly placeId: string;
  readonly methodId: string;
  readonly start: string;
  readonly minutes: number | string;
  readonly cost: number | string;
  readonly icePanels: PanelId[];
  /** Work of the season that was done. */
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
  const startMs = Math.min(wash.startMs, around.nowMs - 60_000 * wash.minutes);
  return {
    vehicleId: wash.vehicleId,
    placeId: wash.placeId,
    methodId: wash.methodId,
    start: toLocalInput(wash.startMs > around.nowMs ? startMs : wash.startMs, around.timeZone),
    minutes: Math.round(wash.minutes),
    cost: around.priceMinor === null ? '' : around.priceMinor / 100,
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
  const startMs = fromLocalInput(draft.start, around.timeZone);
  if (startMs === null) errors.start = 'Give a date and a time.';
  else if (startMs > around.nowMs) errors.start = 'This is still to come; a wash that is done has begun.';
  if (!draft.vehicleId) errors.vehicleId = 'Choose the vehicle.';
  if (!draft.placeId) errors.placeId = 'Choose the place.';
  if (!draft.methodId) errors.methodId = 'Choose the method.';
  const minutes = Number(draft.minutes);
  if (draft.minutes === '' || !(minutes >= 1 && minutes <= 1440))
    errors.minutes = 'Between 1 and 1440 minutes.';
  const cost = Number(draft.cost);
  if (draft.cost !== '' && !(cost >= 0 && cost <= 10_000)) errors.cost = 'Between 0 and 10 000.';
  return errors;
}

/** The form as the server takes it. Only for a form without faults. */
export function doneFrom(draft: WashDraft, timeZone: string): DoneWash {
  const { icePanels, spots, leftovers, note } = draft;
  return {
    startMs: fromLocalInput(draft.start, timeZone) ?? 0,
    minutes: Number(draft.minutes),
    methodId: draft.methodId,
    extras: draft.extras,
    costMinor: draft.cost === '' ? null : Math.round(Number(draft.cost) * 100),
    found: { icePanels, spots, leftovers, note },
  };
}
