import type { WashStep, WashStepId } from '../../method/index.js';
import type { SeasonJobId } from '../../vehicle/index.js';

/** One step of a job of the season, with its share of the minutes of the job. */
export interface SeasonStepRow extends Omit<
  WashStep,
  'id' | 'minutes' | 'litres' | 'onMeter' | 'jobId' | 'contact'
> {
  readonly id: WashStepId;
  readonly share: number;
  /** Its minutes run on the meter, where the place has one. */
  readonly isPaid: boolean;
  /** L/min that run, and litres besides. */
  readonly litresPerMinute: number;
  readonly litres: number;
  readonly contact: boolean;
}

const row = (
  id: WashStepId,
  share: number,
  rest: Pick<SeasonStepRow, 'groups'> & Partial<Omit<SeasonStepRow, 'id' | 'share' | 'groups'>>,
): SeasonStepRow => ({
  id,
  share,
  removes: {},
  dwell: null,
  isPaid: false,
  litresPerMinute: 0,
  litres: 0,
  contact: false,
  ...rest,
});

const UNDER = ['under', 'arches'] as const;
const BODY = ['upper', 'lower'] as const;
/** A lance lets so much through, L/min, as the methods count it. */
const LANCE_LITRES_PER_MINUTE = 6;
const flush = (share: number, removes: SeasonStepRow['removes']): SeasonStepRow =>
  row('underbody-flush', share, {
    groups: UNDER,
    removes,
    isPaid: true,
    litresPerMinute: LANCE_LITRES_PER_MINUTE,
  });
const touched = { contact: true } as const;

/**
 * Each job of the season as steps. Source: practice notes, steps 5 and 6: foam goes on a clean underbody, works a few minutes and is rinsed
 * before the body is dried; what is bonded comes off paint that was just washed, with its own rinse and towel. Shares are judgement; the
 * minutes in all are the shop's.
 */
export const SEASON_STEPS: Readonly<Record<SeasonJobId, readonly SeasonStepRow[]>> = {
  underbody: [flush(1, { under: 0.9, arches: 0.5 })],
  'anti-corrosion': [
    flush(0.2, { under: 0.6 }),
    row('underbody-foam', 0.5, { groups: UNDER, litres: 2, dwell: { minMinutes: 3, maxMinutes: 6 } }),
    flush(0.3, {}),
  ],
  'top-up': [row('top-up', 1, { groups: BODY })],
  decontaminate: [
    row('iron', 0.12, { groups: ['wheels', 'lower'], litres: 0.5, dwell: { minMinutes: 2, maxMinutes: 4 } }),
    row('tar', 0.08, { groups: ['lower'], litres: 0.2, dwell: { minMinutes: 1, maxMinutes: 2 } }),
    row('rinse', 0.08, { groups: ['upper', 'lower', 'wheels'], litres: 6 }),
    row('clay', 0.6, { groups: BODY, ...touched }),
    row('towel', 0.12, { groups: BODY }),
  ],
  // Cool and covered, dirt softened, low pressure, and dry before anything else gets wet.
  'engine-bay': [row('engine-bay', 1, { groups: ['upper'], litres: 5 })],
  polish: [row('polish', 1, { groups: BODY, ...touched })],
  're-coat': [row('bare-check', 0.15, { groups: BODY }), row('coat', 0.85, { groups: BODY })],
};

/** Done before the body is wetted: it splashes, and nothing on the paint waits meanwhile. */
export const BEFORE_BODY: ReadonlySet<SeasonJobId> = new Set(['underbody', 'anti-corrosion', 'engine-bay']);
/** Steps of a method that a job does in their stead. */
export const REPLACES: Readonly<Partial<Record<SeasonJobId, readonly WashStepId[]>>> = {
  underbody: ['underbody-bounce', 'underbody-ramps'],
};
