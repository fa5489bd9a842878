import {
  CAR_ZONES,
  type CarZone,
  type Protection,
  type Vehicle,
  type ZoneProtection,
  zoneOf,
} from '../vehicle/index.js';
import { protectionOn, undated } from './protection-on.js';
import { type CoatEvent, isPainted, zoneAfter } from './protections-after.js';

/** How a coat ended: it lies there still, was taken off, covered by another or renewed; or water was seen to lie flat on it. */
export type CoatEnd = 'lies' | 'stripped' | 'covered' | 'gone';

/** One coat from the day on which it was put on to its end. */
export interface CoatSpan {
  readonly kind: Exclude<Protection, 'bare'>;
  /** null: not known. */
  readonly productName: string | null;
  readonly fromMs: number;
  /** null: it lies there still. */
  readonly toMs: number | null;
  readonly ended: CoatEnd;
  readonly zones: readonly CarZone[];
}

type ZoneSpan = Omit<CoatSpan, 'zones'>;

/** A zone's coats, one after the other. */
function spansOf(start: ZoneProtection, events: readonly CoatEvent[]): ZoneSpan[] {
  const { group } = zoneOf(start.zone);
  const spans: ZoneSpan[] = [];
  let row = start;
  let goneMs: number | null = null;
  const end = (toMs: number | null, ended: CoatEnd): void => {
    const { kind, appliedMs: fromMs, productName = null } = row;
    if (kind === 'bare' || fromMs === null) return;
    const isGone = goneMs !== null;
    spans.push({ kind, productName, fromMs, toMs: goneMs ?? toMs, ended: isGone ? 'gone' : ended });
  };
  for (const event of events) {
    const next = isPainted(row.zone) ? zoneAfter(row, group, event) : row;
    if (next.kind !== row.kind || next.appliedMs !== row.appliedMs) {
      end(event.atMs, next.kind === 'bare' ? 'stripped' : 'covered');
      goneMs = null;
    }
    row = next;
    const isFlat = event.seen.some(({ zone, behaviour }) => zone === row.zone && behaviour === 'flat');
    if (isFlat) goneMs ??= event.atMs;
  }
  const { observed } = start;
  if (row.appliedMs === start.appliedMs && observed?.behaviour === 'flat') goneMs ??= observed.atMs;
  end(null, 'lies');
  return spans;
}

/** What washes before somebody told what lies there put on and took off; what still lay there then was covered by what was told. */
const before = (zone: CarZone, events: readonly CoatEvent[], toldMs: number): ZoneSpan[] =>
  spansOf(undated(zone, 'bare'), events).map((span) =>
    span.ended === 'lies' ? { ...span, toMs: toldMs, ended: 'covered' } : span,
  );

/**
 * Which coats lay on this car, from when to when, and how did each end?
 *
 * @param vehicle with its own protection and map, as somebody noted them
 * @param events what done washes did to it, in any order
 * @returns one span for each coat whose date is known, on the zones on which it fared alike; the newest first
 */
export function coatHistory(
  vehicle: Pick<Vehicle, 'protection' | 'protections'>,
  events: readonly CoatEvent[],
): CoatSpan[] {
  const inOrder = events.toSorted((a, b) => a.atMs - b.atMs);
  const found = new Map<string, CoatSpan>();
  for (const { zone } of CAR_ZONES) {
    const noted = vehicle.protections.find((row) => row.zone === zone);
    const toldMs = Math.max(noted?.notedMs ?? -Infinity, noted?.appliedMs ?? -Infinity);
    const start = noted ?? undated(zone, protectionOn(vehicle, zone));
    const spans = [
      ...before(
        zone,
        inOrder.filter(({ atMs }) => atMs <= toldMs),
        noted?.appliedMs ?? toldMs,
      ),
      ...spansOf(
        start,
        inOrder.filter(({ atMs }) => atMs > toldMs),
      ),
    ];
    for (const span of spans.filter(({ fromMs, toMs }) => toMs === null || toMs > fromMs)) {
      const key = JSON.stringify(span);
      found.set(key, { ...span, zones: [...(found.get(key)?.zones ?? []), zone] });
    }
  }
  return [...found.values()].toSorted((a, b) => b.fromMs - a.fromMs);
}
