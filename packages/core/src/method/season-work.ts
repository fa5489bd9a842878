import type { WashStep } from './wash-step.js';

/** The steps of a wash, and what work of the season is done before the first and after the last of them. */
export interface WithWork {
  readonly before: readonly WashStep[];
  readonly own: readonly WashStep[];
  readonly after: readonly WashStep[];
}

const isWork = ({ jobId }: WashStep): boolean => jobId !== undefined;

/** Work of the season is done on the whole car at once, whatever the way of the wash: what lies under it before, what lies on paint after. */
export function workAside(steps: readonly WashStep[]): WithWork {
  const from = steps.findIndex((step) => !isWork(step));
  if (from < 0) return { before: steps, own: [], after: [] };
  const to = steps.findLastIndex((step) => !isWork(step)) + 1;
  return { before: steps.slice(0, from), own: steps.slice(from, to), after: steps.slice(to) };
}
