import { type WashEffect, washEffect } from '../log/index.js';
import type { Method, MethodId } from '../method/index.js';
import { MS_PER_MINUTE } from '../quantity/index.js';
import type { CarFacts } from './shop-facts.js';

/** What somebody who says "washed two weeks ago" most likely had done (judgement). */
const USUAL_METHOD: MethodId = 'bay-contact';

/** The wash that stands before the log, as the keeper told of it or as it is assumed; null: none stands there. */
export function washBefore(
  { washedBefore }: Pick<CarFacts, 'washedBefore'>,
  methods: readonly Method[],
): WashEffect | null {
  const method = methods.find(({ id }) => id === USUAL_METHOD);
  if (!washedBefore || !method) return null;
  const { minutes } = method;
  return washEffect(
    {
      methodId: method.id,
      startMs: washedBefore.atMs - minutes * MS_PER_MINUTE,
      minutes,
      extras: [],
      // Nobody told of a coat that it laid.
      found: { spots: 'none', laid: [] },
    },
    method,
  );
}
