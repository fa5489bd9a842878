import {
  forecastAgrees,
  type FailureCause,
  type Judgement,
  combine,
  type Situation,
} from '../rules/index.js';

/** In which of the forecast's members a start fails, by cause: a bit for each member. */
export interface MemberFailures extends Readonly<Record<FailureCause, number>> {
  readonly memberCount: number;
}

/** More members than this are not told apart. */
export const MOST_MEMBERS = 30;

export function countBits(mask: number): number {
  let count = 0;
  for (let rest = mask; rest !== 0; rest &= rest - 1) count += 1;
  return count;
}

/** Every member in which it fails, whatever the cause. */
export const failedMask = ({ freezes, spots, falls, cold }: MemberFailures): number =>
  freezes | spots | falls | cold;

/** Share of members in which it fails, 0–1. */
export const failedFraction = (failures: MemberFailures): number =>
  countBits(failedMask(failures)) / failures.memberCount;

/** The judgement once the members have been asked. */
export function withForecast(
  judgement: Judgement,
  situation: Omit<Situation, 'site' | 'water'>,
  share: number,
): Judgement {
  const asked = forecastAgrees.judge({ site: null, water: null, ...situation, failedFraction: share });
  return combine(judgement.findings.map((finding) => (finding.ruleId === asked.ruleId ? asked : finding)));
}
