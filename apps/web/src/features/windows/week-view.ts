import type { Band, Cell, PlaceRecord } from '@keen/core';
import type { Format } from '../../format/format.js';
import { findingText } from '../../words/finding-words.js';
import { methodName, nameOf } from '../../words/names.js';

const goes = ({ verdict }: Cell): boolean => verdict === 'go' || verdict === 'go-if';

/** Does it go at any hour of the week? */
export const everGoes = ({ cells }: Band): boolean => cells.some(goes);

/** The first start of the week that goes, and the hour from which it does not any more. */
export interface FirstStart {
  readonly band: Band;
  readonly cell: Cell;
  readonly closes: Cell | null;
}

/**
 * Which start comes first? One that goes as it is, if any does this week; of those of one hour the most comfortable.
 *
 * @param bands in the order in which they are shown
 */
export function firstStart(bands: readonly Band[], nowMs: number): FirstStart | null {
  const starts = (verdict: Cell['verdict']) =>
    bands.flatMap((band) => {
      const cell = band.cells.find((one) => one.verdict === verdict && one.startMs >= nowMs);
      return cell ? [{ band, cell }] : [];
    });
  const plain = starts('go');
  const [first] = (plain.length > 0 ? plain : starts('go-if')).toSorted(
    (a, b) => a.cell.startMs - b.cell.startMs || b.cell.limiting.comfort - a.cell.limiting.comfort,
  );
  if (!first) return null;
  const { band, cell } = first;
  return { ...first, closes: band.cells.find((one) => one.startMs > cell.startMs && !goes(one)) ?? null };
}

/** The week in one sentence or two: what comes first, and what ends it. */
export function weekText(
  bands: readonly Band[],
  around: { readonly nowMs: number; readonly places: readonly PlaceRecord[]; readonly format: Format },
): string {
  const { nowMs, places, format } = around;
  const first = firstStart(bands, nowMs);
  if (!first) return 'Nothing goes this week. What is missing is said at each hour.';
  const { band, cell, closes } = first;
  const where = `${format.dayTime(cell.startMs)}, ${nameOf(places, band.placeId)}, ${methodName(band.methodId)}`;
  const begins =
    cell.verdict === 'go'
      ? `First that goes: ${where}.`
      : `Nothing goes as it is. First that goes with a condition: ${where}, if ${findingText(cell.limiting, format)}.`;
  if (!closes) return begins;
  const isSameDay = format.dayKey(closes.startMs) === format.dayKey(cell.startMs);
  const until = isSameDay ? format.time(closes.startMs) : format.dayTime(closes.startMs);
  return `${begins} It goes until ${until}; after that: ${findingText(closes.limiting, format)}.`;
}
