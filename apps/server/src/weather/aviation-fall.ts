import { FALL_MM_PER_HOUR, type FallIntensity, type WeatherReading } from '@keen/core';
import { type IMetar, Intensity, type IWeatherCondition, RemarkType } from 'metar-taf-parser';

const FREEZES = /FZ/;

const SNOWS = new Set(['SN', 'SG', 'IC', 'GS']);

const RAINS = new Set(['RA', 'DZ', 'UP']);

const MIXES = new Set(['PL', 'GR']);

const DRIFTS = new Set(['BL', 'DR']);

const INCH_MM = 25.4;

/** What was too little to measure, mm (judgement: under a hundredth of an inch). */
const TRACE_MM = 0.1;

export function fallOf(conditions: readonly IWeatherCondition[]): Partial<WeatherReading> | null {
  // Snow that the wind lifts, or drives along the ground, does not fall.
  const here = conditions.filter(
    ({ intensity, descriptive }) =>
      intensity !== Intensity.IN_VICINITY && !DRIFTS.has(String(descriptive ?? '')),
  );
  const falls = here.flatMap(({ intensity, phenomenons, descriptive }) => {
    const kinds = phenomenons.map(String);
    const snows = kinds.some((kind) => SNOWS.has(kind));
    const rains = kinds.some((kind) => RAINS.has(kind));
    const mixes =
      kinds.some((kind) => MIXES.has(kind)) || (snows && rains) || (rains && FREEZES.test(descriptive ?? ''));
    if (!snows && !rains && !mixes) return [];
    const kind = mixes ? ('sleet' as const) : snows ? ('snow' as const) : ('rain' as const);
    const strength: FallIntensity =
      intensity === Intensity.LIGHT ? 'light' : intensity === Intensity.HEAVY ? 'heavy' : 'moderate';
    return [
      { precipKind: kind, precipMm: FALL_MM_PER_HOUR[kind][kinds.includes('DZ') ? 'light' : strength] },
    ];
  });
  return falls.sort((a, b) => b.precipMm - a.precipMm)[0] ?? null;
}

/** What fell in the hour before, as the station measured it (P group of the remarks); null: it does not say. */
export function measuredFall(report: IMetar): number | null {
  const told = report.remarks.find(({ type }) => type === RemarkType.HourlyPrecipitationAmount) as
    | { amount: number }
    | undefined;
  if (!told) return null;
  return told.amount > 0 ? told.amount * INCH_MM : TRACE_MM;
}

export const DRY: Partial<WeatherReading> = { precipMm: 0, precipKind: 'none' };
