import { type CoatEnd, coatHistory, type CoatSpan } from '../protection/index.js';
import { medianOf, MS_PER_DAY } from '../quantity/index.js';
import { carStateOf } from '../shop/index.js';
import type { CoatsQuestion } from './question.js';
import type { Tools } from './tools.js';

/** One coat of one car. */
export interface CoatOnCar {
  readonly vehicleId: string;
  readonly fromMs: number;
  /** From the day on which it was put on to its end, or so far. */
  readonly days: number;
  readonly ended: CoatEnd;
}

/** What a protection lasted in this shop, on each car that had it. */
export interface CoatRecord extends Pick<CoatSpan, 'kind' | 'productName'> {
  /** The longest first. */
  readonly cars: readonly CoatOnCar[];
  /** Median of those that ended by themselves, days; null: none has yet. */
  readonly goneAfterDays: number | null;
}

/** Which protection lasted on which car? By kind and product; the one that was seen to hold longest first. */
export function coatsAnswer(question: CoatsQuestion, { keep }: Pick<Tools, 'keep'>): CoatRecord[] {
  const { cars, ...shop } = question;
  const rows = new Map<string, Pick<CoatRecord, 'kind' | 'productName'> & { cars: CoatOnCar[] }>();
  for (const car of cars) {
    const { coatEvents } = carStateOf({ ...shop, car }, keep);
    for (const { kind, productName, fromMs, toMs, ended } of coatHistory(car.vehicle, coatEvents)) {
      const key = `${kind} ${productName ?? ''}`;
      const row = rows.get(key) ?? { kind, productName, cars: [] };
      const days = ((toMs ?? question.nowMs) - fromMs) / MS_PER_DAY;
      row.cars.push({ vehicleId: car.vehicle.id, fromMs, days, ended });
      rows.set(key, row);
    }
  }
  const longestOf = ({ cars: [first] }: CoatRecord): number => first?.days ?? 0;
  return [...rows.values()]
    .map((row): CoatRecord => ({
      ...row,
      cars: row.cars.toSorted((a, b) => b.days - a.days),
      goneAfterDays: medianOf(row.cars.filter(({ ended }) => ended === 'gone').map(({ days }) => days)),
    }))
    .toSorted((a, b) => longestOf(b) - longestOf(a));
}
