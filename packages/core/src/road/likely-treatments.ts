import { MS_PER_HOUR } from '../quantity/index.js';
import type { SaltAgent } from '../brine/index.js';
import type { WeatherHour } from '../weather/index.js';
import type { RoadClass, Treatment } from './treatment.js';

/** What an authority spreads on a class of road, g/m² (judgement: 10–20 ahead of frost, 20–40 in snow). */
const PRACTICE: Readonly<
  Record<RoadClass, { agent: SaltAgent; frost: number; snow: number; everyHours: number }>
> = {
  main: { agent: 'NaCl', frost: 14, snow: 28, everyHours: 5 },
  town: { agent: 'NaCl', frost: 8, snow: 15, everyHours: 9 },
  bridge: { agent: 'MgCl2', frost: 12, snow: 18, everyHours: 6 },
};

/** How often a class of road is treated while it needs it, hours (judgement). */
export const roundHours = (roadClass: RoadClass): number => PRACTICE[roadClass].everyHours;

/** Salt is of little use below this air temperature and is held back (judgement). */
const TOO_COLD_C = -16;

/**
 * What was probably spread, where no bulletin says so: when the air is under +1 °C and water, frost or snow is there.
 *
 * @param hours consecutive weather hours; null where not known: nothing is taken to be spread then
 * @returns treatments in time order, each marked by nothing but its rule: they are estimates
 */
export function likelyTreatments(hours: readonly (WeatherHour | null)[], roadClass: RoadClass): Treatment[] {
  const practice = PRACTICE[roadClass];
  const treatments: Treatment[] = [];
  let lastMs = -Infinity;
  hours.forEach((hour, i) => {
    if (!hour) return;
    const snowing = hour.precipKind === 'snow' && hour.precipMm > 0.12;
    const wetLately = hours.slice(Math.max(0, i - 6), i + 1).some((past) => past && past.precipMm > 0.1);
    const frost = hour.airTempC - hour.dewPointC < 1.6 || wetLately;
    const due = hour.atMs - lastMs >= practice.everyHours * MS_PER_HOUR;
    if (hour.airTempC > 1 || hour.airTempC < TOO_COLD_C || !due || !(snowing || frost)) return;
    const gramsPerM2 = snowing ? practice.snow : practice.frost;
    treatments.push({ atMs: hour.atMs, roadClass, agent: practice.agent, gramsPerM2 });
    lastMs = hour.atMs;
  });
  return treatments;
}
