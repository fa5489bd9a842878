import type { PlaceRecord } from '@keen/core';

export const INDOOR_AIRS = ['model', 'usual', 'read', 'kept'] as const;
/** What is known of the air indoors: nothing, what it usually is, what a thermometer showed, what a heater holds. */
export type IndoorAir = (typeof INDOOR_AIRS)[number];

/** What is typed of the air indoors. */
export interface AirDraft {
  readonly indoorAir: IndoorAir;
  readonly setpointC: number | null;
  readonly usualC: number | null;
  readonly readC: number | null;
  /** When it was read. */
  readonly readAtMs: number | null;
}

/** Nothing is known of it. */
export const NO_AIR: AirDraft = {
  indoorAir: 'model',
  setpointC: 15,
  usualC: null,
  readC: null,
  readAtMs: null,
};

const indoorAirOf = (climate: PlaceRecord['climate']): IndoorAir => {
  if (climate.kind === 'heated') return 'kept';
  if (climate.kind !== 'unheated') return 'model';
  if (typeof climate.readC === 'number') return 'read';
  return typeof climate.usualC === 'number' ? 'usual' : 'model';
};

/** The air of a place as it is kept. */
export const airDraft = (climate: PlaceRecord['climate']): AirDraft => {
  const { usualC, readC, readAtMs } = climate.kind === 'unheated' ? climate : {};
  return {
    indoorAir: indoorAirOf(climate),
    setpointC: climate.kind === 'heated' ? climate.setpointC : NO_AIR.setpointC,
    usualC: usualC ?? null,
    readC: readC ?? null,
    readAtMs: readAtMs ?? null,
  };
};
