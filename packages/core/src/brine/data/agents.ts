/**
 * Road salts: freezing curves by mass percent of the anhydrous salt, and the humidity above which the dry salt takes
 * up water. Freezing points ±0.6 K. NaCl and MgCl2 eutectics and curves: standard de-icer tables; humidities NaCl and
 * MgCl2: Greenspan 1977, J. Res. NBS 81A table 2. CaCl2: published values differ by several kelvin above 22 % and by
 * a few hundredths of humidity; middle values are used and marked derived.
 */
export const BRINE_AGENTS = [
  {
    agent: 'NaCl',
    label: 'rock salt',
    eutecticC: -21.1,
    eutecticMassPercent: 23.3,
    freezing: [
      { massPercent: 0, freezingPointC: 0 },
      { massPercent: 5, freezingPointC: -3.0 },
      { massPercent: 10, freezingPointC: -6.6 },
      { massPercent: 15, freezingPointC: -10.9 },
      { massPercent: 20, freezingPointC: -16.5 },
      { massPercent: 23.3, freezingPointC: -21.1 },
    ],
    deliquescence: [
      { tempC: 0, relHumidityFraction: 0.7551 },
      { tempC: 10, relHumidityFraction: 0.7567 },
      { tempC: 20, relHumidityFraction: 0.7547 },
      { tempC: 30, relHumidityFraction: 0.7509 },
      { tempC: 40, relHumidityFraction: 0.7468 },
    ],
    status: 'published',
  },
  {
    agent: 'MgCl2',
    label: 'magnesium chloride',
    eutecticC: -33.6,
    eutecticMassPercent: 21.6,
    freezing: [
      { massPercent: 0, freezingPointC: 0 },
      { massPercent: 5, freezingPointC: -3.1 },
      { massPercent: 10, freezingPointC: -7.9 },
      { massPercent: 15, freezingPointC: -15.5 },
      { massPercent: 20, freezingPointC: -27 },
      { massPercent: 21.6, freezingPointC: -33.6 },
    ],
    deliquescence: [
      { tempC: 0, relHumidityFraction: 0.3366 },
      { tempC: 10, relHumidityFraction: 0.3347 },
      { tempC: 20, relHumidityFraction: 0.3307 },
      { tempC: 30, relHumidityFraction: 0.3244 },
      { tempC: 40, relHumidityFraction: 0.316 },
    ],
    status: 'published',
  },
  {
    agent: 'CaCl2',
    label: 'calcium chloride',
    eutecticC: -51,
    eutecticMassPercent: 30.2,
    freezing: [
      { massPercent: 0, freezingPointC: 0 },
      { massPercent: 5, freezingPointC: -2.4 },
      { massPercent: 10, freezingPointC: -5.9 },
      { massPercent: 15, freezingPointC: -11 },
      { massPercent: 20, freezingPointC: -18 },
      { massPercent: 25, freezingPointC: -29 },
      { massPercent: 30.2, freezingPointC: -51 },
    ],
    deliquescence: [
      { tempC: 0, relHumidityFraction: 0.41 },
      { tempC: 20, relHumidityFraction: 0.33 },
      { tempC: 40, relHumidityFraction: 0.22 },
    ],
    status: 'derived',
  },
] as const satisfies readonly BrineRow[];

export type SaltAgent = 'NaCl' | 'MgCl2' | 'CaCl2';

export interface BrineRow {
  readonly agent: SaltAgent;
  readonly label: string;
  readonly eutecticC: number;
  readonly eutecticMassPercent: number;
  readonly freezing: readonly { readonly massPercent: number; readonly freezingPointC: number }[];
  readonly deliquescence: readonly { readonly tempC: number; readonly relHumidityFraction: number }[];
  readonly status: 'published' | 'derived' | 'judgement';
}

export const BRINE_AGENT_IDS: readonly SaltAgent[] = BRINE_AGENTS.map(({ agent }) => agent);
