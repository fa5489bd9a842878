import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { type Method, STEP_KINDS } from '../method/index.js';
import type { Finding, Standing } from '../rules/index.js';
import { relHumidityFraction, type WeatherHour } from '../weather/index.js';
import { dewPointFromHumidity } from '../air/index.js';
import { equippedMethod } from './equipped-method.js';
import { cellDetail, type CellRequest } from './cell-detail.js';
import { NightAir } from './night-air.js';
import type { WeatherSpan } from './site-hours.js';

export const FLIP_INPUTS = ['air', 'wind', 'humidity', 'cloud', 'solids', 'hand-speed', 'start'] as const;
export type FlipInput = (typeof FLIP_INPUTS)[number];

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

interface Dial {
  readonly input: FlipInput;
  readonly now: number;
  readonly low: number;
  readonly high: number;
  /** To how fine a difference the nearest change is found. */
  readonly fine: number;
  readonly judge: (value: number) => { standing: Standing; limiting: Finding };
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

const changed = (span: WeatherSpan, change: (hour: WeatherHour) => Partial<WeatherHour>): WeatherSpan => ({
  ...span,
  hours: span.hours.map((hour) => hour && { ...hour, ...change(hour) }),
});

function withSolids(request: CellRequest, tdsMgPerLitre: number): CellRequest {
  const { place } = request;
  const { washWater, finalRinse } = place;
  return finalRinse
    ? { ...request, place: { ...place, finalRinse: { ...finalRinse, tdsMgPerLitre } } }
    : { ...request, place: { ...place, washWater: { ...washWater, tdsMgPerLitre } } };
}

/** Work on the body takes longer or shorter in the same proportion. */
const atHandSpeed =
  (factor: number) =>
  (method: Method): Method => ({
    ...method,
    steps: method.steps.map((step) =>
      STEP_KINDS[step.id].goesOverBody ? { ...step, minutes: step.minutes * factor } : step,
    ),
  });

function weatherDials(request: CellRequest, startMs: number, hour: WeatherHour): Dial[] {
  const { place, vehicle, control: span } = request;
  const standsHere = vehicle.standsAtPlaceId === place.id ? place : null;
  const under = (control: WeatherSpan): CellRequest => ({
    ...request,
    control,
    night: vehicle.standsAtPlaceId === null || standsHere ? new NightAir(standsHere, control) : request.night,
  });
  const judgeUnder = (change: (hour: WeatherHour) => Partial<WeatherHour>) =>
    cellDetail(under(changed(span, change)), startMs).judgement;
  const humidity = relHumidityFraction(hour);
  return [
    {
      input: 'air',
      now: hour.airTempC,
      low: hour.airTempC - 15,
      high: hour.airTempC + 15,
      fine: 0.1,
      // The air's humidity stays: its dew point moves along.
      judge: (airTempC) =>
        judgeUnder((other) => {
          const shifted = other.airTempC + airTempC - hour.airTempC;
          return { airTempC: shifted, dewPointC: dewPointFromHumidity(shifted, relHumidityFraction(other)) };
        }),
    },
    {
      input: 'wind',
      now: hour.windMetresPerSecond,
      low: 0,
      high: hour.windMetresPerSecond + 15,
      fine: 0.1,
      judge: (wind) =>
        judgeUnder((other) => ({
          windMetresPerSecond: Math.max(0, other.windMetresPerSecond + wind - hour.windMetresPerSecond),
        })),
    },
    {
      input: 'humidity',
      now: humidity,
      low: 0.1,
      high: 1,
      fine: 0.005,
      judge: (fraction) =>
        judgeUnder((other) => {
          const there = Math.min(1, Math.max(0.05, relHumidityFraction(other) + fraction - humidity));
          return { dewPointC: dewPointFromHumidity(other.airTempC, there) };
        }),
    },
    {
      input: 'cloud',
      now: hour.cloudFraction,
      low: 0,
      high: 1,
      fine: 0.01,
      judge: (cloud) =>
        judgeUnder((other) => ({
          cloudFraction: Math.min(1, Math.max(0, other.cloudFraction + cloud - hour.cloudFraction)),
        })),
    },
  ];
}

function otherDials(request: CellRequest, startMs: number): Dial[] {
  const { place } = request;
  const solids = (place.finalRinse ?? place.washWater).tdsMgPerLitre;
  return [
    {
      input: 'solids',
      now: solids,
      low: 0,
      high: Math.max(1000, 3 * solids),
      fine: 1,
      judge: (tds) => cellDetail(withSolids(request, tds), startMs).judgement,
    },
    {
      input: 'start',
      now: startMs,
      low: startMs - 12 * MS_PER_HOUR,
      high: startMs + 12 * MS_PER_HOUR,
      fine: 5 * MS_PER_MINUTE,
      judge: (atMs) => cellDetail(request, atMs).judgement,
    },
  ];
}

/** How long the work on the body takes; nothing where no hand dries it. */
function handDials(request: CellRequest, startMs: number): Dial[] {
  const { drying, steps } = equippedMethod(request.methodId, request);
  if (drying.kind === 'left') return [];
  const now = steps.reduce((sum, { id, minutes }) => (STEP_KINDS[id].goesOverBody ? sum + minutes : sum), 0);
  if (now === 0) return [];
  const judge = (minutes: number) => cellDetail(request, startMs, atHandSpeed(minutes / now)).judgement;
  return [{ input: 'hand-speed', now, low: now * 0.15, high: now * 6, fine: 0.1, judge }];
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
