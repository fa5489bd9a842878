import { requireInRange } from '../quantity/index.js';

export type FrostbiteClass = 'none' | '10-30-min' | '5-10-min' | '2-5-min' | 'under-2-min';

export type WindChill =
  | { readonly windChillC: number; readonly frostbiteClass: FrostbiteClass }
  | { readonly windChillC: null; readonly frostbiteClass: 'none'; readonly reason: string };

const WARMEST_VALID_C = 10;
const STEADY_WIND_KMH = 5;

const FROSTBITE = [
  { atOrBelowC: -55, frostbiteClass: 'under-2-min' },
  { atOrBelowC: -48, frostbiteClass: '2-5-min' },
  { atOrBelowC: -40, frostbiteClass: '5-10-min' },
  { atOrBelowC: -28, frostbiteClass: '10-30-min' },
] as const satisfies readonly { atOrBelowC: number; frostbiteClass: FrostbiteClass }[];

/**
 * How cold does this wind feel on a dry face, and how soon does skin freeze? Wet hands are worse; by how much is
 * not known, so no figure is given for them.
 *
 * @param input airTempC −60…60, windKmh 0…200 at 10 m
 * @returns °C, unrounded; null with a reason above 10 °C, where the index is not defined
 * Source: Environment Canada / US NWS 2001; below 5 km/h Environment Canada's low-wind form.
 * @throws FieldError naming the field out of range
 * @example windChill({ airTempC: -10, windKmh: 20 }).windChillC // -17.9
 */
export function windChill({ airTempC, windKmh }: { airTempC: number; windKmh: number }): WindChill {
  requireInRange('windChill', { airTempC }, { min: -60, max: 60, unit: '°C' });
  requireInRange('windChill', { windKmh }, { min: 0, max: 200, unit: 'km/h' });
  if (airTempC > WARMEST_VALID_C) {
    return {
      windChillC: null,
      frostbiteClass: 'none',
      reason: `wind chill is defined up to ${WARMEST_VALID_C} °C; the air is ${airTempC} °C`,
    };
  }
  const power = windKmh ** 0.16;
  const windChillC =
    windKmh >= STEADY_WIND_KMH
      ? 13.12 + 0.6215 * airTempC - 11.37 * power + 0.3965 * airTempC * power
      : airTempC + ((-1.59 + 0.1345 * airTempC) / 5) * windKmh;
  const band = FROSTBITE.find((row) => windChillC <= row.atOrBelowC);
  return { windChillC, frostbiteClass: band?.frostbiteClass ?? 'none' };
}
