import { dryPanelC, heatCapacityOf, PanelClimate, type PanelMaterial } from '../film/index.js';
import { FieldError, type RangeLimits, requireInRange } from '../quantity/index.js';
import type { ClimateFrom, PanelDeed, PanelSpan } from './panel-deed.js';
import { PanelWash } from './panel-wash.js';

/** Light and air at the panel from a minute on. */
export interface WashClimate {
  readonly fromMinute: number;
  /** On the panel. */
  readonly solarWm2: number;
  readonly airTempC: number;
  readonly relHumidityFraction: number;
  /** At the panel. */
  readonly airSpeedMetresPerSecond: number;
  readonly skyTempC: number;
}

/** What is done to the panel at a minute. */
export type WashEvent = {
  readonly atMinute: number;
  /** Something rubs the panel then; a wipe always does. */
  readonly rubs?: boolean;
} & (
  | {
      readonly kind: 'wet';
      /** What stays. */
      readonly filmGramsPerM2: number;
      /** All that runs over it, the film among it; the film alone if absent. */
      readonly passesGramsPerM2?: number;
      readonly waterTempC: number;
    }
  /** Share of the liquid water that stays. */
  | { readonly kind: 'blow'; readonly leavesFraction: number }
  /** Most liquid water that stays. */
  | { readonly kind: 'wipe'; readonly leavesGramsPerM2: number }
);

export interface WashSumInput {
  readonly material: PanelMaterial;
  readonly tiltDeg: number;
  readonly absorptanceFraction: number;
  /** In order; the first holds from the start. */
  readonly climate: readonly WashClimate[];
  /** The panel before the first event; the steady dry panel under the first climate if absent. */
  readonly startPanelC?: number;
  readonly events: readonly WashEvent[];
  /** How long the last span is followed. */
  readonly afterMinutes?: number;
}

export interface WashSumAnswer {
  readonly startPanelC: number;
  /** One for each event, in order. */
  readonly spans: readonly PanelSpan[];
}

const FUNCTION = 'wash';
/** How long the last span is followed where nobody says. */
export const AFTER_MINUTES = 60;
const MOST_MINUTES = 1440;
const MOST_GRAMS_PER_M2 = 50_000;
const MOST_FILM_GRAMS_PER_M2 = 5000;

/** Values of one entry of a list under their path, so that an error names the field. */
const under = (path: string, fields: Readonly<Record<string, number>>): Record<string, number> =>
  Object.fromEntries(Object.entries(fields).map(([name, value]) => [`${path}.${name}`, value]));

function requireClimate(climate: readonly WashClimate[]): void {
  if (climate.length === 0)
    throw new FieldError('out-of-range', 'climate', 'wash: climate is empty; at least one entry is needed');
  climate.forEach((entry, i) => {
    const { fromMinute, solarWm2, airTempC, skyTempC, relHumidityFraction, airSpeedMetresPerSecond } = entry;
    const check = (fields: Record<string, number>, range: RangeLimits): void =>
      requireInRange(FUNCTION, under(`climate.${i}`, fields), range);
    check({ fromMinute }, { min: climate[i - 1]?.fromMinute ?? 0, max: MOST_MINUTES, unit: 'min, in order' });
    check({ solarWm2 }, { min: 0, max: 1500, unit: 'W/m²' });
    check({ airTempC }, { min: -60, max: 80, unit: '°C' });
    check({ relHumidityFraction }, { min: 0, max: 1, unit: '(fraction)' });
    check({ airSpeedMetresPerSecond }, { min: 0, max: 60, unit: 'm/s' });
    check({ skyTempC }, { min: -120, max: 80, unit: '°C' });
  });
}

/** An event as the panel takes it, without a look at its ranges. */
export function deedOf(event: WashEvent): PanelDeed {
  switch (event.kind) {
    case 'wet': {
      const { filmGramsPerM2, passesGramsPerM2 = filmGramsPerM2, waterTempC } = event;
      return { kind: 'wet', filmKg: filmGramsPerM2 / 1000, passesKg: passesGramsPerM2 / 1000, waterTempC };
    }
    case 'blow':
      return event;
    case 'wipe':
      return { kind: 'wipe', leavesKg: event.leavesGramsPerM2 / 1000 };
  }
}

