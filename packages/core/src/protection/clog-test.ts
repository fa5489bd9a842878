import type { WaterBehaviour } from '../vehicle/index.js';

/** Cleaners that take off what clogs a protection, in the order in which they are usually tried. */
export const CLOG_CLEANERS = ['film-remover', 'iron-remover', 'mineral-acid'] as const;
export type ClogCleaner = (typeof CLOG_CLEANERS)[number];

/** One try: a cleaner, and what water does afterwards. */
export interface ClogTry {
  readonly cleaner: ClogCleaner;
  readonly after: WaterBehaviour;
}

export type ClogAnswer =
  | { readonly kind: 'sound' }
  | { readonly kind: 'try'; readonly cleaner: ClogCleaner }
  | { readonly kind: 'clogged'; readonly by: ClogCleaner }
  | { readonly kind: 'gone' };

/** So many days under salt leave enough of it behind to clog (judgement). */
const CLOGS_AFTER_SALT_DAYS = 10;

/** After a winter's salt it is minerals that clog, and the mild acid takes those off first. */
const AFTER_SALT: readonly ClogCleaner[] = ['mineral-acid', 'film-remover', 'iron-remover'];

/** Is it salt that probably clogs it? */
export const isSalted = (before: WaterBehaviour, saltDays: number): boolean =>
  before === 'flat' && saltDays >= CLOGS_AFTER_SALT_DAYS;

/**
 * Clogged or gone? The next step of the test, or its answer.
 *
 * @param before what water did at the start
 * @param tries what was done, in order
 * @param saltDays on which it has lain under salt
 * @returns sound (nothing to test), the cleaner to try next, clogged (beads came back), or gone (none brought them back)
 * Source: trade practice.
 */
export function clogTest(before: WaterBehaviour, tries: readonly ClogTry[], saltDays = 0): ClogAnswer {
  if (before === 'beading') return { kind: 'sound' };
  const brought = tries.find(
    ({ after }) => after === 'beading' || (before === 'flat' && after === 'sheeting'),
  );
  if (brought) return { kind: 'clogged', by: brought.cleaner };
  const done = new Set(tries.map(({ cleaner }) => cleaner));
  const order = isSalted(before, saltDays) ? AFTER_SALT : CLOG_CLEANERS;
  const next = order.find((cleaner) => !done.has(cleaner));
  return next ? { kind: 'try', cleaner: next } : { kind: 'gone' };
}
