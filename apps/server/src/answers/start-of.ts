import { choicesOf, type Predicted, type StartQuestion } from '@keen/core';

/** What was accepted of a start when it was planned. */
export type Accepted = Pick<Predicted, 'wayId' | 'placeC' | 'products' | 'variant'>;

/** A start with what was accepted of it; what was not said is not there. */
export const startOf = ({
  placeId,
  methodId,
  startMs,
  wayId,
  placeC,
  products,
  variant,
  extras = [],
}: StartQuestion & Accepted) => ({
  placeId,
  methodId,
  startMs,
  ...(wayId ? { wayId } : {}),
  ...(placeC === undefined ? {} : { placeC }),
  ...choicesOf({ products, variant }),
  ...(extras.length > 0 ? { extras } : {}),
});
