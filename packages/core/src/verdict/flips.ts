import { MS_PER_HOUR } from '../quantity/index.js';
import type { Finding, Standing } from '../rules/index.js';
import { cellDetail, type CellRequest } from './cell-detail.js';
import type { WeatherSpan } from './weather-span.js';
import { type FlipInput, type Dial, weatherDials, otherDials, handDials } from './dials.js';

/** The nearest change of one input that changes the answer. */
export interface Flip {
  readonly input: FlipInput;
  /** As it is, in the input's unit: °C, m/s, 0–1, 0–1, mg/L, minutes of work on the body, ms. */
  readonly now: number;
  /** The nearest value at which the answer is another; null: none within its range. */
  readonly at: number | null;
  readonly standing: Standing | null;
  readonly limiting: Finding | null;
  /** How far the search went, either side. */
  readonly low: number;
  readonly high: number;
}

/** Shares of the way to the end of the range at which the search looks, either side. */
const LOOKS = [0.04, 0.09, 0.16, 0.25, 0.36, 0.5, 0.7, 1];

/** Weather that the start and its night can feel. */
const AROUND_HOURS = 40;

/** A part of the span that is cheap to change. */
function near(span: WeatherSpan, startMs: number): WeatherSpan {
  const first = Math.max(0, Math.floor((startMs - span.fromMs) / MS_PER_HOUR) - AROUND_HOURS);
  return {
    fromMs: span.fromMs + first * MS_PER_HOUR,
    hours: span.hours.slice(first, first + 2 * AROUND_HOURS),
  };
}

/** Nearest value on one side at which the standing is another: looks outwards, then halves the bracket. */
function nearest(
  dial: Dial,
  end: number,
  base: Standing,
): { at: number; standing: Standing; limiting: Finding } | null {
  let inner = dial.now;
  for (const share of LOOKS) {
    const value = dial.now + (end - dial.now) * share;
    let found = dial.judge(value);
    if (found.standing === base) {
      inner = value;
      continue;
    }
    let outer = value;
    while (Math.abs(outer - inner) > dial.fine) {
      const middle = (outer + inner) / 2;
      const there = dial.judge(middle);
      if (there.standing === base) inner = middle;
      else {
        outer = middle;
        found = there;
      }
    }
    return { at: outer, standing: found.standing, limiting: found.limiting };
  }
  return null;
}

function flipOf(dial: Dial, base: Standing): Flip {
  const sides = [dial.low, dial.high]
    .filter((end) => Math.abs(end - dial.now) > dial.fine)
    .map((end) => nearest(dial, end, base))
    .filter((found) => found !== null);
  const { input, now, low, high } = dial;
  const [first] = sides.sort((a, b) => Math.abs(a.at - now) - Math.abs(b.at - now));
  return {
    input,
    now,
    low,
    high,
    at: first?.at ?? null,
    standing: first?.standing ?? null,
    limiting: first?.limiting ?? null,
  };
}

/**
 * What would change this answer, and by how little?
 *
 * @param request one start, as `cellDetail` takes it
 * @returns for each input the nearest value at which the standing is another, found by search on the engine itself; an
 * island narrower than a twentieth of the range may be stepped over. Empty where the hour has no weather.
 */
export function flipsOf(request: CellRequest, startMs: number): Flip[] {
  const i = Math.floor((startMs - request.control.fromMs) / MS_PER_HOUR);
  const hour = request.control.hours[i];
  if (!hour) return [];
  const local = { ...request, control: near(request.control, startMs) };
  const base = cellDetail(local, startMs).judgement.standing;
  const dials = [
    ...weatherDials(local, startMs, hour),
    ...otherDials(local, startMs),
    ...handDials(local, startMs),
  ];
  return dials.map((dial) => flipOf(dial, base));
}
