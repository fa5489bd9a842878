import type { FilmInput } from './film.js';
import { requireFilmInput, startFilm } from './film.js';
import { type SteadyTemps, steadyTemps } from './steady-panel.js';

/** The film at one instant of its life. */
export interface TracePoint {
  readonly minutes: number;
  readonly tempC: number;
  /** All water, ice included. */
  readonly waterGramsPerM2: number;
  readonly iceGramsPerM2: number;
  /** Of dissolved salt in what is liquid; 0 for plain water. */
  readonly massPercent: number;
}

export interface FilmTrace extends SteadyTemps {
  readonly points: readonly TracePoint[];
  readonly dryMinutes: number | null;
  readonly firstIceMinutes: number | null;
  readonly wetEdgeMinutes: number | null;
  readonly lowestTempC: number;
  readonly highestTempC: number;
}

const MOST_POINTS = 360;

const toMinutes = (seconds: number | null): number | null => (seconds === null ? null : seconds / 60);

/**
 * The whole life of a film, to be drawn.
 *
 * @returns temperature, water, ice and strength at each step (thinned to a few hundred points), and what the film sum says
 * Model: as `filmLife`.
 * @throws FieldError naming the field out of range
 */
export function filmTrace(input: FilmInput): FilmTrace {
  requireFilmInput(input);
  const run = startFilm(input);
  const soluteGrams = (input.filmGramsPerM2 * (input.brine?.massPercent ?? 0)) / 100;
  const points: TracePoint[] = [];
  const mark = (): void => {
    const liquid = Math.max(0, (run.waterKg - run.iceKg) * 1000);
    points.push({
      minutes: run.seconds / 60,
      tempC: run.tempC,
      waterGramsPerM2: run.waterKg * 1000,
      iceGramsPerM2: run.iceKg * 1000,
      massPercent: soluteGrams > 0 ? (100 * soluteGrams) / (soluteGrams + liquid) : 0,
    });
  };
  const horizonSeconds = (input.horizonMinutes ?? 720) * 60;
  mark();
  while (run.drySeconds === null && run.seconds < horizonSeconds - 1e-9) {
    run.step(horizonSeconds - run.seconds);
    mark();
  }
  const every = Math.ceil(points.length / MOST_POINTS);
  const edges = [run.drySeconds, run.firstIceSeconds].filter((seconds) => seconds !== null);
  return {
    points: points.filter((_, i) => i % every === 0 || i === points.length - 1),
    dryMinutes: toMinutes(run.drySeconds),
    firstIceMinutes: toMinutes(run.firstIceSeconds),
    wetEdgeMinutes: edges.length > 0 ? Math.min(...edges) / 60 : null,
    lowestTempC: run.lowestTempC,
    highestTempC: run.highestTempC,
    ...steadyTemps(input),
  };
}
