import type { DuePeriod } from './due-periods.js';
import { busyOf, workersMeet, type Span, spansMeet, stayOf } from './workers.js';
import type { PlanCase, PlanOption, PlanRequest } from './plan-request.js';
import { mostAtOnce, roomAt } from './plan-room.js';

interface Chosen {
  readonly option: PlanOption;
  /** When its hands are busy with it, and when its place is. */
  readonly busy: Span;
  readonly there: Span;
}

const jobKey = ({ vehicleId, period }: Pick<PlanOption, 'vehicleId' | 'period'>): string =>
  `${period.index} ${vehicleId}`;

/** What the choices of a plan are weighed against: options in the way, and room. */
export class Around {
  readonly options: readonly PlanOption[];
  private readonly chosen: readonly Chosen[];
  private readonly ofJob = new Map<string, PlanOption[]>();

  constructor(
    private readonly request: PlanRequest,
    made: PlanCase,
    chosen: readonly number[],
  ) {
    this.options = chosen.flatMap((index) => made.options[index] ?? []);
    this.chosen = this.options.map((option) => ({
      option,
      busy: busyOf(option.window, request.places),
      there: stayOf(option.window, request.places),
    }));
    for (const option of made.options) {
      const known = this.ofJob.get(jobKey(option));
      if (known) known.push(option);
      else this.ofJob.set(jobKey(option), [option]);
    }
  }

  /** Chosen washes of other jobs that could not stand beside an option: those of its hands, and the least of those that fill its place. */
  inTheWay(option: PlanOption): PlanOption[] {
    const { places, restMinutes } = this.request;
    const { placeId } = option.window;
    const busy = busyOf(option.window, places);
    const stay = stayOf(option.window, places);
    const out: PlanOption[] = [];
    const beside: Chosen[] = [];
    for (const other of this.chosen) {
      if (isSameJob(other.option, option)) continue;
      if (other.option.workerId === option.workerId && workersMeet(busy, other.busy, restMinutes))
        out.push(other.option);
      else if (other.option.window.placeId === placeId && spansMeet(stay, other.there)) beside.push(other);
    }
    if (beside.length === 0) return out;
    const room = roomAt(this.request, placeId, stay) - 1;
    const fixed = this.request.fixed.filter((slot) => slot.placeId === placeId);
    const fixedSpans = fixed.map((slot) => stayOf(slot, places));
    beside.sort((a, b) => b.option.worthMinor - a.option.worthMinor);
    const standing = [...fixedSpans];
    for (const other of beside) {
      if (mostAtOnce([...standing, other.there], stay) <= room) standing.push(other.there);
      else out.push(other.option);
    }
    return out;
  }

  /** What the plan would lose by taking an option instead of what it has for that job. */
  costMinor(option: PlanOption, insteadMinor: number): { costMinor: number; pushesOut: string[] } {
    const out = this.inTheWay(option);
    const lost = out.reduce((sum, { worthMinor }) => sum + worthMinor, 0);
    return {
      costMinor: insteadMinor - option.worthMinor + lost,
      pushesOut: [...new Set(out.map(({ vehicleId }) => vehicleId))],
    };
  }

  /** Washes of a method for which product is left beside this plan. */
  stockLeft(methodId: string): number {
    const { stock, fixed } = this.request;
    const uses = [...fixed, ...this.options.map(({ window }) => window)];
    return (stock[methodId] ?? Infinity) - uses.filter((one) => one.methodId === methodId).length;
  }

  of(vehicleId: string, period: DuePeriod): readonly PlanOption[] {
    return this.ofJob.get(jobKey({ vehicleId, period })) ?? [];
  }
}

export const isSameJob = (
  a: Pick<PlanOption, 'vehicleId' | 'period'>,
  b: Pick<PlanOption, 'vehicleId' | 'period'>,
): boolean => a.vehicleId === b.vehicleId && a.period.index === b.period.index;
