import type { VehicleAnswer } from '@keen/core';

const rounded = (days: number): number => Math.round(Math.abs(days));

/** "3 days late", "due today", "due in 4 days". */
export function dueText({
  daysLate,
  isLastWashKnown,
}: Pick<VehicleAnswer['due'], 'daysLate' | 'isLastWashKnown'>): string {
  if (!isLastWashKnown) return 'last wash not known';
  const days = rounded(daysLate);
  if (days === 0) return 'due today';
  const count = `${days} ${days === 1 ? 'day' : 'days'}`;
  return daysLate > 0 ? `${count} late` : `due in ${count}`;
}
