import { type DisplaySettings, HARDNESS_UNITS } from '@keen/core';

/** How a number that is kept in one unit is shown and typed in another. */
export interface Scale {
  readonly toShown: (value: number) => number;
  readonly fromShown: (shown: number) => number;
}

/** Temperatures as this user reads and types them. */
export const tempScale = ({ temperature }: Pick<DisplaySettings, 'temperature'>): Scale =>
  temperature === 'F'
    ? { toShown: (tempC) => tempC * 1.8 + 32, fromShown: (shown) => (shown - 32) / 1.8 }
    : { toShown: (tempC) => tempC, fromShown: (shown) => shown };

/** Hardness in this user's scale; kept in mg/L of CaCO₃. */
export const hardnessScale = ({ hardness }: Pick<DisplaySettings, 'hardness'>): Scale => ({
  toShown: (mgPerLitre) => mgPerLitre / HARDNESS_UNITS[hardness],
  fromShown: (shown) => shown * HARDNESS_UNITS[hardness],
});

/** US. */
export const LITRES_PER_GALLON = 3.785_411_784;
export const OUNCES_PER_GALLON = 128;

/** Water in this user's measure; kept in litres. */
export const litreScale = ({ volume }: Pick<DisplaySettings, 'volume'>): Scale =>
  volume === 'gal'
    ? { toShown: (litres) => litres / LITRES_PER_GALLON, fromShown: (shown) => shown * LITRES_PER_GALLON }
    : { toShown: (litres) => litres, fromShown: (shown) => shown };

/** Bottles, caps and mixes in this user's measure; kept in millilitres. */
export const millilitreScale = ({ volume }: Pick<DisplaySettings, 'volume'>): Scale => {
  const perOunce = (LITRES_PER_GALLON * 1000) / OUNCES_PER_GALLON;
  return volume === 'gal'
    ? { toShown: (ml) => ml / perOunce, fromShown: (shown) => shown * perOunce }
    : { toShown: (ml) => ml, fromShown: (shown) => shown };
};

/** What the numbers of `millilitreScale` are of. */
export const millilitreUnit = ({ volume }: Pick<DisplaySettings, 'volume'>): string =>
  volume === 'gal' ? 'fl oz' : 'mL';
