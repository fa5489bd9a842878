import {
  doneWork,
  MINOR_PER_UNIT,
  MOST_MINOR,
  type PanelId,
  type RunDeed,
  type RunMoment,
  type RunPack,
  type RunState,
  type SeasonJobId,
  type SpotsFound,
  type WaterBehaviour,
} from '@keen/core';
import { numberOf } from '../../parts/number-text.js';

/** What is typed when a run is closed. */
export interface CloseDraft {
  readonly spots: SpotsFound;
  readonly icePanels: readonly PanelId[];
  readonly behaviour: Readonly<Partial<Record<PanelId, WaterBehaviour>>>;
  readonly leftovers: string;
  readonly note: string;
  readonly paid: number | string;
  readonly foldedTowels: number | string;
  readonly dryingTowels: number | string;
  /** Seasonal jobs that were done, of what was planned. */
  readonly extras: readonly SeasonJobId[];
}

/** All that is likely is filled in, so that the common case is one tap. */
export function closeDraft(
  pack: RunPack,
  state: RunState,
  { moment, extras }: { readonly moment: RunMoment; readonly extras: readonly SeasonJobId[] },
): CloseDraft {
  const { money, media } = pack.sheet.preparation;
  const hasBegun = state.steps.some(({ state: is }) => is === 'done' || is === 'running');
  const minor = (hasBegun ? money.visitMinor : 0) + (moment.meter?.paidMinor ?? 0);
  return {
    spots: 'none',
    icePanels: [],
    behaviour: {},
    leftovers: '',
    note: '',
    paid: minor / MINOR_PER_UNIT,
    foldedTowels: hasBegun ? media.foldedTowels : 0,
    dryingTowels: hasBegun ? media.dryingTowels : 0,
    extras: hasBegun ? doneWork(state, extras) : [],
  };
}

export type CloseErrors = Partial<Record<'paid' | 'foldedTowels' | 'dryingTowels', string>>;

const isCount = (value: number | string): boolean => {
  const count = numberOf(value);
  return value === '' || (count !== null && Number.isInteger(count) && count >= 0 && count <= 200);
};

/** The form's faults by field; none where it can be kept. */
export function closeErrors({ paid, foldedTowels, dryingTowels }: CloseDraft): CloseErrors {
  const errors: CloseErrors = {};
  const amount = numberOf(paid);
  if (paid !== '' && (amount === null || amount < 0 || amount * MINOR_PER_UNIT > MOST_MINOR))
    errors.paid = 'Between 0 and 1 000 000.';
  if (!isCount(foldedTowels)) errors.foldedTowels = 'A whole number up to 200.';
  if (!isCount(dryingTowels)) errors.dryingTowels = 'A whole number up to 200.';
  return errors;
}

const numberOrNull = numberOf;

/** The form as the log takes it. Only for a form without faults. */
export function closeDeed(draft: CloseDraft): RunDeed {
  const amount = numberOf(draft.paid);
  const { spots, icePanels, behaviour, leftovers, note } = draft;
  return {
    kind: 'close',
    found: {
      icePanels,
      spots,
      leftovers: leftovers.trim(),
      note: note.trim(),
      ...(Object.keys(behaviour).length > 0 ? { behaviour } : {}),
    },
    used: {
      paidMinor: amount === null ? null : Math.round(amount * MINOR_PER_UNIT),
      foldedTowels: numberOrNull(draft.foldedTowels),
      dryingTowels: numberOrNull(draft.dryingTowels),
    },
    extras: draft.extras,
  };
}

const NEXT: Readonly<Record<WaterBehaviour | 'unseen', WaterBehaviour | undefined>> = {
  unseen: 'beading',
  beading: 'sheeting',
  sheeting: 'flat',
  flat: undefined,
};

/** One more tap on a panel: beading, sheeting, flat, not looked at. */
export function nextBehaviour(behaviour: CloseDraft['behaviour'], panel: PanelId): CloseDraft['behaviour'] {
  const { [panel]: before, ...others } = behaviour;
  const next = NEXT[before ?? 'unseen'];
  return next === undefined ? others : { ...others, [panel]: next };
}
