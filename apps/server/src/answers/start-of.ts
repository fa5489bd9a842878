import type { Predicted, StartQuestion } from '@keen/core';

/** What was accepted of a start when it was planned. */
export type Accepted = Pick<Predicted, 'wayId' | 'placeC' | 'products'>;

/** A start with what was accepted of it; what was not said is not there. */
export const startOf = ({
  placeId,
  methodId,
  startMs,
  wayId,
  placeC,
  products,
  extras = [],
}: StartQuestion & Accepted) => ({
  placeId,
  methodId,
  startMs,
  ...(wayId ? { wayId } : {}),
  ...(placeC === undefined ? {} : { placeC }),
  ...(products && Object.keys(products).length > 0 ? { products } : {}),
  ...(extras.length > 0 ? { extras } : {}),
});
