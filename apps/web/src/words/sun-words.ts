import { type CarSide, litAt, type SunLine, type SunSpan } from '@keen/core';
import type { Format } from '../format/format.js';

const SIDE_NAMES: Readonly<Record<CarSide, string>> = {
  left: 'left side',
  right: 'right side',
  front: 'front',
  rear: 'rear',
};
const list = new Intl.ListFormat('en');

const untilText = ({ toMs }: SunSpan, format: Format): string =>
  toMs === null ? 'for the hours ahead' : `until ${format.time(toMs)}`;

/** "Left side in the sun until 13:40." for each side, one that is lit later with its beginning. */
function spanText(span: SunSpan, atMs: number, format: Format): string {
  const from = span.fromMs > atMs ? ` from ${format.time(span.fromMs)}` : '';
  return `${SIDE_NAMES[span.side]} in the sun${from} ${untilText(span, format)}`;
}

function spansText(spans: readonly SunSpan[], atMs: number, format: Format): string {
  const text = list.format(spans.map((span) => spanText(span, atMs, format)));
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}

/** What the sun asks for in the order of work; null: nothing. */
function adviceText({ litFlank, driesThere, dryingSpot }: SunLineAt): string | null {
  if (litFlank === null || !driesThere) return null;
  const shady = litFlank === 'left' ? 'right' : 'left';
  return `The ${litFlank} dries first: soap the ${litFlank} first, rinse the ${shady} first, and move into the shade to dry${dryingSpot ? ` (${dryingSpot})` : ''}.`;
}

/** The sun's line at a place, with its own shade to dry in, where it has one. */
interface SunLineAt extends SunLine {
  readonly dryingSpot?: string;
}

/** The sun on the car during the wash, as an instruction; with the place's own shade, where it has one. */
export const sunLineText = (line: SunLineAt, startMs: number, format: Format): string =>
  [spansText(line.spans, startMs, format), adviceText(line)].filter((text) => text !== null).join(' ');

/** The same of this minute, for the phone; null: no sun on any side now, nor later in the wash. */
export function sunNowText(line: SunLineAt, nowMs: number, format: Format): string | null {
  const now = litAt(line, nowMs);
  const next = line.spans.find(({ fromMs }) => fromMs > nowMs);
  const shown = now.length > 0 ? now : next ? [next] : [];
  if (shown.length === 0) return null;
  const text = spansText(shown, nowMs, format);
  const advice = now.some(({ side }) => side === line.litFlank) ? adviceText(line) : null;
  return advice ? `${text} ${advice}` : text;
}
