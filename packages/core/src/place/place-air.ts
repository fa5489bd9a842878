import { saturationOverWaterPa, skyTempC } from '../air/index.js';
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
const OUTDOOR_WIND_SHARE = 0.5;
const BAY_WIND_SHARE = 0.3;
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

function indoorAir(
  climate: PlaceClimate & { kind: 'unheated' | 'heated' },
  past: readonly WeatherHour[],
): PlaceAir {
  const mean = (read: (hour: WeatherHour) => number): number =>
    past.reduce((sum, hour) => sum + read(hour), 0) / past.length;
  const heated = climate.kind === 'heated';
  const airTempC = heated ? climate.setpointC : mean((hour) => hour.airTempC) + UNHEATED_WARMER_K;
  const vapour = mean(vapourPa) + (heated ? HEATED_DAMPER_PA : UNHEATED_DAMPER_PA);
  const cap = heated ? HEATED_HUMIDITY_CAP : UNHEATED_HUMIDITY_CAP;
  return {
    airTempC,
    relHumidityFraction: Math.min(cap, vapour / saturationOverWaterPa(airTempC)),
    airSpeedMetresPerSecond: INDOOR_DRAUGHT,
    skyTempC: airTempC,
  };
}

function outdoorAir(hour: WeatherHour, windShare: number): PlaceAir {
  return {
    airTempC: hour.airTempC,
    relHumidityFraction: relHumidityFraction(hour),
    airSpeedMetresPerSecond: hour.windMetresPerSecond * windShare,
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
  return hours.map((hour, i) => {
    if (!hour) return null;
    switch (climate.kind) {
      case 'outdoors':
        return outdoorAir(hour, OUTDOOR_WIND_SHARE);
      case 'open-bay':
        return outdoorAir(hour, BAY_WIND_SHARE);
      default:
        return indoorAir(
          climate,
          hours.slice(Math.max(0, i - LAG_HOURS), i + 1).filter((past) => past !== null),
        );
    }
  });
}