function requireEvent(event: WashEvent, i: number, fromMinute: number): void {
  const check = (fields: Record<string, number>, range: RangeLimits): void =>
    requireInRange(FUNCTION, under(`events.${i}`, fields), range);
  check({ atMinute: event.atMinute }, { min: fromMinute, max: MOST_MINUTES, unit: 'min, in order' });
  switch (event.kind) {
    case 'wet': {
      const { filmGramsPerM2, passesGramsPerM2 = filmGramsPerM2, waterTempC } = event;
      check({ filmGramsPerM2 }, { min: 0, max: MOST_FILM_GRAMS_PER_M2, unit: 'g/m²' });
      check(
        { passesGramsPerM2 },
        { min: filmGramsPerM2, max: MOST_GRAMS_PER_M2, unit: 'g/m², the film among it' },
      );
      check({ waterTempC }, { min: 0, max: 100, unit: '°C' });
      return;
    }
    case 'blow':
      check({ leavesFraction: event.leavesFraction }, { min: 0, max: 1, unit: '(fraction)' });
      return;
    case 'wipe':
      check(
        { leavesGramsPerM2: event.leavesGramsPerM2 },
        { min: 0, max: MOST_FILM_GRAMS_PER_M2, unit: 'g/m²' },
      );
  }
}

/** The climates of a panel as the balance takes them. */
export function panelClimates(
  panel: Pick<WashSumInput, 'tiltDeg' | 'absorptanceFraction' | 'climate'>,
): readonly [ClimateFrom, ...ClimateFrom[]] {
  const { tiltDeg, absorptanceFraction } = panel;
  const [first, ...others] = panel.climate.map(({ fromMinute, ...around }): ClimateFrom => ({
    fromMinute,
    climate: new PanelClimate({ tiltDeg, absorptanceFraction, ...around }),
  }));
  if (!first)
    throw new FieldError('out-of-range', 'climate', 'wash: climate is empty; at least one entry is needed');
  return [first, ...others];
}

/**
 * Goes through the events; trusts its input.
 *
 * @param options `stepScale` 0.1 makes every step ten times finer
 */
export function panelSpans(
  input: WashSumInput,
  { stepScale = 1 }: { readonly stepScale?: number } = {},
): WashSumAnswer {
  const climates = panelClimates(input);
  const startPanelC = input.startPanelC ?? dryPanelC(climates[0].climate);
  const panel = new PanelWash(input.material, climates, { startC: startPanelC, stepScale });
  const spans = input.events.map((event, i): PanelSpan => {
    const { atMinute } = event;
    panel.advance(atMinute);
    panel.do(deedOf(event));
    const { tempC } = panel;
    panel.advance(input.events[i + 1]?.atMinute ?? atMinute + (input.afterMinutes ?? AFTER_MINUTES));
    return panel.span(atMinute, tempC);
  });
  return { startPanelC, spans };
}

/**
 * What becomes of one panel through a whole wash?
 *
 * @param input the panel, the climate from minute to minute, and what is done to it when: wetted, blown, wiped
 * @returns °C of the dry panel at first, and for each event the span up to the next: first ice, dryness, coldest, and what is there in
 * the end; minutes from the same zero as the events
 * @throws FieldError naming the field that is out of range
 * Model: `film`, span after span; see `PanelWash`
 */
export function washSum(input: WashSumInput): WashSumAnswer {
  const { tiltDeg, absorptanceFraction, startPanelC, events, afterMinutes = AFTER_MINUTES } = input;
  heatCapacityOf(input.material);
  requireInRange(FUNCTION, { tiltDeg }, { min: 0, max: 180, unit: 'deg' });
  requireInRange(FUNCTION, { absorptanceFraction }, { min: 0, max: 1, unit: '(fraction)' });
  requireInRange(FUNCTION, { afterMinutes }, { min: 0, max: MOST_MINUTES, unit: 'min' });
  if (startPanelC !== undefined)
    requireInRange(FUNCTION, { startPanelC }, { min: -60, max: 120, unit: '°C' });
  requireClimate(input.climate);
  events.forEach((event, i) => requireEvent(event, i, events[i - 1]?.atMinute ?? 0));
  return panelSpans(input);
}
