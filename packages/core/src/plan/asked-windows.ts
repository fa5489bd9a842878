import type { Limits } from '../rules/index.js';
import { startOfHourMs } from '../weather/index.js';
import type { Candidate } from './band-windows.js';
import type { AgreedWash, AskMembers } from './morning-case.js';
import type { Window } from './window.js';

/** Worth first; behind stand windows of a kind that the house does not want next, and those that fail in too many members. */
function byWorth(limits: Limits): (a: Window, b: Window) => number {
  const rank = (window: Window): number =>
    ((window.blockedFraction ?? 0) > limits.tolerableBlockedFraction ? 2 : 0) + (window.isWanted ? 0 : 1);
  return (a, b) => rank(a) - rank(b) || b.value.totalMinor - a.value.totalMinor;
}

/** So many of the worthiest that hold are looked at in each hour; with few hands more are never chosen. */
const FOREMOST = 3;

interface Asking {
  /** What the members say of a start; absent: there are none. */
  readonly askMembers?: AskMembers | undefined;
  readonly limits: Limits;
  /** Washes that were agreed on: of their methods the foremost are wanted, too. */
  readonly agreedWashes?: readonly AgreedWash[] | undefined;
}

/** A start as the members have it: with its work of the season as it was judged with it, or without where it does not go with it. */
function ask(candidate: Candidate, askMembers: AskMembers): Candidate | Window {
  const { window, less, inWay } = candidate;
  const answer = askMembers(window);
  if (!answer) return { ...window, isForemost: true };
  const { standing, limiting, findings, blockedFraction, failures, wayId, placeC } = answer;
  const hasGone = standing === 'go' || standing === 'go-if';
  // The longer visit was not looked at before.
  if (!hasGone && less) return less();
  const isSame = wayId === window.wayId && placeC === window.placeC;
  const asJudged = isSame || !inWay ? window : inWay({ wayId, placeC });
  const otherConditions = findings.filter(
    ({ level, ruleId }) => level === 'condition' && ruleId !== limiting.ruleId,
  );
  const verdict = hasGone ? standing : window.verdict;
  return { ...asJudged, isForemost: true, verdict, limiting, otherConditions, blockedFraction, failures };
}

/** One hour's starts, and those of them that were asked. */
class AskedHour {
  private readonly done: Window[] = [];
  private readonly waiting: Candidate[];
  private readonly sort: ReturnType<typeof byWorth>;

  constructor(
    candidates: readonly Candidate[],
    private readonly of: Asking,
  ) {
    this.sort = byWorth(of.limits);
    this.waiting = [...candidates];
    this.putInOrder();
  }

  private putInOrder(): void {
    this.waiting.sort((a, b) => this.sort(a.window, b.window));
  }

  private holds({ isWash, blockedFraction }: Window): boolean {
    return isWash && (blockedFraction ?? 0) <= this.of.limits.tolerableBlockedFraction;
  }

  /** Asks the worthiest that are meant, one after the other, until enough of them hold. */
  askForemost(isMeant: (window: Window) => boolean): void {
    const { askMembers } = this.of;
    let holding = this.done.filter((window) => isMeant(window) && this.holds(window)).length;
    while (holding < FOREMOST) {
      const at = this.waiting.findIndex(({ window }) => isMeant(window));
      const [next] = at < 0 ? [] : this.waiting.splice(at, 1);
      if (!next) return;
      const found = askMembers ? ask(next, askMembers) : { ...next.window, isForemost: true };
      if ('window' in found) {
        // What is worth less now stands further behind.
        this.waiting.push(found);
        this.putInOrder();
        continue;
      }
      this.done.push(found);
      if (this.holds(found)) holding += 1;
    }
  }

  get windows(): Window[] {
    return [...this.done, ...this.waiting.map(({ window }) => window)];
  }
}

function askedInHour(candidates: readonly Candidate[], of: Asking): Window[] {
  const hour = new AskedHour(candidates, of);
  hour.askForemost(() => true);
  for (const { methodId, fromMs, readyByMs } of of.agreedWashes ?? [])
    hour.askForemost(
      (window) => window.methodId === methodId && window.startMs >= fromMs && window.endMs <= readyByMs,
    );
  return hour.windows;
}

/**
 * Asks the members of the worthiest starts of each hour, until enough of them hold, and of as many by the method of a wash that was agreed
 * on within its time; what lies beyond a deadline comes last.
 */
export function asked(candidates: readonly Candidate[], of: Asking, deadlineMs: number | null): Window[] {
  const sort = byWorth(of.limits);
  const isLate = ({ startMs }: Window): number => (deadlineMs !== null && startMs > deadlineMs ? 1 : 0);
  const byHour = new Map<number, Candidate[]>();
  for (const candidate of candidates) {
    const hourMs = startOfHourMs(candidate.window.startMs);
    const hour = byHour.get(hourMs);
    if (hour) hour.push(candidate);
    else byHour.set(hourMs, [candidate]);
  }
  return [...byHour.values()]
    .flatMap((hour) => askedInHour(hour, of))
    .sort((a, b) => isLate(a) - isLate(b) || sort(a, b));
}
