import type { Band, NearWay } from '@keen/core';

/** A cell of the ribbon by where it stands. */
export interface Point {
  readonly bandIndex: number;
  readonly hourIndex: number;
}

/** Moves the chosen cell by a key; null where the key means nothing here. */
export function moveByKey(key: string, at: Point, bands: readonly Band[]): Point | null {
  const hours = bands[at.bandIndex]?.cells.length ?? 0;
  const clampHour = (hourIndex: number): Point => ({
    ...at,
    hourIndex: Math.min(hours - 1, Math.max(0, hourIndex)),
  });
  switch (key) {
    case 'ArrowRight':
      return clampHour(at.hourIndex + 1);
    case 'ArrowLeft':
      return clampHour(at.hourIndex - 1);
    case 'PageDown':
      return clampHour(at.hourIndex + 24);
    case 'PageUp':
      return clampHour(at.hourIndex - 24);
    case 'Home':
      return clampHour(0);
    case 'End':
      return clampHour(hours - 1);
    case 'ArrowDown':
      return { ...at, bandIndex: Math.min(bands.length - 1, at.bandIndex + 1) };
    case 'ArrowUp':
      return { ...at, bandIndex: Math.max(0, at.bandIndex - 1) };
    case 'n':
      return nextGo(at, bands);
    default:
      return null;
  }
}

/** The next start that goes in the same band; stays where there is none. */
function nextGo(at: Point, bands: readonly Band[]): Point {
  const cells = bands[at.bandIndex]?.cells ?? [];
  const next = cells.findIndex(
    ({ verdict }, i) => i > at.hourIndex && (verdict === 'go' || verdict === 'go-if'),
  );
  return next < 0 ? at : { ...at, hourIndex: next };
}

/** A start by what it is, whatever list it stands in. */
export type Start = Pick<NearWay, 'placeId' | 'methodId' | 'startMs'>;

export function startAt(bands: readonly Band[], { bandIndex, hourIndex }: Point): Start | null {
  const band = bands[bandIndex];
  const cell = band?.cells[hourIndex];
  return band && cell ? { placeId: band.placeId, methodId: band.methodId, startMs: cell.startMs } : null;
}

/** Where a start stands now: another list may have come, or another hour. The nearest that is left where it stands no more. */
export function pointOf(bands: readonly Band[], start: Start | null): Point {
  if (!start) return { bandIndex: 0, hourIndex: 0 };
  const isIts = ({ placeId, methodId }: Band): boolean =>
    placeId === start.placeId && methodId === start.methodId;
  const bandIndex = Math.max(0, bands.findIndex(isIts));
  const cells = bands[bandIndex]?.cells ?? [];
  return {
    bandIndex,
    hourIndex: Math.max(
      0,
      cells.findLastIndex(({ startMs }) => startMs <= start.startMs),
    ),
  };
}

/** First start that goes, for the first look; the first cell where nothing does. */
export function firstChoice(bands: readonly Band[], nowMs: number): Point {
  let best: Point = { bandIndex: 0, hourIndex: 0 };
  let bestMs = Infinity;
  bands.forEach((band, bandIndex) => {
    const hourIndex = band.cells.findIndex(({ verdict, startMs }) => verdict === 'go' && startMs >= nowMs);
    const startMs = band.cells[hourIndex]?.startMs ?? Infinity;
    if (startMs < bestMs) {
      bestMs = startMs;
      best = { bandIndex, hourIndex };
    }
  });
  return best;
}
