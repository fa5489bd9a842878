import type { Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import { MS_PER_MINUTE } from '../quantity/index.js';
import type { Prices } from './data/prices.js';
import { washCost } from './wash-cost.js';
import type { Window } from './window.js';

/** One way to do a wash: its steps with their products, whether these wear what protects the car, and what salt it keeps from eating. */
export interface Chosen {
  readonly method: Method;
  readonly wearsProtection: boolean;
  readonly activeHoursSaved: number;
}

/**
 * A window of a wash that is done in another way than the shop's own.
 *
 * @param before the wash as the window was priced, without work of the season
 * @param after the same wash with what was chosen for it
 * @returns its end and worth with that: product, minutes, cold hands, wear and salt change; lateness and trouble do not
 */
export function repriced(
  window: Window,
  { before, after }: { readonly before: Chosen; readonly after: Chosen },
  { place, prices }: { readonly place: Place; readonly prices: Prices },
): Window {
  const { value } = window;
  const moreMinutes = after.method.minutes - before.method.minutes;
  const moreHandsMinutes = after.method.handsMinutes - before.method.handsMinutes;
  const wearOf = ({ wearsProtection }: Chosen): number => (wearsProtection ? prices.wearMinor : 0);
  const moreHoursSaved = after.activeHoursSaved - before.activeHoursSaved;
  const more = {
    saltMinor: prices.saltMinorPerActiveHour * moreHoursSaved,
    moneyMinor: washCost(place, before.method).totalMinor - washCost(place, after.method).totalMinor,
    timeMinor: (-prices.hourMinor * moreMinutes) / 60,
    coldMinor: -window.coldMinorPerMinute * moreHandsMinutes,
    paintMinor: wearOf(before) - wearOf(after),
  };
  return {
    ...window,
    endMs: window.endMs + moreMinutes * MS_PER_MINUTE,
    activeHoursSaved: window.activeHoursSaved + moreHoursSaved,
    value: {
      ...value,
      saltMinor: value.saltMinor + more.saltMinor,
      moneyMinor: value.moneyMinor + more.moneyMinor,
      timeMinor: value.timeMinor + more.timeMinor,
      coldMinor: value.coldMinor + more.coldMinor,
      paintMinor: value.paintMinor + more.paintMinor,
      totalMinor: value.totalMinor + Object.values(more).reduce((sum, part) => sum + part, 0),
    },
  };
}
