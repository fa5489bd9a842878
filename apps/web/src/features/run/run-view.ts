import type { WetEdge } from '@keen/core';

const LEAST_MINUTES = 10;
const MOST_MINUTES = 60;

/** Minutes that a full bar stands for: what the slowest panel takes, within ten minutes and an hour. */
export function edgeScaleMinutes(edges: readonly Pick<WetEdge, 'minutes'>[]): number {
  const known = edges.flatMap(({ minutes }) => minutes ?? []);
  return Math.min(MOST_MINUTES, Math.max(LEAST_MINUTES, ...known));
}

/** How long a panel's bar is, 0–1; full where it stays wet. */
export const barShare = (minutes: number | null, scaleMinutes: number): number =>
  minutes === null ? 1 : Math.min(1, minutes / scaleMinutes);

/** ": 8 clean, launder 4", where there are too few. */
export const shortText = (wanted: number, clean: number | null): string =>
  clean === null || clean >= wanted ? '' : `: ${clean} clean, launder ${wanted - clean}`;

/** "1 mitt", "2 mitts". */
export const countText = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`;
