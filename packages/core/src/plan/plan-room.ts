import { MS_PER_MINUTE } from '../quantity/index.js';
import { PLAN_SLOT_MINUTES, type PlanRequest } from './plan-request.js';
import type { Window } from './window.js';
import { type Span, spansMeet, stayOf } from './workers.js';

/** Washes of a place that stand fixed, each from coming to leaving. */
const fixedAt = ({ fixed, places }: PlanRequest, placeId: string): Span[] =>
  fixed.filter((slot) => slot.placeId === placeId).map((slot) => stayOf(slot, places));

/** Is there room for one car more beside the washes that stand fixed? */
export function hasRoom(request: PlanRequest, window: Window): boolean {
  const stay = stayOf(window, request.places);
  return mostAtOnce(fixedAt(request, window.placeId), stay) < roomAt(request, window.placeId, stay);
}

/** Cars that a place has room for over the whole of a span. */
export function roomAt(
  { places, moreRoom = [] }: PlanRequest,
  placeId: string,
  { fromMs, toMs }: Span,
): number {
  const own = places.find(({ id }) => id === placeId)?.carsAtOnce ?? 1;
  const more = moreRoom.filter(
    (room) => room.placeId === placeId && room.fromMs <= fromMs && room.toMs >= toMs,
  );
  return own + more.length;
}

/** How many of these spans overlap at the busiest instant within a span. */
export function mostAtOnce(spans: readonly Span[], within: Span): number {
  const touching = spans.filter((span) => spansMeet(span, within));
  // The busiest instant is the beginning of one of them, or of the span itself.
  const begins = touching.map(({ fromMs }) => Math.max(fromMs, within.fromMs));
  return begins.reduce(
    (most, atMs) =>
      Math.max(most, touching.filter(({ fromMs, toMs }) => fromMs <= atMs && atMs < toMs).length),
    0,
  );
}

/** Room at each place and slot, less what stands fixed there. */
export function roomOf(request: PlanRequest, originMs: number, slotCount: number): number[][] {
  const slotMs = PLAN_SLOT_MINUTES * MS_PER_MINUTE;
  const more = request.moreRoom ?? [];
  return request.places.map(({ id, carsAtOnce }) => {
    const room = Array<number>(slotCount).fill(carsAtOnce);
    const change = (fromMs: number, toMs: number, by: number): void => {
      const from = Math.max(0, Math.floor((fromMs - originMs) / slotMs));
      const to = Math.min(slotCount, Math.ceil((toMs - originMs) / slotMs));
      for (let at = from; at < to; at += 1) room[at] = Math.max(0, (room[at] ?? 0) + by);
    };
    for (const { placeId, fromMs, toMs } of more) if (placeId === id) change(fromMs, toMs, 1);
    for (const { fromMs, toMs } of fixedAt(request, id)) change(fromMs, toMs, -1);
    return room;
  });
}
