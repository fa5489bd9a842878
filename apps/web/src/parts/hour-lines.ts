import { MS_PER_HOUR, type ForecastHour } from '@keen/core';

/** Where an instant and a value lie on a drawing. */
export interface Axes {
  readonly x: (atMs: number) => number;
  readonly y: (value: number) => number;
}

/** Stretches of hours with no gap between. */
export function runsOf<H extends { readonly atMs: number }>(hours: readonly H[]): H[][] {
  const runs: H[][] = [];
  for (const hour of hours) {
    const last = runs.at(-1);
    if (last && last.at(-1)?.atMs === hour.atMs - MS_PER_HOUR) last.push(hour);
    else runs.push([hour]);
  }
  return runs;
}

/** Points of a line through the middle of each hour. */
export const linePoints = (
  values: readonly { readonly atMs: number; readonly value: number }[],
  { x, y }: Axes,
): string =>
  values.map(({ atMs, value }) => `${x(atMs + MS_PER_HOUR / 2).toFixed(1)},${y(value).toFixed(1)}`).join(' ');

/** The outline of the members' span. */
export function spreadPoints(hours: readonly ForecastHour[], axes: Axes): string {
  const highs = hours.map(({ atMs, highTempC }) => ({ atMs, value: highTempC }));
  const lows = hours.map(({ atMs, lowTempC }) => ({ atMs, value: lowTempC })).reverse();
  return `${linePoints(highs, axes)} ${linePoints(lows, axes)}`;
}
