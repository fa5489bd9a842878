import { CLOTH_KINDS, type ClothDuty, type Gear, type GearKind } from '@keen/core';
import { numberOf } from '../../parts/number-text.js';
import type { FormErrors } from './product-form.js';

type Typed = number | string;

/** What is typed into the form of a piece of gear. */
export interface GearDraft {
  readonly name: string;
  readonly kind: GearKind;
  readonly count: Typed;
  readonly cleanCount: Typed;
  readonly volumeMl: Typed;
  readonly outputLitresPerBottle: Typed;
  readonly lifeLitres: Typed;
  readonly litresUsed: Typed;
  readonly duty: ClothDuty;
  readonly launderedTimes: Typed;
  readonly hasGuard: boolean | null;
  readonly holdsGrams: Typed;
  readonly notes: string;
}

export const NEW_GEAR: GearDraft = {
  name: '',
  kind: 'folded-towel',
  count: 1,
  cleanCount: 1,
  volumeMl: '',
  outputLitresPerBottle: '',
  lifeLitres: '',
  litresUsed: 0,
  duty: 'paint',
  launderedTimes: 0,
  hasGuard: null,
  holdsGrams: '',
  notes: '',
};

const BOTTLES: ReadonlySet<GearKind> = new Set(['sprayer', 'foamer', 'lance', 'bucket']);
const FILTERS: ReadonlySet<GearKind> = new Set(['inline-filter', 'resin']);

/** Which fields a kind of gear has besides its name and number. */
export const gearHas = (kind: GearKind) => ({
  laundry: CLOTH_KINDS.has(kind),
  bottle: BOTTLES.has(kind),
  output: kind === 'foamer' || kind === 'lance',
  life: FILTERS.has(kind),
  guard: kind === 'bucket',
  pile: kind === 'drying-towel',
});

export const gearDraft = (gear: Gear): GearDraft => ({
  ...gear,
  volumeMl: gear.volumeMl ?? '',
  outputLitresPerBottle: gear.outputLitresPerBottle ?? '',
  lifeLitres: gear.lifeLitres ?? '',
  duty: gear.duty ?? 'paint',
  launderedTimes: gear.launderedTimes ?? 0,
  hasGuard: gear.hasGuard ?? null,
  holdsGrams: gear.holdsGrams ?? '',
});

const isWhole = (typed: Typed): boolean => {
  const value = numberOf(typed);
  return value !== null && Number.isInteger(value) && value >= 0 && value <= 10_000;
};
const isAbove = (typed: Typed, least: number): boolean =>
  typed === '' || (numberOf(typed) ?? -Infinity) >= least;

/** The form's faults by field. */
export function gearErrors(draft: GearDraft): FormErrors {
  const { laundry, life, pile } = gearHas(draft.kind);
  return {
    name: draft.name.trim() === '' ? 'Give a name.' : undefined,
    count: isWhole(draft.count) ? undefined : 'A whole number.',
    cleanCount:
      !laundry ||
      (isWhole(draft.cleanCount) && Number(numberOf(draft.cleanCount)) <= Number(numberOf(draft.count)))
        ? undefined
        : 'No more than there are.',
    volumeMl: isAbove(draft.volumeMl, 1) ? undefined : 'Above 0.',
    outputLitresPerBottle: isAbove(draft.outputLitresPerBottle, (numberOf(draft.volumeMl) ?? 0) / 1000)
      ? undefined
      : 'At least what the bottle holds.',
    lifeLitres: !life || isAbove(draft.lifeLitres, 1) ? undefined : 'Above 0.',
    litresUsed: isAbove(draft.litresUsed, 0) ? undefined : 'From 0.',
    holdsGrams: !pile || isAbove(draft.holdsGrams, 1) ? undefined : 'Above 0.',
    launderedTimes: !laundry || isAbove(draft.launderedTimes, 0) ? undefined : 'From 0.',
  };
}

const orNull = (typed: Typed, isWanted: boolean): number | null => (isWanted ? numberOf(typed) : null);

/** The form as the server takes it. Only for a form without faults. */
export function gearFrom(draft: GearDraft): Omit<Gear, 'id'> {
  const { name, kind, notes } = draft;
  const has = gearHas(kind);
  return {
    name: name.trim(),
    kind,
    notes,
    count: numberOf(draft.count) ?? 0,
    cleanCount: has.laundry ? (numberOf(draft.cleanCount) ?? 0) : 0,
    volumeMl: orNull(draft.volumeMl, has.bottle),
    outputLitresPerBottle: orNull(draft.outputLitresPerBottle, has.output),
    lifeLitres: orNull(draft.lifeLitres, has.life),
    litresUsed: has.life ? (numberOf(draft.litresUsed) ?? 0) : 0,
    duty: has.laundry ? draft.duty : 'paint',
    launderedTimes: has.laundry ? (numberOf(draft.launderedTimes) ?? 0) : 0,
    hasGuard: has.guard ? draft.hasGuard : null,
    holdsGrams: orNull(draft.holdsGrams, has.pile),
  };
}
