import { irradiance, sunPosition } from '../../sun/index.js';
import { isWithinArc, wrapDeg, MS_PER_DAY, MS_PER_HOUR } from '../../quantity/index.js';
import type { PrecipKind, WeatherHour } from '../weather-hour.js';
import type { Climate } from './climate.js';
import { frontsNear, type Member, ownNoiseFraction } from './fronts.js';
import { hashNormal, smoothNoise } from './noise.js';

export interface WeatherRequest {
  readonly climate: Climate;
  readonly seed: number;
  /** Start of the first hour, UTC; on the hour. */
  readonly fromMs: number;
  readonly hourCount: number;
  /** A forecast member; the truth if absent. */
  readonly member?: Member;
  readonly startSnowDepthCm?: number;
}

/** One passing disturbance's part in the hour. */
interface Drivers {
  warmthC: number;
  moisture: number;
  cloud: number;
  precipMm: number;
  pressureHpa: number;
  windEast: number;
  windNorth: number;
}

const bell = (x: number, width: number): number => Math.exp(-((x / width) ** 2));
const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

function addFront(
  drivers: Drivers,
  { sinceHours: h, strength: s }: { sinceHours: number; strength: number },
): void {
  const passed = 1 / (1 + Math.exp(-h / 2.2));
  const coldTail = passed * Math.exp(-Math.max(0, h) / 46);
  const ahead = (1 - passed) * bell(h + 12, 20);
  drivers.warmthC += s * (7.5 * ahead - 10.5 * coldTail);
  drivers.moisture += s * (1.1 * ahead - 0.9 * passed * bell(h - 26, 24));
  drivers.cloud += s * (0.75 * bell(h + 8, 14) - 0.4 * passed * bell(h - 30, 20));
  drivers.precipMm += s * 1.5 * bell(h + 3, 5.5);
  drivers.pressureHpa += s * (-16 * bell(h, 20) + 9 * bell(h - 44, 26));
  // Southerly ahead of the front, north-westerly behind it.
  drivers.windNorth += s * (4.5 * ahead - 3.6 * passed * bell(h - 12, 22));
  drivers.windEast += s * (-0.6 * ahead + 5.2 * passed * bell(h - 10, 22));
}

function noiseAt(
  hours: number,
  request: WeatherRequest,
  wave: { everyHours: number; channel: number },
): number {
  const { seed, member } = request;
  const truth = smoothNoise(hours, { everyHours: wave.everyHours, seed: seed * 131 + wave.channel });
  if (!member) return truth;
  const ownSeed =
    seed * 131 + wave.channel + 1000 * (member.index + 1) + Math.round(member.issuedMs / MS_PER_HOUR);
  const share = ownNoiseFraction(hours, member);
  return truth * (1 - share) + share * smoothNoise(hours, { everyHours: wave.everyHours, seed: ownSeed });
}

function driversAt(hours: number, request: WeatherRequest): Drivers {
  const drivers: Drivers = {
    warmthC:
      6.2 * noiseAt(hours, request, { everyHours: 230, channel: 1 }) +
      1.6 * noiseAt(hours, request, { everyHours: 17, channel: 2 }),
    moisture: 0.5 * noiseAt(hours, request, { everyHours: 40, channel: 3 }),
    cloud: 0.52 + 0.34 * noiseAt(hours, request, { everyHours: 14, channel: 4 }),
    precipMm: 0,
    pressureHpa: 1014 + 5 * noiseAt(hours, request, { everyHours: 90, channel: 5 }),
    windEast: 1.4 + 1.9 * noiseAt(hours, request, { everyHours: 11, channel: 6 }),
    windNorth: 1.9 * noiseAt(hours, request, { everyHours: 11, channel: 7 }),
  };
  for (const front of frontsNear(hours, request)) addFront(drivers, front);
  return drivers;
}

/** Seasonal mean for the day, °C. */
function seasonalC(atMs: number, climate: Climate): number {
  const yearStart = Date.UTC(new Date(atMs).getUTCFullYear(), 0, 1);
  const dayOfYear = (atMs - yearStart) / MS_PER_DAY;
  return (
    climate.yearMeanC -
    climate.seasonalSwingC * Math.cos((2 * Math.PI * (dayOfYear - climate.coldestDayOfYear)) / 365)
  );
}

/** Lake surface, °C: cools from November, never under 1 °C (open water all winter). */
function lakeC(atMs: number, climate: Climate): number {
  const date = new Date(atMs);
  const year = date.getUTCMonth() >= 6 ? date.getUTCFullYear() : date.getUTCFullYear() - 1;
  const days = Math.max(0, (atMs - Date.UTC(year, 10, 1)) / MS_PER_DAY);
  return Math.max(1, climate.lakeStartC - climate.lakeCoolingPerDayC * days);
}

function kindOf(precipMm: number, wetBulbC: number): PrecipKind {
  if (precipMm < 0.02) return 'none';
  if (wetBulbC < 0.3) return 'snow';
  return wetBulbC < 1.3 ? 'sleet' : 'rain';
}

