import type { PanelId, RunDeed, RunMoment, RunPack, SpotsFound, WaterBehaviour } from '@keen/core';

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
}

/** All that is likely is filled in, so that the common case is one tap. */
export function closeDraft(pack: RunPack, moment: RunMoment): CloseDraft {
  const { money, media } = pack.sheet.preparation;
  const minor = money.visitMinor + (moment.meter?.paidMinor ?? 0);
  return {
    spots: 'none',
    icePanels: [],
    behaviour: {},
    leftovers: '',
    note: '',
    paid: minor / 100,
    foldedTowels: media.foldedTowels,
    dryingTowels: media.dryingTowels,
  };
}

export type CloseErrors = Partial<Record<'paid' | 'foldedTowels' | 'dryingTowels', string>>;

const isCount = (value: number | string): boolean =>
  value === '' || (Number.isInteger(Number(value)) && Number(value) >= 0 && Number(value) <= 200);

/** The form's faults by field; none where it can be kept. */
export function closeErrors({ paid, foldedTowels, dryingTowels }: CloseDraft): CloseErrors {
  const errors: CloseErrors = {};
  const amount = Number(paid);
  if (paid !== '' && !(amount >= 0 && amount <= 10_000)) errors.paid = 'Between 0 and 10 000.';
  if (!isCount(foldedTowels)) errors.foldedTowels = 'A whole number up to 200.';
  if (!isCount(dryingTowels)) errors.dryingTowels = 'A whole number up to 200.';
  return errors;
}

const numberOrNull = (value: number | string): number | null => (value === '' ? null : Number(value));

/** The form as the log takes it. Only for a form without faults. */
export function closeDeed(draft: CloseDraft): RunDeed {
  const { spots, icePanels, behaviour, leftovers, note, paid } = draft;
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
      paidMinor: paid === '' ? null : Math.round(Number(paid) * 100),
      foldedTowels: numberOrNull(draft.foldedTowels),
      dryingTowels: numberOrNull(draft.dryingTowels),
    },
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
