import type { MethodId, Settings } from '@keen/core';

/** A wash of a method that is counted by washes: 1 takes one, −1 gives it back. */
export interface StockChange {
  readonly methodId: string;
  readonly sign: 1 | -1;
}

/** Washes left after one more or one fewer, never below none; a method that is not counted stays so. */
export function stockAfter(stock: Settings['stock'], { methodId, sign }: StockChange): Settings['stock'] {
  const left = stock[methodId as MethodId];
  return left === undefined ? stock : { ...stock, [methodId]: Math.max(0, left - sign) };
}
