import { type CellQuery, type Visit, visitOf, type WashRecord } from '@keen/core';
import type { AnswersService } from './answers.service.js';
import type { Accepted } from './start-of.js';

/** A planned wash as it was accepted: its start, its way, its bottles and its steps. */
export function acceptedOf({
  vehicleId,
  placeId,
  methodId,
  startMs,
  extras,
  predicted,
}: WashRecord): CellQuery & Accepted {
  const { wayId, placeC, products, variant } = predicted ?? {};
  return { vehicleId, placeId, methodId, startMs, wayId, placeC, products, variant, extras };
}

/** Both in one visit, from the hour of the first; null where they are none, or the forecast does not reach. */
export async function visitOfBoth(
  answers: Pick<AnswersService, 'runPack'>,
  [first, second]: readonly [WashRecord, WashRecord],
): Promise<Visit | null> {
  const [a, b] = await Promise.all(
    [first, second].map((wash) => answers.runPack(acceptedOf({ ...wash, startMs: first.startMs }))),
  );
  return a && b ? visitOf(a, b) : null;
}
