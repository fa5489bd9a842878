/** What things are worth in the shop's money, minor units; all judgement, all settable. */
export const PRICES = [
  {
    id: 'saltMinorPerActiveHour',
    value: 12,
    min: 0,
    max: 1000,
    unit: 'minor units per hour of salt at work',
    means: 'what an hour of salt damage avoided is worth',
  },
  {
    id: 'hourMinor',
    value: 1200,
    min: 0,
    max: 100_000,
    unit: 'minor units per hour',
    means: 'what an hour of your own time is worth; paid help costs about twice as much',
  },
  {
    id: 'coldMinorPerMinute',
    value: 10,
    min: 0,
    max: 1000,
    unit: 'minor units per minute',
    means: 'wet-hand work below −10 °C (14 °F) wind chill',
  },
  {
    id: 'bitterMinorPerMinute',
    value: 40,
    min: 0,
    max: 1000,
    unit: 'minor units per minute',
    means: 'wet-hand work below −20 °C (−4 °F) wind chill',
  },
  {
    id: 'wearMinor',
    value: 500,
    min: 0,
    max: 100_000,
    unit: 'minor units',
    means: 'topping up protection that strong soap has worn',
  },
  {
    id: 'bareMinor',
    value: 4000,
    min: 0,
    max: 1_000_000,
    unit: 'minor units',
    means: 'paint left bare by a wash that strips it, with no new coat in the same visit',
  },
  {
    id: 'contactMinorPerGrade',
    value: 60,
    min: 0,
    max: 10_000,
    unit: 'minor units per soil grade',
    means: 'risk of marks from touching dirty paint',
  },
  {
    id: 'conditionMinor',
    value: 120,
    min: 0,
    max: 10_000,
    unit: 'minor units',
    means: 'trouble of a wash that only goes if something is done differently',
  },
  {
    id: 'lateMinorPerDay',
    value: 250,
    min: 0,
    max: 10_000,
    unit: 'minor units per day',
    means: 'a day beyond the wanted cadence',
  },
  {
    id: 'otherKindMinor',
    value: 300,
    min: 0,
    max: 100_000,
    unit: 'minor units',
    means: 'a wash of a kind that the house does not want next',
  },
  {
    id: 'missedBookingMinor',
    value: 5000,
    min: 0,
    max: 1_000_000,
    unit: 'minor units',
    means: 'a promise to a customer that is not kept',
  },
  {
    id: 'moveMinor',
    value: 150,
    min: 0,
    max: 100_000,
    unit: 'minor units',
    means: 'moving a planned wash; the higher, the steadier the plan',
  },
] as const satisfies readonly {
  id: string;
  value: number;
  min: number;
  max: number;
  unit: string;
  means: string;
}[];

export type PriceId = (typeof PRICES)[number]['id'];
export type Prices = Readonly<Record<PriceId, number>>;

/** The prices as they ship. */
export const DEFAULT_PRICES: Prices = Object.freeze(
  Object.fromEntries(PRICES.map((row) => [row.id, row.value])) as Record<PriceId, number>,
);
