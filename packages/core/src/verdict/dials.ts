import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { fittingsOf, type Method, STEP_KINDS } from '../method/index.js';
import type { Finding, Standing } from '../rules/index.js';
import { relHumidityFraction, type WeatherHour } from '../weather/index.js';
import { dewPointFromHumidity } from '../air/index.js';
import { equippedMethod } from './equipped-method.js';
import { cellDetail, type CellRequest } from './cell-detail.js';
import { NightAir } from './night-air.js';
import type { WeatherSpan } from './weather-span.js';

export const FLIP_INPUTS = ['air', 'wind', 'humidity', 'cloud', 'solids', 'hand-speed', 'start'] as const;

export type FlipInput = (typeof FLIP_INPUTS)[number];

export interface Dial {
  readonly input: FlipInput;
  readonly now: number;
  readonly low: number;
  readonly high: number;
  /** To how fine a difference the nearest change is found. */
  readonly fine: number;
  readonly judge: (value: number) => { standing: Standing; limiting: Finding };
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

/** Judges the start under other weather. */
type JudgeUnder = (change: (hour: WeatherHour) => Partial<WeatherHour>) => ReturnType<Dial['judge']>;

function judgeUnderOf(request: CellRequest, startMs: number): JudgeUnder {
  const { place, vehicle, control: span } = request;
  const standsHere = vehicle.standsAtPlaceId === place.id ? place : null;
  const under = (control: WeatherSpan): CellRequest => ({
    ...request,
    control,
    night: vehicle.standsAtPlaceId === null || standsHere ? new NightAir(standsHere, control) : request.night,
  });
  return (change) => cellDetail(under(changed(span, change)), startMs).judgement;
}

const airDial = (hour: WeatherHour, judgeUnder: JudgeUnder): Dial => ({
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
});

const windDial = (hour: WeatherHour, judgeUnder: JudgeUnder): Dial => ({
  input: 'wind',
  now: hour.windMetresPerSecond,
  low: 0,
  high: hour.windMetresPerSecond + 15,
  fine: 0.1,
  judge: (wind) =>
    judgeUnder((other) => ({
      windMetresPerSecond: Math.max(0, other.windMetresPerSecond + wind - hour.windMetresPerSecond),
    })),
});

function humidityDial(hour: WeatherHour, judgeUnder: JudgeUnder): Dial {
  const now = relHumidityFraction(hour);
  return {
    input: 'humidity',
    now,
    low: 0.1,
    high: 1,
    fine: 0.005,
    judge: (fraction) =>
      judgeUnder((other) => {
        const there = Math.min(1, Math.max(0.05, relHumidityFraction(other) + fraction - now));
        return { dewPointC: dewPointFromHumidity(other.airTempC, there) };
      }),
  };
}

const cloudDial = (hour: WeatherHour, judgeUnder: JudgeUnder): Dial => ({
  input: 'cloud',
  now: hour.cloudFraction,
  low: 0,
  high: 1,
  fine: 0.01,
  judge: (cloud) =>
    judgeUnder((other) => ({
      cloudFraction: Math.min(1, Math.max(0, other.cloudFraction + cloud - hour.cloudFraction)),
    })),
});

export function weatherDials(request: CellRequest, startMs: number, hour: WeatherHour): Dial[] {
  const judgeUnder = judgeUnderOf(request, startMs);
  return [airDial, windDial, humidityDial, cloudDial].map((dial) => dial(hour, judgeUnder));
}

export function otherDials(request: CellRequest, startMs: number): Dial[] {
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
export function handDials(request: CellRequest, startMs: number): Dial[] {
  const { drying, steps } = equippedMethod(request.methodId, {
    ...request,
    fittings: fittingsOf(request.place),
  });
  if (drying.kind === 'left') return [];
  const now = steps.reduce((sum, { id, minutes }) => (STEP_KINDS[id].goesOverBody ? sum + minutes : sum), 0);
  if (now === 0) return [];
  const judge = (minutes: number) => cellDetail(request, startMs, atHandSpeed(minutes / now)).judgement;
  return [{ input: 'hand-speed', now, low: now * 0.15, high: now * 6, fine: 0.1, judge }];
}
