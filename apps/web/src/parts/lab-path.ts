import type { FilmInput, PanelId } from '@keen/core';

/** Where a film in the lab comes from. */
export interface LabOrigin {
  readonly panel: PanelId;
  readonly place: string;
  readonly startMs: number;
}

const PLAIN_FIELDS = [
  'tiltDeg',
  'absorptanceFraction',
  'solarWm2',
  'airTempC',
  'relHumidityFraction',
  'airSpeedMetresPerSecond',
  'skyTempC',
  'filmGramsPerM2',
  'startTempC',
  'horizonMinutes',
] as const satisfies readonly (keyof FilmInput)[];

/** The lab's address for a film: everything stands in it, so that it can be kept and shared. */
export function labPath(input: FilmInput, origin?: LabOrigin): string {
  const query = new URLSearchParams({ material: input.material });
  for (const field of PLAIN_FIELDS) {
    const value = input[field];
    if (value !== undefined) query.set(field, String(Number(value.toPrecision(6))));
  }
  if (input.brine) {
    query.set('agent', input.brine.agent);
    query.set('massPercent', String(input.brine.massPercent));
  }
  if (origin) {
    query.set('panel', origin.panel);
    query.set('place', origin.place);
    query.set('startMs', String(origin.startMs));
  }
  return `/lab?${query.toString()}`;
}

const MATERIALS = ['steel', 'aluminium', 'glass', 'plastic'] as const;
const AGENTS = ['NaCl', 'MgCl2', 'CaCl2'] as const;

/** The film of such an address, what is missing or wrong taken from a plain one. */
export function filmOf(query: URLSearchParams, plain: FilmInput): FilmInput {
  const numberOf = (field: (typeof PLAIN_FIELDS)[number]): number | undefined => {
    const text = query.get(field);
    const value = text === null || text === '' ? NaN : Number(text);
    return Number.isFinite(value) ? value : plain[field];
  };
  const numbers = Object.fromEntries(PLAIN_FIELDS.map((field) => [field, numberOf(field)]));
  const agent = AGENTS.find((name) => name === query.get('agent'));
  const massPercent = Number(query.get('massPercent') ?? NaN);
  return {
    ...plain,
    ...numbers,
    material: MATERIALS.find((name) => name === query.get('material')) ?? plain.material,
    brine: agent && Number.isFinite(massPercent) ? { agent, massPercent } : undefined,
  };
}
