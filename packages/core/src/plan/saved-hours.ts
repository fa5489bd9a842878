import type { Method } from '../method/index.js';
import { MS_PER_HOUR } from '../quantity/index.js';
import { activeHoursSaved, type SaltLedger } from '../salt/index.js';
import { ZONE_GROUPS } from '../vehicle/index.js';
import { firstAhead, goes, type MorningCase } from './morning-case.js';

/** Active hours that a wash by a method would save at the start of each coming hour; NaN where nobody asked. */
export type SavedBy = (method: Method) => readonly number[];

/** Of a car that has not changed since, what was worked out before: by what a wash takes off, each hour that was asked for. */
const savedOn = new WeakMap<
  SaltLedger,
  { readonly ahead: MorningCase['ahead']; readonly byRemoves: Map<string, readonly number[]> }
>();

function savedBefore({ ledger, ahead }: MorningCase): Map<string, readonly number[]> {
  const known = savedOn.get(ledger);
  if (known?.ahead === ahead) return known.byRemoves;
  const byRemoves = new Map<string, readonly number[]>();
  savedOn.set(ledger, { ahead, byRemoves });
  return byRemoves;
}

/** Active hours that each start would save, worked out once for each method, for the hours in which it goes anywhere. */
export function savedBy(input: MorningCase): SavedBy {
  const { ledger, ahead } = input;
  const before = savedBefore(input);
  const made = new Map<string, readonly number[]>();
  return ({ id, removes }) => {
    // Every way of the whole car takes the same off.
    const taken = ZONE_GROUPS.map((group) => removes[group]).join(' ');
    const key = `${id} ${taken}`;
    const known = made.get(key);
    if (known) return known;
    const there = before.get(taken) ?? [];
    const lacking = input.bands
      .filter(({ methodId }) => methodId === id)
      .flatMap(({ cells }) => cells.filter((cell) => goes(cell) && cell.startMs >= input.nowMs))
      .map(({ startMs }) => Math.round((startMs - firstAhead(input)) / MS_PER_HOUR))
      .filter((hour) => Number.isNaN(there[hour] ?? NaN));
    const more =
      lacking.length > 0 ? activeHoursSaved(ledger, ahead, { removes, only: new Set(lacking) }) : there;
    const saved = more.map((hours, i) => (Number.isNaN(hours) ? (there[i] ?? NaN) : hours));
    before.set(taken, saved);
    made.set(key, saved);
    return saved;
  };
}
