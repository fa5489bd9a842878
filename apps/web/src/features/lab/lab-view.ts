import type { FilmInput, FilmTrace, TracePoint } from '@keen/core';

/** A film to begin with, where none was brought along: a black flank in the shade on a cold morning. */
export const PLAIN_FILM: FilmInput = {
  material: 'steel',
  tiltDeg: 90,
  absorptanceFraction: 0.93,
  solarWm2: 0,
  airTempC: -3,
  relHumidityFraction: 0.7,
  airSpeedMetresPerSecond: 1,
  skyTempC: -15,
  filmGramsPerM2: 60,
  startTempC: 8,
  horizonMinutes: 60,
};

type NumberField =
  | 'airTempC'
  | 'relHumidityFraction'
  | 'airSpeedMetresPerSecond'
  | 'solarWm2'
  | 'skyTempC'
  | 'filmGramsPerM2'
  | 'startTempC'
  | 'tiltDeg'
  | 'absorptanceFraction';

/** An input that can be moved under the hand. */
export interface Dial {
  readonly field: NumberField;
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly unit: 'temp' | 'share' | 'speed' | 'W/m²' | 'g/m²' | '°';
}

export const DIALS: readonly Dial[] = [
  { field: 'airTempC', label: 'Air', min: -30, max: 35, step: 0.5, unit: 'temp' },
  { field: 'relHumidityFraction', label: 'Humidity', min: 0.05, max: 1, step: 0.01, unit: 'share' },
  {
    field: 'airSpeedMetresPerSecond',
    label: 'Air speed at the panel',
    min: 0,
    max: 12,
    step: 0.1,
    unit: 'speed',
  },
  { field: 'solarWm2', label: 'Sun on the panel', min: 0, max: 1000, step: 10, unit: 'W/m²' },
  { field: 'skyTempC', label: 'Sky or roof above', min: -60, max: 30, step: 1, unit: 'temp' },
  { field: 'filmGramsPerM2', label: 'Water on it', min: 2, max: 400, step: 2, unit: 'g/m²' },
  { field: 'startTempC', label: 'Panel and water at the start', min: -25, max: 60, step: 0.5, unit: 'temp' },
  { field: 'tiltDeg', label: 'Tilt: 0 level, 90 upright', min: 0, max: 90, step: 1, unit: '°' },
  {
    field: 'absorptanceFraction',
    label: 'Sunlight taken up by the paint',
    min: 0.05,
    max: 0.98,
    step: 0.01,
    unit: 'share',
  },
];

export const HORIZONS_MINUTES = [15, 60, 180, 720] as const;

/** Time from wet to wiped, with the share kept in hand, against the wet edge. */
export interface WipeMargin {
  readonly neededMinutes: number;
  /** null: neither freezes nor dries in the time looked at. */
  readonly marginMinutes: number | null;
}

export function wipeMargin(trace: FilmTrace, wipeMinutes: number, inHandFraction: number): WipeMargin {
  const neededMinutes = wipeMinutes * (1 + inHandFraction);
  const { wetEdgeMinutes } = trace;
  return { neededMinutes, marginMinutes: wetEdgeMinutes === null ? null : wetEdgeMinutes - neededMinutes };
}

export type EdgeKind = 'freezes' | 'dries' | 'neither';

/** What ends the wet edge. */
export function edgeKind({ firstIceMinutes, dryMinutes }: FilmTrace): EdgeKind {
  if (firstIceMinutes === null && dryMinutes === null) return 'neither';
  return (firstIceMinutes ?? Infinity) <= (dryMinutes ?? Infinity) ? 'freezes' : 'dries';
}

/** Minutes that are drawn: to the end of the film's life and a little more, within the horizon. */
export function drawnMinutes(trace: FilmTrace, horizonMinutes: number): number {
  const last = trace.dryMinutes ?? horizonMinutes;
  return Math.min(horizonMinutes, Math.max(1, last * 1.08));
}

export interface Scale {
  readonly low: number;
  readonly high: number;
  /** Share of the way up, 0–1. */
  readonly at: (value: number) => number;
}

/** Whole steps round the values, and round 0 °C. */
export function tempScaleOf(points: readonly TracePoint[], airTempC: number): Scale {
  const values = [0, airTempC, ...points.map(({ tempC }) => tempC)];
  const low = Math.floor((Math.min(...values) - 1) / 5) * 5;
  const high = Math.ceil((Math.max(...values) + 1) / 5) * 5;
  return { low, high, at: (value) => (value - low) / (high - low) };
}

/** A corner at each point; the last is held to the right edge. */
export function linePath(
  points: readonly TracePoint[],
  read: (point: TracePoint) => number,
  to: { readonly x: (minutes: number) => number; readonly y: (value: number) => number },
): string {
  return points
    .map(
      (point, i) => `${i === 0 ? 'M' : 'L'}${to.x(point.minutes).toFixed(1)} ${to.y(read(point)).toFixed(1)}`,
    )
    .join('');
}

/** Ticks of a time axis on round minutes, no more than so many steps. */
export function minuteTicks(minutes: number, most = 7): number[] {
  const step =
    [0.5, 1, 2, 5, 10, 15, 30, 60, 120, 240].find((candidate) => minutes / candidate <= most) ?? 240;
  return Array.from({ length: Math.floor(minutes / step) + 1 }, (_, i) => i * step);
}
