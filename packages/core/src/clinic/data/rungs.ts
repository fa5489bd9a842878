/** What is seen after a rung. */
export const SPOT_REACTIONS = ['gone', 'fewer', 'still-reacting', 'no-change', 'dulled'] as const;
export type SpotReaction = (typeof SPOT_REACTIONS)[number];

export const RUNG_IDS = [
  're-wet',
  'acid-test',
  'acid',
  'wet-blade',
  'neutralise',
  'clay',
  'blade',
  'polish',
  'seal',
  'refer',
] as const;
export type RungId = (typeof RUNG_IDS)[number];

export const CLINIC_CAUTIONS = [
  'gloves-and-goggles',
  'air-the-room',
  'test-spot',
  'never-over-alkali',
  'cool-panel',
  'not-on-bare-metal',
  'blade-never-on-paint',
  'blade-not-on-heated-side',
  'takes-protection-off',
  'no-abrasive-pads',
  'data-sheet',
] as const;
export type ClinicCaution = (typeof CLINIC_CAUTIONS)[number];

export interface RungRow {
  readonly id: RungId;
  /** Shortest and longest dwell, s; null: nothing dwells. */
  readonly dwellSeconds: { readonly from: number; readonly to: number } | null;
  /** How often it is done over while it still works. */
  readonly mostTimes: number;
  /** What can be seen after it; none: it is the last. */
  readonly reactions: readonly SpotReaction[];
  readonly cautions: readonly ClinicCaution[];
  readonly status: 'judgement';
}

const row = (
  id: RungId,
  dwellSeconds: RungRow['dwellSeconds'],
  rest: Partial<Pick<RungRow, 'mostTimes' | 'reactions' | 'cautions'>>,
): RungRow => ({
  id,
  dwellSeconds,
  mostTimes: 1,
  reactions: [],
  cautions: [],
  ...rest,
  status: 'judgement',
});

const ACID: readonly ClinicCaution[] = [
  'gloves-and-goggles',
  'air-the-room',
  'never-over-alkali',
  'cool-panel',
  'not-on-bare-metal',
  'data-sheet',
];

/**
 * The spot ladder (practice notes §7, and dwell of §4: seconds on salt, 1–2 min on scale, repeat; on glass the blade goes with the remover
 * still wet, §10). Data sheets go before it.
 */
export const RUNGS = [
  row('re-wet', { from: 60, to: 120 }, { mostTimes: 2, reactions: ['gone', 'fewer', 'no-change'] }),
  row(
    'acid-test',
    { from: 10, to: 60 },
    {
      reactions: ['gone', 'still-reacting', 'no-change', 'dulled'],
      cautions: ['test-spot', ...ACID],
    },
  ),
  row(
    'acid',
    { from: 30, to: 120 },
    {
      mostTimes: 4,
      reactions: ['gone', 'still-reacting', 'no-change', 'dulled'],
      cautions: ACID,
    },
  ),
  row('wet-blade', null, {
    reactions: ['gone', 'fewer', 'no-change'],
    cautions: ['blade-never-on-paint', 'blade-not-on-heated-side', ...ACID],
  }),
  row('neutralise', null, { reactions: ['gone', 'fewer', 'no-change'], cautions: ['gloves-and-goggles'] }),
  row('clay', null, {
    reactions: ['gone', 'fewer', 'no-change', 'dulled'],
    cautions: ['takes-protection-off', 'no-abrasive-pads'],
  }),
  row('blade', null, {
    reactions: ['gone', 'no-change'],
    cautions: ['blade-never-on-paint', 'blade-not-on-heated-side'],
  }),
  row('polish', null, {
    reactions: ['gone', 'no-change', 'dulled'],
    cautions: ['test-spot', 'takes-protection-off', 'no-abrasive-pads'],
  }),
  row('seal', null, { cautions: ['data-sheet'] }),
  row('refer', null, { cautions: ['no-abrasive-pads'] }),
] as const satisfies readonly RungRow[];
