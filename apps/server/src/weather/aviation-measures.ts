import { CLOUD_COVER_FRACTION, type WeatherReading } from '@keen/core';
import { AltimeterUnit, type ICloud, type IMetar, type IWind, RemarkType } from 'metar-taf-parser';
import { fallOf, measuredFall, DRY } from './aviation-fall.js';

const METRES_PER_SECOND: Readonly<Record<IWind['unit'], number>> = {
  KT: 1852 / 3600,
  MPS: 1,
  'KM/H': 1 / 3.6,
};

const INCH_OF_MERCURY_HPA = 33.8639;

export interface Report {
  readonly line: number;
  readonly text: string;
}

export function windOf(wind: IWind | undefined): Partial<WeatherReading> {
  if (!wind) return {};
  const scale = METRES_PER_SECOND[wind.unit];
  return {
    windMetresPerSecond: wind.speed * scale,
    gustMetresPerSecond: (wind.gust ?? wind.speed) * scale,
    ...(wind.degrees === undefined ? {} : { windFromDeg: wind.degrees }),
  };
}

const CLEAR_WORDS = /\b(SKC|CLR|NSC|NCD|CAVOK)\b/;

/** The thickest layer decides. */
export function cloudOf(clouds: readonly ICloud[], raw: string, vertical?: unknown): Partial<WeatherReading> {
  const covers: Readonly<Record<string, number>> = CLOUD_COVER_FRACTION;
  const layers = clouds.flatMap(({ quantity }) => covers[quantity] ?? []);
  if (vertical !== undefined) layers.push(CLOUD_COVER_FRACTION.VV);
  if (layers.length > 0) return { cloudFraction: Math.max(...layers) };
  const word = CLEAR_WORDS.exec(raw)?.[1];
  return word === undefined ? {} : { cloudFraction: covers[word] ?? 0 };
}

export function measuredOf(report: IMetar): Partial<WeatherReading> {
  const exact = report.remarks.find(({ type }) => type === RemarkType.HourlyTemperatureDewPoint) as
    | { temperature: number; dewPoint?: number }
    | undefined;
  const airTempC = exact?.temperature ?? report.temperature;
  const dewPointC = exact?.dewPoint ?? report.dewPoint;
  const [body = ''] = report.message.split(/\bRMK\b/);
  const { altimeter } = report;
  const fallMm = measuredFall(report);
  const falls = fallOf(report.weatherConditions) !== null;
  return {
    ...(airTempC === undefined ? {} : { airTempC }),
    ...(dewPointC === undefined ? {} : { dewPointC }),
    ...windOf(report.wind),
    ...cloudOf(report.clouds, body, report.verticalVisibility),
    // A station that cannot tell what falls writes slashes; then it is not known.
    ...(/\s\/\/(?:\s|$)/.test(body) ? {} : (fallOf(report.weatherConditions) ?? DRY)),
    ...(fallMm === null ? {} : { precipMm: fallMm, ...(falls ? {} : { precipKind: undefined }) }),
    ...(altimeter
      ? {
          pressureHpa:
            altimeter.unit === AltimeterUnit.InHg ? altimeter.value * INCH_OF_MERCURY_HPA : altimeter.value,
        }
      : {}),
  };
}
