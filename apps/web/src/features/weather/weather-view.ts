import type { WeatherAnswer } from '@keen/core';

type HourSource = WeatherAnswer['hourSources'][number];

/** Hours in a row from one source, or from none. */
export interface SourceRun {
  readonly fromMs: number;
  readonly hourCount: number;
  readonly source: string | null;
  readonly isKnown: boolean;
}

const isKnown = ({ missing }: HourSource): boolean => missing.length === 0;

/** Stretches in which the same source tells, and the hour is known or not. */
export function sourceRuns(hourSources: readonly HourSource[]): SourceRun[] {
  const runs: SourceRun[] = [];
  for (const hour of hourSources) {
    const last = runs.at(-1);
    if (last && last.source === hour.source && last.isKnown === isKnown(hour))
      runs[runs.length - 1] = { ...last, hourCount: last.hourCount + 1 };
    else runs.push({ fromMs: hour.atMs, hourCount: 1, source: hour.source, isKnown: isKnown(hour) });
  }
  return runs;
}

/** Order of trust with one source moved up (−1) or down (+1). */
export function movedInOrder(order: readonly string[], source: string, by: -1 | 1): string[] {
  const from = order.indexOf(source);
  const to = from + by;
  if (from < 0 || to < 0 || to >= order.length) return [...order];
  const moved = [...order];
  [moved[from], moved[to]] = [moved[to] ?? source, moved[from] ?? source];
  return moved;
}

/** Range of the air over what is known, whole fives, °C. */
export function airRange({ past, ahead }: Pick<WeatherAnswer, 'past' | 'ahead'>): {
  lowC: number;
  highC: number;
} {
  const lows = [...past.map(({ airTempC }) => airTempC), ...ahead.map(({ lowTempC }) => lowTempC)];
  const highs = [...past.map(({ airTempC }) => airTempC), ...ahead.map(({ highTempC }) => highTempC)];
  return {
    lowC: Math.floor(Math.min(-1, ...lows) / 5) * 5,
    highC: Math.ceil(Math.max(1, ...highs) / 5) * 5,
  };
}
