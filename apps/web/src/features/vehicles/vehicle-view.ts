import { type PlaceRecord, type VehicleAnswer, type VehicleRecord, type WashRecord } from '@keen/core';
import type { Format } from '../../format/format.js';
import { nextPlanned } from '../../parts/next-planned.js';
import { methodName, nameOf } from '../../words/names.js';
import { unplannedText } from '../../words/plan-words.js';

/** What it may bear between two washes. */
export function targetText({ target, cadenceDays }: Pick<VehicleRecord, 'target' | 'cadenceDays'>): string {
  if (target.kind === 'days') return `every ${cadenceDays} days`;
  return target.kind === 'salt-days'
    ? `never more than ${target.most} days with salt on it`
    : `never more than ${target.most} hours of salt at work`;
}

type Where = Pick<WashRecord, 'startMs' | 'placeId' | 'methodId'>;

/** The next wash of a car: planned, or as it would go best; else what it waits for. */
export function nextText(
  { id }: Pick<VehicleRecord, 'id'>,
  answer: VehicleAnswer | undefined,
  {
    washes,
    places,
    format,
  }: {
    readonly washes: readonly WashRecord[];
    readonly places: readonly PlaceRecord[];
    readonly format: Format;
  },
): { readonly lead: string; readonly text: string } | null {
  const whereText = ({ startMs, placeId, methodId }: Where): string =>
    `${format.dayTime(startMs)}, ${nameOf(places, placeId)}, ${methodName(methodId)}`;
  const planned = nextPlanned(washes, id);
  if (planned) return { lead: 'Planned', text: whereText(planned) };
  if (answer?.best) return { lead: 'Goes best', text: whereText(answer.best) };
  // A car that can wait says so by when it is due.
  if (!answer || answer.standing === 'not-due') return null;
  return {
    lead: 'Waits',
    text: answer.reason ? unplannedText(answer.reason, format) : 'nothing goes in the coming days',
  };
}
