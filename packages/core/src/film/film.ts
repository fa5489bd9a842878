import { brineOf, type SaltAgent } from '../brine/index.js';
import { FieldError, requireInRange } from '../quantity/index.js';
import { heatCapacityOf, type PanelMaterial } from './data/panel-materials.js';
import { FilmRun } from './film-run.js';
import { PanelClimate, type PanelSurroundings } from './panel-climate.js';
import { type SteadyTemps, steadyTemps } from './steady-panel.js';
import { brineStore, pureWaterStore, type WaterStore } from './water-store.js';

export interface FilmInput extends PanelSurroundings {
  readonly material: PanelMaterial;
  readonly filmGramsPerM2: number;
  /** Panel and water at the start. */
  readonly startTempC: number;
  readonly brine?: { readonly agent: SaltAgent; readonly massPercent: number };
  readonly horizonMinutes?: number;
}

export interface FilmOptions {
  /** 0.1 makes every step ten times finer. */
  readonly stepScale?: number;
  /** `wet-edge` stops at the first ice; `life` (default) goes on until the film is gone or the horizon is reached. */
  readonly until?: 'wet-edge' | 'life';
  /** Called after every step; for drawing. */
  readonly onStep?: (run: FilmRun) => void;
}

export interface FilmLife {
  /** Until all water is gone, ice included; null: not within the horizon. */
  readonly dryMinutes: number | null;
  /** null: never within the film's life or the horizon. */
  readonly firstIceMinutes: number | null;
  /** Over the film's life, start included. */
  readonly lowestTempC: number;
  /** Over the film's life, start included. */
  readonly highestTempC: number;
  /** The smaller of the two; null where neither comes within the horizon. */
  readonly wetEdgeMinutes: number | null;
}

const MOST_FILM_GRAMS_PER_M2 = 5000;

/** Guards a film from outside. @throws FieldError naming the field */
export function requireFilmInput(input: FilmInput): void {
  const { tiltDeg, absorptanceFraction, solarWm2, airTempC, relHumidityFraction, airSpeedMetresPerSecond } =
    input;
  const { skyTempC, filmGramsPerM2, startTempC, backWm2K = 0, horizonMinutes = 720 } = input;
  requireInRange('film', { tiltDeg }, { min: 0, max: 180, unit: 'deg' });
  requireInRange('film', { absorptanceFraction }, { min: 0, max: 1, unit: '(fraction)' });
  requireInRange('film', { solarWm2 }, { min: 0, max: 1500, unit: 'W/m²' });
  requireInRange('film', { airTempC, startTempC }, { min: -60, max: 80, unit: '°C' });
  requireInRange('film', { relHumidityFraction }, { min: 0, max: 1, unit: '(fraction)' });
  requireInRange('film', { airSpeedMetresPerSecond }, { min: 0, max: 60, unit: 'm/s' });
  requireInRange('film', { skyTempC }, { min: -120, max: 80, unit: '°C' });
  requireInRange('film', { filmGramsPerM2 }, { min: 0, max: MOST_FILM_GRAMS_PER_M2, unit: 'g/m²' });
  requireInRange('film', { backWm2K }, { min: 0, max: 1000, unit: 'W/(m² K)' });
  requireInRange('film', { horizonMinutes }, { min: 1, max: 10_080, unit: 'min' });
  if (input.brine) {
    requireInRange('film', { 'brine.massPercent': input.brine.massPercent }, { min: 0, max: 99, unit: '%' });
    brineOf(input.brine.agent);
  }
  if (filmGramsPerM2 <= 0) {
    throw new FieldError(
      'out-of-range',
      'filmGramsPerM2',
      'film: filmGramsPerM2 is 0; allowed is above 0 g/m²',
    );
  }
}

function storeFor({ material, brine, filmGramsPerM2 }: FilmInput): WaterStore {
  const panelJPerM2K = heatCapacityOf(material);
  if (!brine || brine.massPercent === 0) return pureWaterStore(panelJPerM2K);
  const soluteKgPerM2 = (filmGramsPerM2 / 1000) * (brine.massPercent / 100);
  return brineStore(panelJPerM2K, brineOf(brine.agent), soluteKgPerM2);
}

/** The film at its start, ready to be stepped; filmGramsPerM2 counts brine, so its solids are taken off the water. */
export function startFilm(input: FilmInput, stepScale = 1): FilmRun {
  const waterFraction = 1 - (input.brine?.massPercent ?? 0) / 100;
  const store = storeFor(input);
  const waterKg = (input.filmGramsPerM2 / 1000) * waterFraction;
  const enthalpyJ = store.enthalpy(waterKg, input.startTempC);
  return new FilmRun(store, new PanelClimate(input), { waterKg, enthalpyJ, stepScale });
}

const toMinutes = (seconds: number | null): number | null => (seconds === null ? null : seconds / 60);

const smallerOf = (a: number | null, b: number | null): number | null => {
  if (a === null) return b;
  return b === null ? a : Math.min(a, b);
};

/**
 * Will this film of water dry or freeze, and how long have I got?
 *
 * @param input one panel, what surrounds it and the film on it; see the field names for units
 * @param options step scale, how far to go, a callback for drawing
 * @returns minutes to dry, minutes to first ice, lowest temperature, wet edge
 * Model: one lumped layer of panel and film in enthalpy form: sun, long wave, convection (Watmuff 1977), evaporation
 * and condensation (Chilton–Colburn), freezing at the brine's present freezing point, no supercooling.
 *
 * Trusts its input: thousands of panels a second pass here. What comes from outside goes through `film`, which checks.
 */
export function filmLife(input: FilmInput, options: FilmOptions = {}): FilmLife {
  const run = startFilm(input, options.stepScale);
  const horizonSeconds = (input.horizonMinutes ?? 720) * 60;
  const toWetEdge = options.until === 'wet-edge';
  while (run.drySeconds === null && run.seconds < horizonSeconds - 1e-9) {
    if (toWetEdge && run.firstIceSeconds !== null) break;
    run.step(horizonSeconds - run.seconds);
    options.onStep?.(run);
  }
  return {
    dryMinutes: toMinutes(run.drySeconds),
    firstIceMinutes: toMinutes(run.firstIceSeconds),
    lowestTempC: run.lowestTempC,
    highestTempC: run.highestTempC,
    wetEdgeMinutes: smallerOf(toMinutes(run.drySeconds), toMinutes(run.firstIceSeconds)),
  };
}

export interface FilmReport extends Omit<FilmLife, 'highestTempC'>, SteadyTemps {}

/**
 * The whole answer of the film sum: its life, and the steady temperatures of the panel dry and wet.
 *
 * @throws FieldError naming the field out of range
 */
export function film(input: FilmInput): FilmReport {
  requireFilmInput(input);
  const { highestTempC: _, ...life } = filmLife(input);
  return { ...life, ...steadyTemps(input) };
}
