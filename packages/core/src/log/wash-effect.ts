import { MS_PER_MINUTE } from '../quantity/index.js';
import { coatsLaid } from './coats-laid.js';
import { type Method, removedBy, washedBy, type WashStep } from '../method/index.js';
import {
  type ByGroup,
  type CarZone,
  type PanelId,
  type SeasonJobId,
  type WaterBehaviour,
  ZONE_GROUPS,
  type ZoneGroup,
  ZONE_OF_PANEL,
} from '../vehicle/index.js';
import type { LaidCoat, Predicted, RunRecord, WashFound, WashRecord } from './wash-record.js';

/** What is read of a wash to tell what it changed. */
export interface DoneWash extends Pick<WashRecord, 'methodId' | 'startMs' | 'minutes' | 'extras'> {
  /** Absent: it is not known where. */
  readonly placeId?: string;
  /** The way in which it was planned. */
  readonly predicted?: Pick<Predicted, 'wayId'> | null;
  readonly found:
    | (Pick<WashFound, 'spots' | 'laid' | 'behaviour'> & { readonly run?: Pick<RunRecord, 'steps'> })
    | null;
}

/** What a done wash changed on the car: by the steps that were done, and no others. */
export interface WashEffect {
  /** When it was over. */
  readonly atMs: number;
  readonly methodId: string;
  /** It counts as a wash of the car's cadence. */
  readonly isWash: boolean;
  /** Something rubbed the paint. */
  readonly contact: boolean;
  /** Share of salt taken off by zone group. */
  readonly removes: ByGroup;
  /** Of the strongest product that met each zone group, 7 where it was water alone; null: nothing was done. */
  readonly phOn: ByGroup | null;
  /** Protection was taken off on purpose from these; empty: none was. */
  readonly stripped: readonly ZoneGroup[];
  readonly laid: readonly LaidCoat[];
  readonly extras: readonly SeasonJobId[];
  readonly isSpotted: boolean;
  /** What water was seen to do afterwards. */
  readonly seen: readonly { readonly zone: CarZone; readonly behaviour: WaterBehaviour }[];
}

/** A run that took off less than this share of what its method takes off the body is no wash of the cadence (judgement). */
const WASHED_FRACTION = 0.5;

const WATER_PH = 7;

/** In-use pH of the strongest product that met each group. */
const strongestPh = (steps: readonly WashStep[]): ByGroup =>
  Object.fromEntries(
    ZONE_GROUPS.map((group) => [
      group,
      steps.reduce((strongest, { product, groups }) => {
        if (!product || !groups.includes(group)) return strongest;
        const { inUsePh } = product;
        return Math.abs(inUsePh - WATER_PH) > Math.abs(strongest - WATER_PH) ? inUsePh : strongest;
      }, WATER_PH),
    ]),
  ) as unknown as ByGroup;

/**
 * Steps of the method that a run did: of an id that stands there several times, as many as were done. A step that the run did part by
 * part took off as much as its done parts have of its minutes.
 */
function stepsDone(steps: readonly WashStep[], run: Pick<RunRecord, 'steps'>): WashStep[] {
  const counts = new Map<string, number>();
  return steps.flatMap((step): WashStep[] => {
    const all = run.steps.filter(({ id }) => id === step.id);
    const onWhole = all.filter(({ part }) => part === undefined);
    const before = counts.get(step.id) ?? 0;
    counts.set(step.id, before + 1);
    if (before < onWhole.length) {
      const done = onWhole.filter(({ skipped }) => skipped === null).length;
      return before < done ? [step] : [];
    }
    // Of an id that stands there several times the later ones are those that go round with the parts. What is rinsed again before the
    // hand comes takes no more off than the rinse of the whole car did.
    const ofId = all.filter(({ part }) => part !== undefined);
    const planned = (some: typeof ofId): number => some.reduce((sum, one) => sum + one.plannedMinutes, 0);
    const share = planned(ofId.filter(({ skipped }) => skipped === null)) / planned(ofId);
    if (!(share > 0)) return [];
    const removes = Object.fromEntries(
      Object.entries(step.removes).map(([group, part]) => [group, part * share]),
    );
    return [{ ...step, removes }];
  });
}

/** Was anything done in this run? */
export const didAnything = ({ steps }: Pick<RunRecord, 'steps'>): boolean =>
  steps.some(({ skipped }) => skipped === null);

/** Protection that goes with season jobs: a new coat; a top-up renews what lies there, which its map knows. */
const COATED: readonly ZoneGroup[] = ['upper', 'lower'];
const jobCoats = (extras: readonly SeasonJobId[]): LaidCoat[] =>
  extras.includes('re-coat') ? [{ kind: 'coating', productName: null, groups: COATED }] : [];

/**
 * What did this wash change?
 *
 * @param wash done
 * @param shops the method as the shop does it, with its products
 * @returns by the steps that its run did; for a wash that was logged without a run, by all steps of its method
 */
export function washEffect(wash: DoneWash, shops: Method): WashEffect {
  const method = washedBy(shops, wash.predicted?.wayId ?? null);
  const { found, methodId } = wash;
  const run = found?.run;
  const steps = run ? stepsDone(method.steps, run) : method.steps;
  const removes = removedBy(steps, ZONE_GROUPS);
  const isDone = !run || didAnything(run);
  const ofBody = (by: ByGroup): number => by.upper + by.lower;
  const stripping = steps.filter(({ id }) => id === 'strip');
  const extras = isDone ? wash.extras : [];
  return {
    atMs: wash.startMs + wash.minutes * MS_PER_MINUTE,
    methodId,
    isWash: method.scope === 'wash' && isDone && ofBody(removes) >= WASHED_FRACTION * ofBody(method.removes),
    contact: steps.some(({ contact }) => contact),
    removes,
    phOn: isDone ? strongestPh(steps) : null,
    stripped: method.strips ? [...new Set(stripping.flatMap(({ groups }) => groups))] : [],
    laid: [...(found?.laid ?? coatsLaid(steps)), ...jobCoats(extras)],
    extras,
    isSpotted: found !== null && found.spots !== 'none',
    seen: Object.entries(found?.behaviour ?? {}).map(([panel, behaviour]) => ({
      zone: ZONE_OF_PANEL[panel as PanelId],
      behaviour,
    })),
  };
}
