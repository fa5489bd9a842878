import type { ByGroup } from '../vehicle/index.js';
import { SALT_ZONES } from './data/zones.js';
import { HALF_PACE_GRAMS_PER_M2, type SaltLedger } from './ledger.js';
import { type CompiledHour } from './compile-life.js';

/** One zone through the coming hours: what each adds, keeps and counts, side by side. */
interface ZoneCourse {
  readonly added: Float64Array;
  readonly kept: Float64Array;
}

const agentsOf = (pace: Float64Array, hourCount: number): number => pace.length / Math.max(1, hourCount);

function courseOf(hours: readonly CompiledHour[], zone: number, agents: number): ZoneCourse {
  const added = new Float64Array(hours.length * agents);
  const kept = new Float64Array(hours.length);
  hours.forEach((hour, h) => {
    kept[h] = hour.kept[zone] ?? 1;
    for (let a = 0; a < agents; a += 1) added[h * agents + a] = hour.added[zone * agents + a] ?? 0;
  });
  return { added, kept };
}

/** Moves the loads through one hour, and says how much of it was active. */
function passHour(
  loads: Float64Array,
  { added, kept }: ZoneCourse,
  { pace, h }: { readonly pace: Float64Array; readonly h: number },
): number {
  const share = kept[h] ?? 1;
  const agents = loads.length;
  let total = 0;
  let paced = 0;
  for (let a = 0; a < agents; a += 1) {
    const at = h * agents + a;
    const load = ((loads[a] ?? 0) + (added[at] ?? 0)) * share;
    loads[a] = load;
    total += load;
    paced += load * (pace[at] ?? 0);
  }
  return paced / (total + HALF_PACE_GRAMS_PER_M2);
}

/**
 * What would a wash save? Both courses run over the same hours; new salt afterwards is in both.
 *
 * @param wash what it takes off; `only` the hours (by index) that are asked for, all if absent
 * @returns active hours saved, weighted over the zones, for a wash at the start of each hour (same order); NaN where not asked
 */
export function activeHoursSaved(
  now: SaltLedger,
  hours: readonly CompiledHour[],
  { removes, only }: { readonly removes: ByGroup; readonly only?: ReadonlySet<number> },
): number[] {
  const isAsked = (h: number): boolean => !only || only.has(h);
  const saved = hours.map((_, h) => (isAsked(h) ? 0 : NaN));
  const pace = Float64Array.from(hours.flatMap((hour) => [...hour.pace]));
  const agents = agentsOf(pace, hours.length);
  SALT_ZONES.forEach(({ group, weight }, zone) => {
    // What it does not clean it does not slow, and what has no weight does not count.
    if (removes[group] === 0 || weight === 0) return;
    const course = courseOf(hours, zone, agents);
    const unwashed = now.loadsOf(zone);
    // Active hours from each hour to the end if it is not washed.
    const toCome = new Float64Array(hours.length + 1);
    const before = hours.map((_, h) => {
      const loads = isAsked(h) ? unwashed.slice() : null;
      toCome[h] = passHour(unwashed, course, { pace, h });
      return loads;
    });
    for (let h = hours.length - 1; h >= 0; h -= 1) toCome[h] = (toCome[h] ?? 0) + (toCome[h + 1] ?? 0);
    before.forEach((loads, from) => {
      if (!loads) return;
      for (let a = 0; a < agents; a += 1) loads[a] = (loads[a] ?? 0) * (1 - removes[group]);
      let washed = 0;
      for (let h = from; h < hours.length; h += 1) washed += passHour(loads, course, { pace, h });
      saved[from] = (saved[from] ?? 0) + weight * ((toCome[from] ?? 0) - washed);
    });
  });
  return saved;
}
