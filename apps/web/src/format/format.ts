import { type DisplaySettings, HARDNESS_UNITS, MINOR_PER_UNIT } from '@keen/core';
import { LITRES_PER_GALLON, OUNCES_PER_GALLON } from './scales.js';

const KMH_PER_MS = 3.6;
const MPH_PER_MS = 2.23694;
const MILES_PER_KM = 0.621371;

export const HARDNESS_LABELS: Readonly<Record<DisplaySettings['hardness'], string>> = {
  mgPerLitreCaCO3: 'mg/L',
  gpg: 'gpg',
  dH: '°dH',
  fH: '°fH',
  clark: '°e',
  mmolPerLitre: 'mmol/L',
};

const ML_PER_FL_OZ = 29.5735;
/** Below this a tenth of a distance is worth telling. */
const SHORT_DISTANCE = 10;
const MM_PER_INCH = 25.4;
const OUNCES_PER_QUART = 32;

/** Everything that is shown passes here: units, money, time and language of one user. */
export interface Format {
  readonly temp: (tempC: number) => string;
  /** A difference of temperatures. */
  readonly kelvin: (differenceK: number) => string;
  readonly wind: (metresPerSecond: number) => string;
  readonly km: (km: number) => string;
  readonly hardness: (mgPerLitre: number) => string;
  readonly litres: (litres: number) => string;
  /** Small amounts: mL, or US fluid ounces, quarts and gallons. */
  readonly ml: (ml: number) => string;
  /** Rain, or snow as its water: mm, or inches. */
  readonly fall: (mm: number) => string;
  readonly money: (minor: number) => string;
  readonly minutes: (minutes: number) => string;
  readonly share: (fraction: number) => string;
  readonly time: (atMs: number) => string;
  readonly day: (atMs: number) => string;
  readonly dayShort: (atMs: number) => string;
  /** With its year, for what lies long ago. */
  readonly dayYear: (atMs: number) => string;
  readonly dayTime: (atMs: number) => string;
  /** Which local day an instant is on, for grouping. */
  readonly dayKey: (atMs: number) => string;
  readonly hourOfDay: (atMs: number) => number;
  readonly display: DisplaySettings;
  readonly timeZone: string;
}

const fixed = (value: number, digits: number): string => {
  const text = value.toFixed(digits);
  return (Number(text) === 0 ? text.replace('-', '') : text).replace('-', '−');
};

function windText(metresPerSecond: number, unit: DisplaySettings['wind']): string {
  if (unit === 'ms') return `${fixed(metresPerSecond, 1)} m/s`;
  return unit === 'kmh'
    ? `${fixed(metresPerSecond * KMH_PER_MS, 0)} km/h`
    : `${fixed(metresPerSecond * MPH_PER_MS, 0)} mph`;
}

const metricText = (ml: number): string =>
  Math.abs(ml) >= 1000 ? `${fixed(ml / 1000, 2)} L` : `${fixed(ml, Math.abs(ml) < 10 ? 1 : 0)} mL`;

/** As one measures: by the ounce up to a quart, by the quart up to a gallon. */
function ouncesText(ounces: number): string {
  const size = Math.abs(ounces);
  if (size >= OUNCES_PER_GALLON) return `${fixed(ounces / OUNCES_PER_GALLON, 2)} gal`;
  if (size >= OUNCES_PER_QUART) return `${fixed(ounces / OUNCES_PER_QUART, 2)} qt`;
  return `${fixed(ounces, size < 10 ? 2 : 1)} fl oz`;
}

function minutesText(minutes: number): string {
  const size = Math.abs(minutes);
  if (size === 0) return '0 min';
  if (size < 10) return `${fixed(minutes, 1)} min`;
  if (size < 180) return `${fixed(minutes, 0)} min`;
  return size < 2880 ? `${fixed(minutes / 60, 1)} h` : `${fixed(minutes / 1440, 1)} d`;
}

type Dates = Pick<
  Format,
  'time' | 'day' | 'dayShort' | 'dayYear' | 'dayTime' | 'dayKey' | 'hourOfDay' | 'timeZone'
>;

function datesIn(timeZone: string, locale?: string): Dates {
  const inZone = (options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat =>
    new Intl.DateTimeFormat(locale, { ...options, timeZone });
  const time = inZone({ hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
  const day = inZone({ weekday: 'long', day: 'numeric', month: 'long' });
  const dayShort = inZone({ weekday: 'short', day: 'numeric', month: 'short' });
  const dayYear = inZone({ day: 'numeric', month: 'short', year: 'numeric' });
  const key = new Intl.DateTimeFormat('en-CA', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  });
  const hour = new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', hourCycle: 'h23' });
  return {
    time: (atMs) => time.format(atMs),
    day: (atMs) => day.format(atMs),
    dayShort: (atMs) => dayShort.format(atMs),
    dayYear: (atMs) => dayYear.format(atMs),
    dayTime: (atMs) => `${dayShort.format(atMs)}, ${time.format(atMs)}`,
    dayKey: (atMs) => key.format(atMs),
    hourOfDay: (atMs) => Number(hour.format(atMs)),
    timeZone,
  };
}

/** Formatting for one user's settings. */
export function makeFormat(display: DisplaySettings, timeZone: string, locale?: string): Format {
  const money = new Intl.NumberFormat(locale, {
    style: 'currency',
    currency: display.currency,
    currencyDisplay: 'narrowSymbol',
  });
  const fahrenheit = display.temperature === 'F';
  return {
    temp: (tempC) => (fahrenheit ? `${fixed(tempC * 1.8 + 32, 0)} °F` : `${fixed(tempC, 1)} °C`),
    kelvin: (differenceK) =>
      fahrenheit ? `${fixed(differenceK * 1.8, 1)} °F` : `${fixed(differenceK, 1)} K`,
    wind: (metresPerSecond) => windText(metresPerSecond, display.wind),
    km: (km) => {
      const [distance, unit] = display.distance === 'km' ? [km, 'km'] : [km * MILES_PER_KM, 'mi'];
      return `${fixed(distance, distance < SHORT_DISTANCE ? 1 : 0)} ${unit}`;
    },
    hardness: (mgPerLitre) =>
      `${fixed(mgPerLitre / HARDNESS_UNITS[display.hardness], display.hardness === 'mgPerLitreCaCO3' ? 0 : 1)} ${HARDNESS_LABELS[display.hardness]}`,
    litres: (litres) =>
      display.volume === 'L'
        ? `${fixed(litres, litres < 10 ? 1 : 0)} L`
        : `${fixed(litres / LITRES_PER_GALLON, litres < 40 ? 1 : 0)} gal`,
    ml: (ml) => (display.volume === 'L' ? metricText(ml) : ouncesText(ml / ML_PER_FL_OZ)),
    fall: (mm) => (display.distance === 'km' ? `${fixed(mm, 1)} mm` : `${fixed(mm / MM_PER_INCH, 2)} in`),
    // A helper is sent no prices.
    money: (minor) => (Number.isFinite(minor) ? money.format(minor / MINOR_PER_UNIT).replace('-', '−') : '–'),
    minutes: minutesText,
    share: (fraction) => `${fixed(fraction * 100, 0)} %`,
    ...datesIn(timeZone, locale),
    display,
  };
}