/** Warm by day under a clear sky, colder still in a clear calm night over snow. */
function dayNightC(
  atMs: number,
  request: WeatherRequest,
  air: { cloud: number; windMetresPerSecond: number },
): number {
  const { climate } = request;
  const sun = sunPosition(climate, atMs - 2 * MS_PER_HOUR);
  const light = irradiance(sun, { cloudFraction: air.cloud, atMs });
  const clear = 1 - 0.8 * air.cloud;
  const calm = Math.max(0, 1 - air.windMetresPerSecond / 7);
  const solarHour = (((atMs / MS_PER_HOUR + climate.longitudeDeg / 15) % 24) + 24) % 24;
  const night = 0.5 - 0.5 * Math.cos((2 * Math.PI * (solarHour - 15.5)) / 24);
  return (
    (light.globalWm2 / 420) * climate.clearDaySwingC * 1.3 -
    night * clear * (climate.clearDaySwingC * 0.8 + 3.5 * calm)
  );
}

/** Bands of snow off the open lake: mm an hour where cold air has crossed it. */
function lakeSnowMm(
  hours: number,
  request: WeatherRequest,
  air: { airTempC: number; windFromDeg: number; wind: number },
): number {
  const contrastK = lakeC(hours * MS_PER_HOUR, request.climate) - (air.airTempC - 8);
  if (
    contrastK < 13 ||
    air.airTempC > 1 ||
    air.wind < 2.5 ||
    !isWithinArc(air.windFromDeg, request.climate.lakeArc)
  )
    return 0;
  const band = noiseAt(hours, request, { everyHours: 5, channel: 8 });
  return Math.max(0, band + 0.1) * Math.min(1.4, (contrastK - 13) * 0.09);
}

function hourAt(atMs: number, request: WeatherRequest, snowBeforeCm: number): WeatherHour {
  const hours = atMs / MS_PER_HOUR;
  const drivers = driversAt(hours, request);
  const wind = Math.max(0.3, Math.hypot(drivers.windEast, drivers.windNorth));
  const windFromDeg = wrapDeg((Math.atan2(-drivers.windEast, -drivers.windNorth) * 180) / Math.PI);
  const airMassC = seasonalC(atMs, request.climate) + drivers.warmthC + 2.2;
  const lakeMm = lakeSnowMm(hours, request, { airTempC: airMassC, windFromDeg, wind });
  const precip = Math.max(0, drivers.precipMm - 0.12) + lakeMm;
  const cloud = clamp(Math.max(drivers.cloud, lakeMm > 0 ? 0.9 : 0, precip > 0.05 ? 0.85 : 0), 0, 1);
  const airTempC = airMassC + dayNightC(atMs, request, { cloud, windMetresPerSecond: wind });
  const spreadK =
    clamp(3.6 - 2.4 * drivers.moisture - 2.2 * (cloud - 0.5), 0.4, 9) * (precip > 0.05 ? 0.3 : 1);
  const dewPointC = Math.min(airMassC - 1 - spreadK, airTempC - 0.15);
  const precipKind = kindOf(precip, airTempC + (dewPointC - airTempC) / 3);
  const fallCm = precipKind === 'snow' ? precip * 1.15 : 0;
  const meltCm =
    Math.max(0, airTempC) * 0.035 + (precipKind === 'rain' ? precip * 0.12 : 0) + snowBeforeCm * 0.004;
  const gustFraction = 1.35 + 0.25 * (1 - cloud) + 0.1 * hashNormal(request.seed, Math.round(hours), 9) ** 2;
  return {
    atMs,
    airTempC,
    dewPointC,
    windMetresPerSecond: wind,
    gustMetresPerSecond: wind * gustFraction,
    windFromDeg,
    cloudFraction: cloud,
    precipMm: precipKind === 'none' ? 0 : precip,
    precipKind,
    snowDepthCm: Math.max(0, snowBeforeCm + fallCm - meltCm),
    pressureHpa: drivers.pressureHpa,
  };
}

/**
 * Hour by hour weather of a made-up station: fronts, day and night, lake snow, thaw and refreeze. Deterministic by
 * seed; a forecast member begins on the truth and spreads from it as the lead grows.
 *
 * @returns hourCount hours from fromMs; dew point below the air, cloud 0–1, gusts at or above the wind
 * Model: judgement throughout, held together physically (night cooling by cloud and wind, snow by wet bulb and lake
 * contrast); a stand-in for a weather service, not a climate.
 */
export function simulateWeather(request: WeatherRequest): WeatherHour[] {
  const hours: WeatherHour[] = [];
  let snowDepthCm = request.startSnowDepthCm ?? 0;
  for (let i = 0; i < request.hourCount; i += 1) {
    const hour = hourAt(request.fromMs + i * MS_PER_HOUR, request, snowDepthCm);
    snowDepthCm = hour.snowDepthCm;
    hours.push(hour);
  }
  return hours;
}
