import type { MethodId } from '../method/index.js';
import type { BodyClass, SeasonJobId } from '../vehicle/index.js';

/** What customers pay, minor units; what is not on it has no price yet. */
export interface PriceList {
  readonly methods: Readonly<Partial<Record<MethodId, Readonly<Partial<Record<BodyClass, number>>>>>>;
  readonly extras: Readonly<Partial<Record<SeasonJobId, number>>>;
}

export const EMPTY_PRICE_LIST: PriceList = Object.freeze({ methods: {}, extras: {} });

export interface QuoteLine {
  readonly what:
    | { readonly kind: 'method'; readonly methodId: MethodId }
    | { readonly kind: 'extra'; readonly jobId: SeasonJobId };
  /** null: it is not on the list. */
  readonly priceMinor: number | null;
}

export interface Quote {
  readonly lines: readonly QuoteLine[];
  /** null: a line has no price, so there is no sum. */
  readonly totalMinor: number | null;
  /** What is left of it beyond what the visit takes in money and time; null without a sum. */
  readonly leftMinor: number | null;
}

/**
 * What does this cost the customer, and what is left of it?
 *
 * @param asked the method, the body, the work of the season, and what the visit takes in money and time (minor units)
 * @returns a line for each part, and the sums; never a sum in which a part is missing
 * @example quote({ methods: { 'bay-contact': { van: 6000 } }, extras: {} }, { methodId: 'bay-contact', bodyClass: 'van', extras: [], costMinor: 2100 }).leftMinor // 3900
 */
export function quote(
  list: PriceList,
  asked: {
    readonly methodId: MethodId;
    readonly bodyClass: BodyClass;
    readonly extras: readonly SeasonJobId[];
    readonly costMinor: number;
  },
): Quote {
  const lines: QuoteLine[] = [
    {
      what: { kind: 'method', methodId: asked.methodId },
      priceMinor: list.methods[asked.methodId]?.[asked.bodyClass] ?? null,
    },
    ...asked.extras.map((jobId): QuoteLine => ({
      what: { kind: 'extra', jobId },
      priceMinor: list.extras[jobId] ?? null,
    })),
  ];
  const known = lines.flatMap(({ priceMinor }) => priceMinor ?? []);
  const totalMinor = known.length < lines.length ? null : known.reduce((sum, price) => sum + price, 0);
  return { lines, totalMinor, leftMinor: totalMinor === null ? null : totalMinor - asked.costMinor };
}
