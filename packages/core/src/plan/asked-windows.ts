import type { Limits } from '../rules/index.js';
import { startOfHourMs } from '../weather/index.js';
import type { AskedStart } from '../verdict/index.js';
import type { Window } from './window.js';

/** Worth first; behind stand windows of a kind that the house does not want next, and those that fail in too many members. */
function byWorth(limits: Limits): (a: Window, b: Window) => number {
  const rank = (window: Window): number =>
    ((window.blockedShare ?? 0) > limits.tolerableBlockedShare ? 2 : 0) + (window.isWanted ? 0 : 1);
  return (a, b) => rank(a) - rank(b) || b.value.totalMinor - a.value.totalMinor;
}

/** So many of the worthiest that hold are looked at in each hour; with few hands more are never chosen. */
const FOREMOST = 3;

/** Asks the members of the worthiest starts of each hour, until enough of them hold; what lies beyond a deadline comes last. */
export function asked(
  windows: readonly Window[],
  {
    askMembers,
    limits,
  }: {
    /** What the members say of a start; absent: there are none. */
    readonly askMembers?: ((start: Window) => AskedStart | null) | undefined;
    readonly limits: Limits;
  },
  deadlineMs: number | null,
): Window[] {
  const sort = byWorth(limits);
  const isLate = ({ startMs }: Window): number => (deadlineMs !== null && startMs > deadlineMs ? 1 : 0);
  const byHour = new Map<number, Window[]>();
  for (const window of windows) {
    const hourMs = startOfHourMs(window.startMs);
    byHour.set(hourMs, [...(byHour.get(hourMs) ?? []), window]);
  }
  const all = [...byHour.values()].flatMap((hour) => {
    let holding = 0;
    return hour.sort(sort).map((window): Window => {
      if (holding >= FOREMOST) return window;
      const answer = askMembers?.(window) ?? null;
      const share = answer?.blockedShare ?? 0;
      if (window.isWash && share <= limits.tolerableBlockedShare) holding += 1;
      if (!answer) return { ...window, isForemost: true };
      const { standing, limiting, findings, blockedShare, failures } = answer;
      const otherConditions = findings.filter(
        ({ level, ruleId }) => level === 'condition' && ruleId !== limiting.ruleId,
      );
      const verdict = standing === 'go' || standing === 'go-if' ? standing : window.verdict;
      return { ...window, isForemost: true, verdict, limiting, otherConditions, blockedShare, failures };
    });
  });
  return all.sort((a, b) => isLate(a) - isLate(b) || sort(a, b));
}
