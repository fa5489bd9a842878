import { FieldError, MS_PER_HOUR, type RangeLimits, requireInRange } from '../quantity/index.js';
import { type PrecipKind, startOfHourMs, type WeatherHour } from './weather-hour.js';

/** What somebody saw out of the door at an instant; null: not looked at. */
export interface Sight {
  readonly atMs: number;
  readonly airTempC: number | null;
  /** At 10 m, or guessed from what it moves. */
  readonly windMetresPerSecond: number | null;
  readonly cloudFraction: number | null;
  readonly falling: PrecipKind | null;
}

/** How long a correction lasts: after so many hours 1/e of it is left (judgement; a front undoes it sooner). */
export const SIGHT_FADE_HOURS = { airTempC: 6, windMetresPerSecond: 3, cloudFraction: 4 } as const;
/** After so long a sight says nothing about what is to come. */
export const SIGHT_LASTS_HOURS = 12;
/** What falls where somebody says that something does and the forecast has nothing, mm in the hour (judgement). */
const FALLING_MM = 0.5;

/**
 * Guards a sight.
 *
 * @throws FieldError naming the field outside its range, or `at` where nothing was looked at
 */
export function requireSight(sight: Sight): void {
  const { airTempC, windMetresPerSecond, cloudFraction, falling } = sight;
  if ([airTempC, windMetresPerSecond, cloudFraction, falling].every((value) => value === null))
    throw new FieldError('missing-field', 'airTempC', 'Give the air, the wind, the sky or what falls.');
  const check = (fields: Record<string, number>, range: RangeLimits): void =>
    requireInRange('sight', fields, range);
  if (airTempC !== null) check({ airTempC }, { min: -70, max: 50, unit: '°C' });
  if (windMetresPerSecond !== null) check({ windMetresPerSecond }, { min: 0, max: 75, unit: 'm/s' });
  if (cloudFraction !== null) check({ cloudFraction }, { min: 0, max: 1, unit: '' });
}

interface Difference {
  readonly airK: number;
  readonly windMetresPerSecond: number;
  readonly cloudFraction: number;
}

function differenceFrom(hour: WeatherHour, sight: Sight): Difference {
  return {
    airK: sight.airTempC === null ? 0 : sight.airTempC - hour.airTempC,
    windMetresPerSecond:
      sight.windMetresPerSecond === null ? 0 : sight.windMetresPerSecond - hour.windMetresPerSecond,
    cloudFraction: sight.cloudFraction === null ? 0 : sight.cloudFraction - hour.cloudFraction,
  };
}

function precipSeen(hour: WeatherHour, falling: PrecipKind): Pick<WeatherHour, 'precipMm' | 'precipKind'> {
  if (falling === 'none') return { precipMm: 0, precipKind: 'none' };
  return { precipMm: hour.precipMm > 0 ? hour.precipMm : FALLING_MM, precipKind: falling };
}

function correctedHour(
  hour: WeatherHour,
  sight: Sight,
  { by, laterHours }: { readonly by: Difference; readonly laterHours: number },
): WeatherHour {
  const left = (fadeHours: number): number => Math.exp(-laterHours / fadeHours);
  const airTempC = hour.airTempC + by.airK * left(SIGHT_FADE_HOURS.airTempC);
  const wind = hour.windMetresPerSecond + by.windMetresPerSecond * left(SIGHT_FADE_HOURS.windMetresPerSecond);
  const cloud = hour.cloudFraction + by.cloudFraction * left(SIGHT_FADE_HOURS.cloudFraction);
  const windMetresPerSecond = Math.max(0, wind);
  return {
    ...hour,
    airTempC,
    // The damp is carried along: the distance of the dew point from the air stays as it was.
    dewPointC: airTempC - (hour.airTempC - hour.dewPointC),
    windMetresPerSecond,
    gustMetresPerSecond: Math.max(hour.gustMetresPerSecond, windMetresPerSecond),
    cloudFraction: Math.min(1, Math.max(0, cloud)),
    ...(laterHours === 0 && sight.falling !== null ? precipSeen(hour, sight.falling) : {}),
  };
}

/**
 * How does what was seen correct the coming hours?
 *
 * @param course hours from an instant on; null where not known
 * @param sight as seen; its hour is one of the course
 * @returns the same hours: in the hour of the sight what was seen, then fading back to the forecast. What falls is corrected in that
 * hour only. Unchanged where the sight is older than `SIGHT_LASTS_HOURS` or the hour it is compared with is not known.
 * Model: exponential fading (judgement), the usual way to join an observation to a forecast.
 */
export function correctedCourse<H extends WeatherHour | null>(course: readonly H[], sight: Sight): H[] {
  const seenIn = course.find((hour) => hour?.atMs === startOfHourMs(sight.atMs));
  if (!seenIn) return [...course];
  const by = differenceFrom(seenIn, sight);
  return course.map((hour): H => {
    if (!hour) return hour;
    const laterHours = (hour.atMs - seenIn.atMs) / MS_PER_HOUR;
    if (laterHours < 0 || laterHours > SIGHT_LASTS_HOURS) return hour;
    return correctedHour(hour, sight, { by, laterHours }) as H;
  });
}
