/** Waiting between two hours of the day. */
export interface QueueRow {
  readonly fromHour: number;
  readonly toHour: number;
  readonly minutes: number;
}

/** Twenty-four hours as stretches of equal waiting; hours without any are left out. */
export function queueRows(minutesByHour: readonly number[]): QueueRow[] {
  const rows: QueueRow[] = [];
  minutesByHour.forEach((minutes, hour) => {
    const last = rows.at(-1);
    if (minutes <= 0) return;
    if (last?.toHour === hour && last.minutes === minutes)
      rows[rows.length - 1] = { ...last, toHour: hour + 1 };
    else rows.push({ fromHour: hour, toHour: hour + 1, minutes });
  });
  return rows;
}

/** The stretches as twenty-four hours; where two overlap the longer wait counts. */
export const queueHours = (rows: readonly QueueRow[]): number[] =>
  Array.from({ length: 24 }, (_, hour) =>
    Math.max(
      0,
      ...rows
        .filter(({ fromHour, toHour }) => fromHour <= hour && hour < toHour)
        .map(({ minutes }) => minutes),
    ),
  );
