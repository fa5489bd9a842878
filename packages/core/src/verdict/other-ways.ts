import type { Method, Way } from '../method/index.js';
import { type Finding, type Judgement, PLACE_RULE_IDS, type RuleId, WATER_RULE_IDS } from '../rules/index.js';
import type { WaterOutcome } from '../wash/index.js';
import { isOfLastWater } from './blocks.js';
import { groupsOf, type LookedAt, type WayCase } from './judged.js';
import { onceEach } from './remember.js';
import type { LookedUntil } from './water-look.js';

/** How one way of a method is looked at and judged at a start. */
interface LooksAtWays {
  readonly caseOf: (plain: Method, way: Way) => WayCase;
  /** null: the weather is not known. */
  readonly lookedIn: (one: WayCase, startMs: number) => LookedUntil | null;
  /** By what it fails where a start failed last; null: by nothing there. */
  readonly failsAgain: (one: WayCase, startMs: number) => LookedUntil | null;
  readonly judgeIn: (one: WayCase, startMs: number, looked: LookedUntil) => Judgement;
}

/** What the usual way fails by: on the panel that failed, and by which rules. */
interface UsualFails {
  readonly fails: WaterOutcome;
  readonly blocked: ReadonlySet<RuleId>;
}

export type OtherWay = Omit<LookedAt, 'placeC'> & { readonly way: Way };

/** Looks for another way of a method where the usual one does not go. */
export class OtherWays {
  private readonly groups: readonly (readonly Way[])[];

  /** @param ways in the order of their bother, the usual one first */
  constructor(
    private readonly ways: readonly Way[],
    private readonly at: LooksAtWays,
  ) {
    this.groups = groupsOf(ways.slice(1));
  }

  /** The first that goes, where water alone keeps the usual one from going; null: none does. */
  first(plain: Method, startMs: number, { fails, blocked }: UsualFails): OtherWay | null {
    const { caseOf, failsAgain } = this.at;
    const groups = this.groups.filter(([way]) => way?.from !== 'drying' || isOfLastWater(fails, blocked));
    // Asked of the piece that failed last alone: it nearly always is the one that fails again, and a look at all of them costs ten times that.
    const smallestFails = onceEach((group: readonly Way[]) => {
      const smallest = group.at(-1);
      return smallest ? failsAgain(caseOf(plain, smallest), startMs) : null;
    });
    // Against ice nothing does more than fresh warm water before each of the smallest parts: where that freezes, all does.
    const strongest = groups.filter(([way]) => way?.before !== null);
    const freezes = (group: readonly Way[]): boolean =>
      smallestFails(group)?.fails.has('ice-on-car') ?? false;
    const isHopeless = strongest.length > 0 && strongest.every(freezes);
    const groupOf = new Map(
      isHopeless ? [] : groups.flatMap((group) => group.map((way) => [way, group] as const)),
    );
    for (const way of this.ways) {
      const group = groupOf.get(way);
      // What fails above, under the open sky, need not fail on the lower body, where most of the salt is; half of it takes half the time.
      if (!group && !way.isElsewhere && way.only !== 'lower') continue;
      // What waits too long in the smallest parts waits too long in larger ones.
      if (group && smallestFails(group)) continue;
      const found = this.in(caseOf(plain, way), startMs);
      if (found) return found;
    }
    return null;
  }

  /** Ended in the second place, where nothing but this place, its air and its water keeps the usual way from going. */
  elsewhere(plain: Method, startMs: number, blocks: readonly Finding[]): OtherWay | null {
    const isOfPlace = ({ ruleId }: Finding): boolean =>
      PLACE_RULE_IDS.has(ruleId) || WATER_RULE_IDS.has(ruleId);
    if (!blocks.every(isOfPlace)) return null;
    for (const way of this.ways.filter(({ isElsewhere }) => isElsewhere)) {
      const found = this.in(this.at.caseOf(plain, way), startMs);
      if (found) return found;
    }
    return null;
  }

  private in(one: WayCase, startMs: number): OtherWay | null {
    const looked = this.at.lookedIn(one, startMs);
    if (!looked || looked.fails.size > 0) return null;
    const judgement = this.at.judgeIn(one, startMs, looked);
    if (judgement.standing === 'no' || judgement.standing === 'unknown') return null;
    const { way, method } = one;
    return { ...looked, judgement, wayId: way.id, method, way };
  }
}
