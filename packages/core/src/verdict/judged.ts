import type { Method, Way, WayId } from '../method/index.js';
import { combine, type Finding, type Judgement, type KnownFindings, type RemedyId } from '../rules/index.js';
import type { Track, Waited, WaterOutcome } from '../wash/index.js';
import { type InDanger, inDanger } from './member-water.js';

/** A method in one of its ways, with what it does to each piece of the car. */
export interface WayCase {
  readonly way: Way;
  readonly method: Method;
  readonly tracks: readonly Track[];
  /** What no start changes. */
  readonly always: KnownFindings;
}

/** One start, judged: in the way that goes with the least bother, or in the usual one where none goes. */
export interface Judged {
  readonly judgement: Judgement;
  /** null: not looked at, or the weather is not known. */
  readonly water: WaterOutcome | null;
  readonly wayId: WayId;
  /** Coldest air at the place by which its bottles were taken, °C; null: not known. */
  readonly placeC: number | null;
  /** As it is done in that way. */
  readonly method: Method;
}

/** With what became of each piece of the car, about which other courses of the weather are asked. */
export interface LookedAt extends Judged {
  readonly pieces: Looked['pieces'];
  /** Picked out of the pieces, where these are not kept. */
  readonly danger?: readonly InDanger[];
}

/** What is kept of a start for the members to be asked about later: the waits in most danger, not every piece of the car. */
export const forMembers = (judged: LookedAt): LookedAt => ({
  ...judged,
  pieces: [],
  danger: inDanger(judged.pieces),
});

export interface HowThorough {
  readonly thorough: boolean;
  readonly margins?: boolean;
  readonly ways: 'all' | 'usual';
}

/** What the water does, and how it does so on each piece of the car. */
export interface Looked {
  readonly water: WaterOutcome;
  readonly pieces: readonly { readonly track: Track; readonly waited: readonly Waited[] }[];
}

const remedyOf = ({ before, only, isElsewhere }: Way): RemedyId => {
  if (isElsewhere) return 'finish-elsewhere';
  if (only !== null) return `${only}-only`;
  if (before === 'rinse') return 'rinse-each-part';
  return before === 'soak' ? 'soak-each-part' : 'smaller-section';
};

/** What stood against the usual way and does not against this one becomes its condition. */
export function withRemedy(
  { way, ...found }: LookedAt & { readonly way: Way },
  blocked: ReadonlySet<Finding['ruleId']>,
): LookedAt {
  const { judgement } = found;
  const findings = judgement.findings.map((finding): Finding =>
    blocked.has(finding.ruleId) && finding.level !== 'block'
      ? {
          ...finding,
          level: 'condition',
          // What is comfortable in this way was not in the usual one.
          comfort: Math.min(finding.comfort, 1),
          remedy: remedyOf(way),
          section: way.section,
          before: way.before,
        }
      : finding,
  );
  return { ...found, judgement: combine(findings) };
}

/** Ways of the whole car that differ by the size of their parts alone, each from the largest to the smallest. */
export function groupsOf(ways: readonly Way[]): Way[][] {
  const groups = new Map<string, Way[]>();
  for (const way of ways.filter(({ only, isElsewhere }) => only === null && !isElsewhere)) {
    const key = `${way.from} ${String(way.before)}`;
    groups.set(key, [...(groups.get(key) ?? []), way]);
  }
  return [...groups.values()];
}
