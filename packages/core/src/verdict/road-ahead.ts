import { MS_PER_HOUR } from '../quantity/index.js';
import type { RoadHour, RoadState } from '../road/index.js';
import { startOfHourMs } from '../weather/index.js';

const SOILS: ReadonlySet<RoadState> = new Set(['wet', 'slush', 'snow', 'ice']);

/** The main road over the hours of a forecast. */
export class RoadAhead {
  /** @param hours consecutive from an instant; null where not known */
  constructor(
    private readonly fromMs: number,
    private readonly hours: readonly (RoadHour | null)[],
  ) {}

  /** Hours from an instant until the road is wet, slushy, snowed or iced; to the end of what is known at most; null: not known. */
  dryHours(atMs: number): number | null {
    const from = (startOfHourMs(atMs) - this.fromMs) / MS_PER_HOUR;
    if (!this.hours[from]) return null;
    const until = this.hours.findIndex((hour, i) => i >= from && (!hour || SOILS.has(hour.state)));
    return (until < 0 ? this.hours.length : until) - from;
  }
}
