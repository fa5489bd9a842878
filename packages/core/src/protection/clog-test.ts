import type { WaterBehaviour } from '../vehicle/index.js';

/** Cleaners that take off what clogs a protection, mildest first. */
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

/**
 * Clogged or gone? The next step of the test, or its answer.
 *
 * @param before what water did at the start
 * @param tries what was done, in order
 * @returns sound (nothing to test), the cleaner to try next, clogged (beads came back), or gone (none brought them back)
 * Source: trade practice.
 */
export function clogTest(before: WaterBehaviour, tries: readonly ClogTry[]): ClogAnswer {
  if (before === 'beading') return { kind: 'sound' };
  const brought = tries.find(
    ({ after }) => after === 'beading' || (before === 'flat' && after === 'sheeting'),
  );
  if (brought) return { kind: 'clogged', by: brought.cleaner };
  const done = new Set(tries.map(({ cleaner }) => cleaner));
  const next = CLOG_CLEANERS.find((cleaner) => !done.has(cleaner));
  return next ? { kind: 'try', cleaner: next } : { kind: 'gone' };
}
