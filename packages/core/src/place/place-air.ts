import { saturationOverWaterPa, skyTempC } from '../air/index.js';
import { MS_PER_HOUR } from '../quantity/index.js';
import { relHumidityFraction, type WeatherHour } from '../weather/index.js';
import type { Place, PlaceClimate } from './place.js';

/** Air at the car during one hour. */
export interface PlaceAir {
  readonly airTempC: number;
  readonly relHumidityFraction: number;
  readonly airSpeedMetresPerSecond: number;
  /** Of the open sky above the place. */
  readonly skyTempC: number;
}

/** Share of the 10 m wind at a panel, outdoors and in an open bay; a draught indoors (judgement). */
const OUTDOOR_WIND_FRACTION = 0.5;
const BAY_WIND_FRACTION = 0.3;
const INDOOR_DRAUGHT = 0.1;
/** An unheated garage follows the day's mean a little warmer and damper than outside (judgement). */
const UNHEATED_WARMER_K = 3;
const UNHEATED_DAMPER_PA = 40;
const UNHEATED_HUMIDITY_CAP = 0.95;
const LAG_HOURS = 24;
/** Wet cars melting on a wet floor, doors shut, add this much vapour to a heated place (judgement). */
const HEATED_DAMPER_PA = 900;
const HEATED_HUMIDITY_CAP = 0.9;

const vapourPa = (hour: WeatherHour): number => saturationOverWaterPa(hour.dewPointC);

/** Means over the hours behind each hour, kept as running sums. */
interface Lagged {
  readonly airTempC: number;
  readonly vapourPa: number;
}

/** Mean of the known hours within the lag, hour by hour; null where none is known. */
function lagged(hours: readonly (WeatherHour | null)[]): (Lagged | null)[] {
  let count = 0;
  let temps = 0;
  let vapours = 0;
  const book = (hour: WeatherHour | null | undefined, sign: 1 | -1): void => {
    if (!hour) return;
    count += sign;
    temps += sign * hour.airTempC;
    vapours += sign * vapourPa(hour);
  };
  return hours.map((hour, i) => {
    book(hour, 1);
    book(hours[i - LAG_HOURS], -1);
    return count > 0 ? { airTempC: temps / count, vapourPa: vapours / count } : null;
  });
}

type Indoors = PlaceClimate & { kind: 'unheated' | 'heated' };
type Unheated = PlaceClimate & { kind: 'unheated' };

/** What an unheated place has in the mean of a day, °C: what somebody knows of it, else the model's own. */
const unheatedC = ({ usualC }: Unheated, past: Lagged): number => usualC ?? past.airTempC + UNHEATED_WARMER_K;

/**
 * How much warmer than its mean the place is, hour by hour, K, since somebody read a thermometer there.
 *
 * A reading replaces the model, and what it differs by dies away with the same lag by which the walls follow the weather.
 */
function readOffsets(
  climate: Indoors,
  hours: readonly (WeatherHour | null)[],
  past: readonly (Lagged | null)[],
): (at: WeatherHour) => number {
  if (climate.kind === 'heated') return () => 0;
  const { readC, readAtMs } = climate;
  if (readC === null || readC === undefined || readAtMs === null || readAtMs === undefined) return () => 0;
  // A reading from before the hours that are known is held against the first of them.
  const i = hours.findIndex((hour) => hour !== null && hour.atMs + MS_PER_HOUR > readAtMs);
  const then = past[i];
  if (!then) return () => 0;
  const byK = readC - unheatedC(climate, then);
  return ({ atMs }) => {
    const hoursLater = (atMs - readAtMs) / MS_PER_HOUR;
    return hoursLater < -1 ? 0 : byK * Math.exp(-Math.max(0, hoursLater) / LAG_HOURS);
  };
}

function indoorAir(climate: Indoors, past: Lagged, offsetK: number): PlaceAir {
  const heated = climate.kind === 'heated';
  const airTempC = heated ? climate.setpointC : unheatedC(climate, past) + offsetK;
  const vapour = past.vapourPa + (heated ? HEATED_DAMPER_PA : UNHEATED_DAMPER_PA);
  const cap = heated ? HEATED_HUMIDITY_CAP : UNHEATED_HUMIDITY_CAP;
  return {
    airTempC,
    relHumidityFraction:
      climate.relHumidityFraction ?? Math.min(cap, vapour / saturationOverWaterPa(airTempC)),
    airSpeedMetresPerSecond: INDOOR_DRAUGHT,
    skyTempC: airTempC,
  };
}

function outdoorAir(hour: WeatherHour, windFraction: number): PlaceAir {
  return {
    airTempC: hour.airTempC,
    relHumidityFraction: relHumidityFraction(hour),
    airSpeedMetresPerSecond: hour.windMetresPerSecond * windFraction,
    skyTempC: skyTempC(hour),
  };
}

/**
 * The air at the car, hour by hour, at a place.
 *
 * @param hours consecutive weather hours, null where not known; the first 24 h serve as history for an unheated garage
 * @returns one entry for each hour; null where the hour is not known
 * Model: judgement constants at the top of this file.
 */
export function placeAir(
  place: Pick<Place, 'climate'>,
  hours: readonly (WeatherHour | null)[],
): (PlaceAir | null)[] {
  const { climate } = place;
  switch (climate.kind) {
    case 'outdoors':
      return hours.map((hour) => hour && outdoorAir(hour, OUTDOOR_WIND_FRACTION));
    case 'open-bay':
      return hours.map((hour) => hour && outdoorAir(hour, BAY_WIND_FRACTION));
    default: {
      const past = lagged(hours);
      const offsetAt = readOffsets(climate, hours, past);
      return hours.map((hour, i) => {
        const behind = past[i];
        return hour && behind ? indoorAir(climate, behind, offsetAt(hour)) : null;
      });
    }
  }
}
