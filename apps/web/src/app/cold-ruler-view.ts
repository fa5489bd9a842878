import { type ForecastHour, MS_PER_HOUR } from '@keen/core';

/** How far the ruler reaches. */
export const RULER_HOURS = 24;
/** So many units of drawing is an hour wide, and so many all of it is high. */
export const HOUR_WIDTH = 10;
export const HEIGHT = 40;
/** Room above and below the line of air. */
const EDGE = 5;
/** A day that hardly changes is not drawn as if it did, K. */
const LEAST_SPAN_K = 8;

/** A part of the day, as shares of its width. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

export interface ColdRuler {
  readonly fromMs: number;
  /** The line of the air, as an SVG path. */
  readonly air: string;
  /** Between the line and freezing, where it is below; as an SVG path. */
  readonly cold: string;
  /** Height of freezing, in units of drawing; null: it is out of the picture. */
  readonly freezingY: number | null;
  /** As forecast for this hour, °C. */
  readonly nowC: number;
  readonly coldestC: number;
  readonly warmestC: number;
  /** Spans of the day that are above freezing. */
  readonly thaws: readonly { readonly fromMs: number; readonly toMs: number }[];
}

const at = (x: number, y: number): string => `${x.toFixed(1)} ${y.toFixed(2)}`;

/** Spans in which the air is above freezing, hour by hour. */
function thawsOf(hours: readonly ForecastHour[]): ColdRuler['thaws'] {
  const spans: { fromMs: number; toMs: number }[] = [];
  for (const { atMs, airTempC } of hours) {
    if (airTempC <= 0) continue;
    const last = spans.at(-1);
    if (last?.toMs === atMs) last.toMs = atMs + MS_PER_HOUR;
    else spans.push({ fromMs: atMs, toMs: atMs + MS_PER_HOUR });
  }
  return spans;
}

/** The next hours as a ruler; null where none is known. */
export function coldRuler(ahead: readonly ForecastHour[]): ColdRuler | null {
  const hours = ahead.slice(0, RULER_HOURS + 1);
  const [first] = hours;
  if (!first || hours.length < 2) return null;
  const temps = hours.map(({ airTempC }) => airTempC);
  const coldestC = Math.min(...temps);
  const warmestC = Math.max(...temps);
  const middle = (coldestC + warmestC) / 2;
  const span = Math.max(LEAST_SPAN_K, warmestC - coldestC);
  const yOf = (tempC: number): number => HEIGHT / 2 - ((tempC - middle) / span) * (HEIGHT - 2 * EDGE);
  const freezing = yOf(0);
  const points = temps.map((tempC, i) => ({ x: i * HOUR_WIDTH, y: yOf(tempC) }));
  const line = points.map(({ x, y }) => at(x, y)).join(' L');
  // The top of the cold is freezing, or the edge of the picture where that is above it.
  const top = Math.max(0, Math.min(HEIGHT, freezing));
  const floor = points.map(({ x, y }) => at(x, Math.max(y, top))).join(' L');
  const endX = (points.length - 1) * HOUR_WIDTH;
  return {
    fromMs: first.atMs,
    air: `M${line}`,
    cold: `M${at(0, top)} L${floor} L${at(endX, top)} Z`,
    freezingY: freezing >= 0 && freezing <= HEIGHT ? freezing : null,
    nowC: first.airTempC,
    coldestC,
    warmestC,
    thaws: thawsOf(hours.slice(0, RULER_HOURS)),
  };
}

/** A span of time on the ruler; null: it is not on it. */
export function stretchOf(
  fromMs: number,
  span: { readonly startMs: number; readonly endMs: number },
): Stretch | null {
  const share = (atMs: number): number => (atMs - fromMs) / (RULER_HOURS * MS_PER_HOUR);
  const from = Math.max(0, share(span.startMs));
  const to = Math.min(1, share(span.endMs));
  return to > from ? { from, to } : null;
}

const LABEL_HOURS = 3;

/** Hours that are written under the ruler: every third one of the clock, and none that would stand beside the needle or run out at the end. */
export const labelsOf = (
  { fromMs }: Pick<ColdRuler, 'fromMs'>,
  hourOfDay: (atMs: number) => number,
): { readonly atMs: number; readonly share: number }[] =>
  Array.from({ length: RULER_HOURS - 1 }, (_, i) => fromMs + (i + 1) * MS_PER_HOUR)
    .filter((atMs) => Math.round(hourOfDay(atMs)) % LABEL_HOURS === 0)
    .map((atMs) => ({ atMs, share: (atMs - fromMs) / (RULER_HOURS * MS_PER_HOUR) }))
    .filter(({ share }) => share > 0.09 && share < 0.9);
