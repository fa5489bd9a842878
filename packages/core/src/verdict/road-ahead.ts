import type { RoadHour, RoadState } from '../road/index.js';
import { MS_PER_HOUR, startOfHourMs } from '../weather/index.js';

const SOILS: ReadonlySet<RoadState> = new Set(['wet', 'slush', 'snow', 'ice']);

/** The main road over the hours of a forecast. */
export class RoadAhead {
  private readonly fromMs: number;

  constructor(private readonly hours: readonly RoadHour[]) {
    this.fromMs = hours[0]?.atMs ?? 0;
  }

  /** Hours from an instant until the road is wet, slushy, snowed or iced; to the end of what is known at most; null: not known. */
  dryHours(atMs: number): number | null {
    const from = (startOfHourMs(atMs) - this.fromMs) / MS_PER_HOUR;
    if (from < 0 || from >= this.hours.length) return null;
    const until = this.hours.findIndex(({ state }, i) => i >= from && SOILS.has(state));
    return (until < 0 ? this.hours.length : until) - from;
  }
}
