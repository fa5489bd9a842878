import { coldHands, forecastAgrees, iceOnGround, reSoiling, scratch, soilCeiling } from './care-rules.js';
import { chemicals, wear } from './chemistry-rules.js';
import { labelTime } from './label-time.js';
import type { Finding, FindingLevel, Rule, RuleId, SiteTimes, Situation } from './rule.js';
import {
  daylightRule,
  floorDrain,
  methodOffered,
  openHours,
  siteRule,
  tapFrost,
  workingWarmth,
} from './site-rules.js';
import { directSun, dryOn, falling, iceOnCar, sealsOvernight } from './water-rules.js';
import { spots } from './spot-rules.js';

/** Every rule, the ones that say most about a refusal first; ties between findings fall to the earlier rule. */
export const RULES: readonly Rule[] = [
  methodOffered,
  siteRule,
  floorDrain,
  soilCeiling,
  scratch,
  chemicals,
  tapFrost,
  openHours,
  iceOnCar,
  spots,
  dryOn,
  labelTime,
  directSun,
  falling,
  daylightRule,
  workingWarmth,
  coldHands,
  sealsOvernight,
  iceOnGround,
  wear,
  reSoiling,
  forecastAgrees,
];

const BY_ID = new Map<RuleId, Rule>(RULES.map((rule) => [rule.id, rule]));

/** A rule by its id. @throws RangeError for an id that does not exist */
export function ruleOf(ruleId: RuleId): Rule {
  const rule = BY_ID.get(ruleId);
  if (!rule) throw new RangeError(`ruleOf: ruleId is ${ruleId}`);
  return rule;
}

/** What the weather does to a wash that fails by it. */
export const FAILURE_CAUSES = ['freezes', 'spots', 'falls', 'cold'] as const;
export type FailureCause = (typeof FAILURE_CAUSES)[number];

/** Rules that another course of the weather may answer otherwise, and what it is that fails by them. */
const WEATHER_RULES: readonly (readonly [Rule, FailureCause])[] = [
  [tapFrost, 'freezes'],
  [siteRule, 'cold'],
  [iceOnCar, 'freezes'],
  [spots, 'spots'],
  [dryOn, 'spots'],
  [falling, 'falls'],
  [workingWarmth, 'cold'],
  [coldHands, 'cold'],
];

/** By what the weather does, is this situation blocked, or not known? The first rule that says so; null: none does. */
export function weatherFailure(situation: Situation): FailureCause | null {
  const failing = WEATHER_RULES.find(([rule]) => {
    const { level } = find(rule, situation);
    return level === 'block' || level === 'unknown';
  });
  return failing?.[1] ?? null;
}

/** How findings combine: the gravest level decides; unknown never counts as clear, but a block outweighs it. */
const GRAVITY: readonly FindingLevel[] = ['block', 'unknown', 'condition', 'clear'];

export type Standing = 'go' | 'go-if' | 'no' | 'unknown';

const STANDING: Readonly<Record<FindingLevel, Standing>> = {
  clear: 'go',
  condition: 'go-if',
  block: 'no',
  unknown: 'unknown',
};

export interface Judgement {
  readonly standing: Standing;
  /** The finding that decides: among the gravest, the one nearest to or furthest beyond its limit. */
  readonly limiting: Finding;
  readonly findings: readonly Finding[];
}

/** Rules about the water and the products on the car: another way of doing the same method may answer them otherwise. */
const WATER_RULES: readonly Rule[] = [iceOnCar, spots, dryOn, labelTime];
export const WATER_RULE_IDS: ReadonlySet<RuleId> = new Set(WATER_RULES.map(({ id }) => id));
const READS_WATER: ReadonlySet<RuleId> = new Set([...WATER_RULE_IDS, directSun.id]);

/** Rules that the clock may answer otherwise within the hour, while its weather stays. */
const READS_CLOCK: readonly (keyof SiteTimes)[] = [
  'open',
  'lightLeftMinutes',
  'lightAtStart',
  'queueMinutes',
  'dryRoadHours',
];
export const CLOCK_RULE_IDS: ReadonlySet<RuleId> = new Set(
  RULES.filter(({ reads }) => READS_CLOCK.some((name) => reads.includes(`site.${name}`))).map(({ id }) => id),
);

/** What of a situation changes with its start. */
const IN_TIME = /^(site|water)\.|^(overnightC|failedFraction)$/u;
const ALWAYS: ReadonlySet<RuleId> = new Set(
  RULES.filter(({ reads }) => !reads.some((name) => IN_TIME.test(name))).map(({ id }) => id),
);

/** Rules about a place, its hours and its air: of a wash in two places they are asked in each. */
export const PLACE_RULE_IDS: ReadonlySet<RuleId> = new Set(
  [
    siteRule,
    floorDrain,
    tapFrost,
    openHours,
    falling,
    daylightRule,
    workingWarmth,
    coldHands,
    iceOnGround,
  ].map(({ id }) => id),
);

/** What a rule finds; where it is asked in two places, the graver of both, or the nearer to its limit. */
function find(rule: Rule, situation: Situation): Finding {
  const { stages } = situation;
  if (!stages || !PLACE_RULE_IDS.has(rule.id)) return rule.judge(situation);
  const found = stages.map((stage, i): Finding => {
    const finding = rule.judge(stage);
    return i > 0 ? { ...finding, isElsewhere: true } : finding;
  });
  return found.length > 0 ? combine(found).limiting : rule.judge(situation);
}

/** Findings that are known already, by the place of their rule in `RULES`. */
export type KnownFindings = readonly (Finding | undefined)[];

/** What no start changes: of car, place and method alone. */
export const findAlways = (situation: Situation): KnownFindings =>
  RULES.map((rule) => (ALWAYS.has(rule.id) ? find(rule, situation) : undefined));

/** What no water changes. @param known asked no second time */
export const findSettled = (situation: Situation, known: KnownFindings = []): KnownFindings =>
  RULES.map((rule, i) => (READS_WATER.has(rule.id) ? undefined : (known[i] ?? find(rule, situation))));

/** Combines what is known. @throws RangeError if nothing is */
export const judgeKnown = (known: KnownFindings): Judgement =>
  combine(known.filter((finding) => finding !== undefined));

/**
 * Runs every rule on a situation and combines what they found. What no water changes decides before what it does on the car.
 *
 * @param known of the same situation, asked no second time
 */
export function judgeAll(situation: Situation, known: KnownFindings = []): Judgement {
  const findings = RULES.map((rule, i) => known[i] ?? find(rule, situation));
  const all = combine(findings);
  if (all.standing !== 'no') return all;
  const settled = findings.filter(({ ruleId, level }) => level === 'block' && !READS_WATER.has(ruleId));
  return settled.length > 0 ? { ...all, limiting: combine(settled).limiting } : all;
}

/** Runs the rules about water and products alone. */
export const judgeWater = (situation: Situation): Finding[] =>
  WATER_RULES.map((rule) => rule.judge(situation));

/** Combines findings in the order of the rules. @throws RangeError if there are none */
export function combine(findings: readonly Finding[]): Judgement {
  const gravest = GRAVITY.find((level) => findings.some((finding) => finding.level === level)) ?? 'clear';
  const deciding = findings.filter((finding) => finding.level === gravest);
  const [first] = deciding;
  if (!first) throw new RangeError('combine: findings is empty; at least one is needed');
  const limiting = deciding.reduce(
    (worst, finding) => (finding.comfort < worst.comfort ? finding : worst),
    first,
  );
  return { standing: STANDING[gravest], limiting, findings };
}

export { forecastAgrees };
