import { type WashChoices, withChoices } from '../house-rules/index.js';
import type { Method } from '../method/index.js';
import { type Chosen, type PlanCar, repriced, visitExtras } from '../plan/index.js';
import { MS_PER_HOUR } from '../quantity/index.js';
import { wearsProtection } from '../rules/index.js';
import { activeHoursSaved } from '../salt/index.js';
import { NO_EXTRAS, shopSeasonJobs } from '../season/index.js';
import { carStateOf, type OfCar } from '../shop/index.js';
import { methodsInWays } from '../verdict/index.js';
import type { Tools } from './tools.js';

/** What other work of the season, and other choices, make of a window of a car. */
export function changesOf(of: OfCar, keep: Tools['keep']): Pick<PlanCar, 'extrasOf' | 'withChoices'> {
  const { places, season, house, limits, shelf, prices } = of;
  const { vehicle, ledger, ahead } = carStateOf(of, keep);
  const made = new Map<string, ReturnType<typeof methodsInWays>>();
  const methodsWith = (
    methodId: string,
    choices: WashChoices | undefined,
  ): ReturnType<typeof methodsInWays> => {
    const key = JSON.stringify([methodId, choices]);
    const known =
      made.get(key) ??
      methodsInWays({ house: withChoices(house, methodId, choices), limits, shelf, vehicle });
    made.set(key, known);
    return known;
  };
  const savedAt = (startMs: number, { removes }: Method): number => {
    const hour = Math.floor((startMs - (ahead[0]?.atMs ?? NaN)) / MS_PER_HOUR);
    return activeHoursSaved(ledger, ahead, { removes, only: new Set([hour]) })[hour] ?? 0;
  };
  const rows = shopSeasonJobs(season);
  return {
    extrasOf(window, jobIds) {
      const place = places.find(({ id }) => id === window.placeId);
      const work = rows.filter(({ id }) => jobIds.includes(id));
      if (!place || work.length === 0) return NO_EXTRAS;
      const methodOf = methodsWith(window.methodId, window.choices);
      const alone = methodOf(window.methodId, window, { place });
      return visitExtras(work, { place, alone, whole: methodOf(window.methodId, window, { place, work }) });
    },
    withChoices(window, choices) {
      const place = places.find(({ id }) => id === window.placeId);
      if (!place) return window;
      const chosen = (own: WashChoices | undefined): Chosen => {
        const method = methodsWith(window.methodId, own)(window.methodId, window, { place });
        return {
          method,
          wearsProtection: wearsProtection({ vehicle, limits, method }),
          activeHoursSaved: savedAt(window.startMs, method),
        };
      };
      const change = { before: chosen(window.choices), after: chosen(choices) };
      return { ...repriced(window, change, { place, prices }), choices };
    },
  };
}
