import type { Predicted, StartQuestion } from '@keen/core';

/** What was accepted of a start when it was planned. */
export type Accepted = Pick<Predicted, 'wayId' | 'placeC'>;

/** A start with what was accepted of it; what was not said is not there. */
export const startOf = ({
  placeId,
  methodId,
  startMs,
  wayId,
  placeC,
  extras = [],
}: StartQuestion & Accepted) => ({
  placeId,
  methodId,
  startMs,
  ...(wayId ? { wayId } : {}),
  ...(placeC === undefined ? {} : { placeC }),
  ...(extras.length > 0 ? { extras } : {}),
});
