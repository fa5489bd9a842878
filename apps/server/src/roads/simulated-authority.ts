import { hashUnit, likelyTreatments, MS_PER_HOUR, ROAD_CLASSES, type Treatment } from '@keen/core';
import type { WeatherSource } from '../weather/weather-source.js';
import type { RoadAuthority } from './road-authority.js';

/** Rounds that are called off, and how late the others come (hours at most). */
const MISSED_FRACTION = 0.1;
const LATEST_HOURS = 3;
/** Below this air the main road gets calcium chloride, which still melts. */
const CALCIUM_BELOW_C = -13;

/**
 * A stand-in for a road authority: treats as one would in the station's weather, but with rounds missed, late, light and
 * heavy, so that a ledger by bulletins differs from one by estimate.
 */
export class SimulatedAuthority implements RoadAuthority {
  readonly name = 'simulated road authority';

  constructor(
    private readonly seed: number,
    private readonly seasonStartMs: number,
    private readonly station: Pick<WeatherSource, 'observed'>,
  ) {}

  async bulletins(fromMs: number, toMs: number): Promise<Treatment[]> {
    const hours = await this.station.observed(this.seasonStartMs, toMs);
    const airAt = new Map(hours.map(({ atMs, airTempC }) => [atMs, airTempC]));
    const rounds = ROAD_CLASSES.flatMap((roadClass, c) =>
      likelyTreatments(hours, roadClass).flatMap((treatment): Treatment[] => {
        const draw = (n: number): number => hashUnit(this.seed, c, n, treatment.atMs / MS_PER_HOUR);
        if (draw(1) < MISSED_FRACTION) return [];
        const atMs = treatment.atMs + Math.floor(draw(2) * LATEST_HOURS) * MS_PER_HOUR;
        const gramsPerM2 = Math.round(treatment.gramsPerM2 * (0.75 + 0.6 * draw(3)));
        const cold = roadClass === 'main' && (airAt.get(treatment.atMs) ?? 0) < CALCIUM_BELOW_C;
        return [{ ...treatment, atMs, gramsPerM2, agent: cold ? 'CaCl2' : treatment.agent }];
      }),
    );
    return rounds.filter(({ atMs }) => atMs >= fromMs && atMs < toMs).sort((a, b) => a.atMs - b.atMs);
  }
}
