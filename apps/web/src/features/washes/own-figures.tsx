import type { WashRecord } from '@keen/core';
import { Learned } from './learned.js';
import { LearnedProduct } from './learned-ml.js';

/** What finished runs and emptied bottles say of the figures that the shop counts with. */
export function OwnFigures({ washes }: { readonly washes: readonly WashRecord[] }) {
  return (
    <>
      <Learned washes={washes} />
      <LearnedProduct washes={washes} />
    </>
  );
}
