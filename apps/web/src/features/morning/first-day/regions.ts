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
const region = (what: Pick<Region, 'id' | 'name' | 'codes'>, change: Partial<DisplaySettings>): Region => ({
  ...what,
  display: { ...METRIC, currency: 'EUR', ...change },
  drivesOn: 'right',
});

const NORTH_SEA = { wind: 'ms', hardness: 'dH' } as const;

export const REGIONS: readonly Region[] = [
  region({ id: 'canada', name: 'Canada', codes: ['CA'] }, { currency: 'CAD' }),
  region(
    { id: 'united-states', name: 'United States', codes: ['US'] },
    {
      temperature: 'F',
      wind: 'mph',
      distance: 'mi',
      hardness: 'gpg',
      volume: 'gal',
      currency: 'USD',
    },
  ),
  {
    ...region(
      { id: 'united-kingdom', name: 'United Kingdom', codes: ['GB'] },
      {
        wind: 'mph',
        distance: 'mi',
        hardness: 'clark',
        currency: 'GBP',
      },
    ),
    drivesOn: 'left',
  },
  { ...region({ id: 'ireland', name: 'Ireland', codes: ['IE'] }, {}), drivesOn: 'left' },
  region(
    { id: 'german-hardness', name: 'Central Europe (euro, °dH)', codes: ['DE', 'AT', 'NL', 'LU'] },
    { hardness: 'dH' },
  ),
  region(
    { id: 'french-hardness', name: 'France, Belgium, Italy (euro, °fH)', codes: ['FR', 'BE', 'IT'] },
    { hardness: 'fH' },
  ),
  region(
    { id: 'baltic', name: 'Finland and the Baltic states (euro)', codes: ['FI', 'EE', 'LV', 'LT'] },
    NORTH_SEA,
  ),
  region({ id: 'sweden', name: 'Sweden', codes: ['SE'] }, { ...NORTH_SEA, currency: 'SEK' }),
  region({ id: 'norway', name: 'Norway', codes: ['NO'] }, { ...NORTH_SEA, currency: 'NOK' }),
  region({ id: 'denmark', name: 'Denmark', codes: ['DK'] }, { ...NORTH_SEA, currency: 'DKK' }),
  region({ id: 'switzerland', name: 'Switzerland', codes: ['CH'] }, { hardness: 'fH', currency: 'CHF' }),
  region({ id: 'poland', name: 'Poland', codes: ['PL'] }, { hardness: 'dH', currency: 'PLN' }),
  region({ id: 'czechia', name: 'Czechia', codes: ['CZ'] }, { hardness: 'dH', currency: 'CZK' }),
  {
    ...region({ id: 'japan', name: 'Japan', codes: ['JP'] }, { wind: 'ms', currency: 'JPY' }),
    drivesOn: 'left',
  },
  region({ id: 'elsewhere', name: 'Elsewhere, metric', codes: [] }, {}),
];

/** The region that a browser's languages name, the first that is known; else the last of the list. */
export function regionOf(languages: readonly string[]): Region {
  const codes = languages.flatMap((language) => /-([A-Z]{2})\b/.exec(language)?.[1] ?? []);
  const named = codes.map((code) => REGIONS.find((one) => one.codes.includes(code))).find(Boolean);
  return named ?? (REGIONS.at(-1) as Region);
}
