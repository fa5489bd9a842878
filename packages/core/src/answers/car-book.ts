import { type Keeper, type OfCar, roadFacts, standsAt } from '../shop/index.js';
import { type BandBook, type BandPage, emptyPage, type MethodNames } from '../verdict/index.js';

/** A page that was not asked for so many times in a row is given up: a change that is taken back finds what it had. */
const UNUSED_TIMES = 3;

interface KeptPage {
  readonly page: BandPage;
  /** How often in a row nobody asked for it. */
  readonly unused: number;
  /** What stood on it when it was kept; nothing is ever taken off. */
  readonly size: number;
}

const sizeOf = ({ refusal, cells, asked }: BandPage): number =>
  Number(refusal !== undefined) + (cells?.length ?? 0) + asked.size;

/**
 * What was found out about a car when its morning was made last. Whatever changed since, what does not read it is found here: another
 * price touches no page, another place its own alone, another bottle those of the methods that take it.
 */
export class CarBook implements BandBook {
  private readonly before: ReadonlyMap<string, KeptPage>;
  private readonly used = new Map<string, BandPage>();
  private readonly under: string;
  private readonly room: { readonly carId: string };

  constructor(
    of: OfCar,
    private readonly keep: Keeper,
  ) {
    this.room = { carId: of.car.vehicle.id };
    this.under = keep.name({ roads: roadFacts(of), night: standsAt(of)?.climate ?? null });
    keep.only('book', { weather: of.weather });
    this.before = keep.get<ReadonlyMap<string, KeptPage>>('book', this.room) ?? new Map();
  }

  name(inputs: object): string {
    return this.keep.name(inputs);
  }

  names(inputs: object, make: () => MethodNames): MethodNames {
    return this.keep.of('names', inputs, make);
  }

  page(name: string): BandPage {
    const key = `${this.under} ${name}`;
    const page = this.used.get(key) ?? this.before.get(key)?.page ?? emptyPage();
    this.used.set(key, page);
    return page;
  }

  /** Keeps it for the next time; what is kept already is not written again. */
  keepPages(): void {
    if (this.isAsKept()) return;
    const pages = new Map<string, KeptPage>();
    for (const [key, kept] of this.before)
      if (!this.used.has(key) && kept.unused + 1 < UNUSED_TIMES)
        pages.set(key, { ...kept, unused: kept.unused + 1 });
    for (const [key, page] of this.used) pages.set(key, { page, unused: 0, size: sizeOf(page) });
    this.keep.set('book', this.room, pages);
  }

  private isAsKept(): boolean {
    return [...this.used].every(([key, page]) => {
      const kept = this.before.get(key);
      return kept?.unused === 0 && sizeOf(page) === kept.size;
    });
  }
}
