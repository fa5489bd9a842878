import { type DisplaySettings, MINOR_PER_UNIT } from '@keen/core';
import { LITRES_PER_GALLON, type Scale } from './scales.js';

/** A unit as a user prefers it: what stands beside the field, and the way there and back. */
export interface ShownUnit {
  readonly label: string;
  readonly toShown: (value: number) => number;
  readonly fromShown: (value: number) => number;
}

const ML_PER_FL_OZ = 29.5735;
const MILES_PER_KM = 0.621371;
const KMH = { ms: 1 / 3.6, kmh: 1, mph: 0.621371 } as const;
const WIND_LABELS = { ms: 'm/s', kmh: 'km/h', mph: 'mph' } as const;

const scaled = (label: string, factor: number): ShownUnit => ({
  label,
  toShown: (value) => value * factor,
  fromShown: (value) => value / factor,
});
const tail = (unit: string, from: string): string => unit.slice(from.length);

/**
 * A unit of a sum or a setting in the user's own: temperatures, winds, ways, volumes, shares and money; every other stays as it is.
 *
 * @param unit as its schema has it, such as "°C" or "mL of finished mix"
 */
export function shownUnit(unit: string, display: DisplaySettings): ShownUnit {
  if (/^°C\b/.test(unit) && display.temperature === 'F') {
    return {
      label: `°F${tail(unit, '°C')}`,
      toShown: (tempC) => tempC * 1.8 + 32,
      fromShown: (tempF) => (tempF - 32) / 1.8,
    };
  }
  if (unit.startsWith('km/h'))
    return scaled(`${WIND_LABELS[display.wind]}${tail(unit, 'km/h')}`, KMH[display.wind]);
  if (/^km(?!\/)/.test(unit) && display.distance === 'mi')
    return scaled(`mi${tail(unit, 'km')}`, MILES_PER_KM);
  if (unit.startsWith('m/s'))
    return scaled(`${WIND_LABELS[display.wind]}${tail(unit, 'm/s')}`, 3.6 * KMH[display.wind]);
  if (/^mL(?!\/| per)/.test(unit) && display.volume === 'gal')
    return scaled(`fl oz${tail(unit, 'mL')}`, 1 / ML_PER_FL_OZ);
  if (/^L(?!\/)/.test(unit) && display.volume === 'gal')
    return scaled(`gal${tail(unit, 'L')}`, 1 / LITRES_PER_GALLON);
  if (unit === 'K' && display.temperature === 'F') return scaled('°F', 1.8);
  if (unit === 'share') return scaled('%', 100);
  if (unit.startsWith('minor units')) {
    const money = scaled(`${display.currency}${tail(unit, 'minor units')}`, 1 / MINOR_PER_UNIT);
    return { ...money, fromShown: (shown) => Math.round(money.fromShown(shown)) };
  }
  return scaled(unit, 1);
}

/** A field's unit and scale, as this user reads and types it. */
export const unitOf = (unit: string, display: DisplaySettings): { unit: string; scale: Scale } => {
  const { label, toShown, fromShown } = shownUnit(unit, display);
  return { unit: label, scale: { toShown, fromShown } };
};

/** A number as it is typed: short, and the same when it is read back. */
export const typed = (value: number): string => String(Number(value.toPrecision(6)));
