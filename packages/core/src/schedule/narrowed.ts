import type { Compiled } from './compiled.js';

/** The same problem with some of its options only. */
export function narrowed(whole: Compiled, options: readonly number[]): Compiled {
  const at = Int32Array.from(options).sort();
  const of = (all: Int32Array): Int32Array => at.map((i) => all[i]!);
  const ofReal = (all: Float64Array): Float64Array => Float64Array.from(at, (i) => all[i]!);
  return {
    ...whole,
    count: at.length,
    original: of(whole.original),
    job: of(whole.job),
    place: of(whole.place),
    start: of(whole.start),
    endSlot: of(whole.endSlot),
    endMinute: ofReal(whole.endMinute),
    value: ofReal(whole.value),
    crew: of(whole.crew),
    stock: of(whole.stock),
    wayOut: of(whole.wayOut),
  };
}
