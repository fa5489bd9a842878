import type { DisplaySettings, DrivingSide } from '@keen/core';

/** How people of a region measure, pay and drive. */
export interface Region {
  readonly id: string;
  readonly name: string;
  /** Country codes of a browser's language that mean it. */
  readonly codes: readonly string[];
  readonly display: DisplaySettings;
  readonly drivesOn: DrivingSide;
}

const METRIC = {
  temperature: 'C',
  wind: 'kmh',
  distance: 'km',
  hardness: 'mgPerLitreCaCO3',
  volume: 'L',
} as const;
const region = (
  id: string,
  name: string,
  codes: readonly string[],
  change: Partial<DisplaySettings>,
): Region => ({
  id,
  name,
  codes,
  display: { ...METRIC, currency: 'EUR', ...change },
  drivesOn: 'right',
});

const NORTH_SEA = { wind: 'ms', hardness: 'dH' } as const;

export const REGIONS: readonly Region[] = [
  region('canada', 'Canada', ['CA'], { currency: 'CAD' }),
  region('united-states', 'United States', ['US'], {
    temperature: 'F',
    wind: 'mph',
    distance: 'mi',
    hardness: 'gpg',
    volume: 'gal',
    currency: 'USD',
  }),
  {
    ...region('united-kingdom', 'United Kingdom', ['GB'], {
      wind: 'mph',
      distance: 'mi',
      hardness: 'clark',
      currency: 'GBP',
    }),
    drivesOn: 'left',
  },
  { ...region('ireland', 'Ireland', ['IE'], {}), drivesOn: 'left' },
  region('german-hardness', 'Central Europe (euro, °dH)', ['DE', 'AT', 'NL', 'LU'], { hardness: 'dH' }),
  region('french-hardness', 'France, Belgium, Italy (euro, °fH)', ['FR', 'BE', 'IT'], { hardness: 'fH' }),
  region('baltic', 'Finland and the Baltic states (euro)', ['FI', 'EE', 'LV', 'LT'], NORTH_SEA),
  region('sweden', 'Sweden', ['SE'], { ...NORTH_SEA, currency: 'SEK' }),
  region('norway', 'Norway', ['NO'], { ...NORTH_SEA, currency: 'NOK' }),
  region('denmark', 'Denmark', ['DK'], { ...NORTH_SEA, currency: 'DKK' }),
  region('switzerland', 'Switzerland', ['CH'], { hardness: 'fH', currency: 'CHF' }),
  region('poland', 'Poland', ['PL'], { hardness: 'dH', currency: 'PLN' }),
  region('czechia', 'Czechia', ['CZ'], { hardness: 'dH', currency: 'CZK' }),
  { ...region('japan', 'Japan', ['JP'], { wind: 'ms', currency: 'JPY' }), drivesOn: 'left' },
  region('elsewhere', 'Elsewhere, metric', [], {}),
];

/** The region that a browser's languages name, the first that is known; else the last of the list. */
export function regionOf(languages: readonly string[]): Region {
  const codes = languages.flatMap((language) => /-([A-Z]{2})\b/.exec(language)?.[1] ?? []);
  const named = codes.map((code) => REGIONS.find((one) => one.codes.includes(code))).find(Boolean);
  return named ?? (REGIONS.at(-1) as Region);
}
