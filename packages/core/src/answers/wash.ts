import { withChoices } from '../house-rules/index.js';
import type { PartId, WashStepId, WayId } from '../method/index.js';
import { type WashTotals, washTotals } from '../plan/index.js';
import { MS_PER_HOUR } from '../quantity/index.js';
import type { Finding } from '../rules/index.js';
import { sitesOf } from '../shop/index.js';
import { cellDetail, PlaceCalendar, PlaceWeather, type VerdictKind, verdictGrid } from '../verdict/index.js';
import { timedSteps, type WashPanel, washPanels } from '../wash/index.js';
import { cellRequest } from './cell.js';
import type { WashQuestion } from './question.js';
import type { Tools } from './tools.js';
import { gridRequest, weekStarts } from './week.js';

/** One step of the wash on its clock. */
export interface WashAnswerStep {
  readonly id: WashStepId;
  /** The part of the car; null: all of it. */
  readonly part: PartId | null;
  /** From the beginning of the visit. */
  readonly fromMinute: number;
  readonly minutes: number;
  readonly litres: number;
  readonly onMeter: boolean;
}

/** A wash as it is worked through. */
export interface WashAnswer extends WashTotals {
  /** The ribbon's. */
  readonly verdict: VerdictKind;
  readonly wayId: WayId;
  readonly limiting: Finding;
  /** A machine's thin film that may freeze. */
  readonly leftToFreeze: boolean;
  readonly steps: readonly WashAnswerStep[];
  readonly panels: readonly WashPanel[];
}

/** The verdict of the ribbon in that hour; of a start beside the hour its own. */
function verdictOf(question: WashQuestion, { keep }: Pick<Tools, 'keep'>): VerdictKind | null {
  const { startMs, placeId, methodId, extras } = question.start;
  // The ribbon knows washes alone.
  if (startMs % MS_PER_HOUR !== 0 || (extras?.length ?? 0) > 0) return null;
  const startsMs = weekStarts(question).filter((atMs) => atMs >= startMs);
  const request = gridRequest(question, keep, { startsMs, withMembers: true });
  const sites = sitesOf(question, keep)
    .filter(({ place }) => place.id === placeId)
    .map((site) => ({
      ...site,
      place: { ...site.place, methods: site.place.methods.filter((one) => one.methodId === methodId) },
    }));
  const house = withChoices(request.house, methodId, question.start);
  const band = verdictGrid({ ...request, house, sites }).find((one) => one.methodId === methodId);
  if (band?.refusal) return 'no';
  return band?.cells.find((cell) => cell.startMs === startMs)?.verdict ?? null;
}

/**
 * How is this wash done there then, step by step, and what becomes of every panel?
 *
 * @returns steps on their clock, minutes, money and litres of just these, and each piece of the car as a `wash` sum with its answer; null
 * where nobody knows that hour's weather
 */
export function washAnswer(question: WashQuestion, tools: Pick<Tools, 'keep'>): WashAnswer | null {
  const request = cellRequest(question, tools.keep);
  const { startMs } = question.start;
  const { vehicle, place, limits, control } = request;
  const { judgement, method, wayId, water } = cellDetail(request, startMs);
  const hours = new PlaceWeather(new PlaceCalendar(place), control).washHours(startMs, method);
  if (!hours) return null;
  return {
    verdict: verdictOf(question, tools) ?? judgement.standing,
    wayId,
    limiting: judgement.limiting,
    ...washTotals(place, method),
    leftToFreeze: method.drying.kind === 'left' && (water?.ice.minutes ?? null) !== null,
    steps: timedSteps(method).map(({ step, fromMinute }) => ({
      id: step.id,
      part: step.part ?? null,
      fromMinute,
      minutes: step.minutes,
      litres: step.litres,
      onMeter: step.onMeter,
    })),
    panels: washPanels({ vehicle, place, method }, limits, hours),
  };
}
