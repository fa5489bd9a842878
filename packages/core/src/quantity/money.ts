/** Amounts of money are kept in hundredths of the currency's unit, whatever coins it has. */
export const MINOR_PER_UNIT = 100;

/** The largest amount of a single price, payment or fee, hundredths: a million units, which a currency without cents needs. */
export const MOST_MINOR = 1_000_000 * MINOR_PER_UNIT;
