import { driveOf, stagesOf } from '../method/index.js';
import { MS_PER_MINUTE } from '../quantity/index.js';
import type { Situation } from '../rules/index.js';
import type { PlaceWeather } from './place-weather.js';

/**
 * What the rules of a place read in each of two places, each with its own steps, hours and air.
 *
 * @param at the start under one course of the weather; null: what no hour changes
 * @returns null: the wash is done in one place
 */
export function stageSituations(
  situation: Omit<Situation, 'site' | 'water' | 'stages'>,
  at: { readonly startMs: number; readonly weather: PlaceWeather } | null,
): Situation[] | null {
  const { method } = situation;
  const { finish } = situation.place;
  const stages = stagesOf(method);
  const drive = driveOf(method);
  if (!stages || !drive || !finish) return null;
  const [here, there] = stages;
  const thereMs = (at?.startMs ?? 0) + drive.toMinute * MS_PER_MINUTE;
  return [
    {
      ...situation,
      method: here,
      site: at && at.weather.siteWindow(at.startMs, here.minutes),
      water: null,
    },
    {
      ...situation,
      place: finish.place,
      method: there,
      site: at?.weather.there?.siteWindow(thereMs, there.minutes) ?? null,
      water: null,
    },
  ];
}
