import type { Finding, PartId, SectionId, WashStepId, WayId } from '@keen/core';
import { RUN_STEP_NAMES } from './run-words.js';

/** The part of the car that a step is done on. */
export const PART_NAMES: Readonly<Record<PartId, string>> = {
  'whole-car': 'whole car',
  'left-side': 'left half',
  'right-side': 'right half',
  top: 'roof and windscreen',
  'left-flank': 'left flank',
  nose: 'bonnet and front',
  'right-flank': 'right flank',
  tail: 'boot lid and rear',
  roof: 'roof',
  windscreen: 'windscreen',
  'left-ahead': 'left flank, front half',
  'left-behind': 'left flank, rear half',
  bonnet: 'bonnet',
  front: 'front',
  'right-ahead': 'right flank, front half',
  'right-behind': 'right flank, rear half',
  boot: 'boot lid',
  rear: 'rear',
};

/** "Towel it dry, left flank": a step with the part that it is done on, where it is not done on all of the car at once. */
export const stepOnPart = ({ id, part }: { readonly id: WashStepId; readonly part: PartId | null }): string =>
  part ? `${RUN_STEP_NAMES[id]}, ${PART_NAMES[part]}` : RUN_STEP_NAMES[id];

/** "one side": how much of the car at a time. */
export const SECTION_NAMES: Readonly<Record<SectionId, string>> = {
  'whole-car': 'the whole car',
  'one-side': 'one side',
  'two-panels': 'two panels',
  'one-panel': 'one panel',
};

const CUT = /^(?<loop>dry|touch|soap)-(?<section>one-side|two-panels|one-panel)(?:-(?<before>rinse|soak))?$/;

const BEFORE: Readonly<Record<string, string>> = {
  rinse: ' Rinse each part again just before you touch it.',
  soak: ' Soak each part with warm water just before you touch it.',
};

const LOOP_NAMES: Readonly<Record<string, string>> = {
  dry: 'drying',
  touch: 'from the hand on',
  soap: 'from the soap on',
};
const BEFORE_NAMES: Readonly<Record<string, string>> = {
  rinse: ', each rinsed just before',
  soak: ', each soaked warm just before',
};

/** What is not merely cut up, by a name and as an instruction. */
const OTHER_NAMES: Partial<Record<WayId, string>> = {
  'lower-only': 'the lower body only',
  'upper-only': 'the upper body only',
  'dry-elsewhere': 'rinsed here, dried where you finish',
  'dry-elsewhere-thaw': 'rinsed here, thawed and dried where you finish',
  'touch-elsewhere': 'rinsed here, washed by hand where you finish',
  'touch-elsewhere-thaw': 'rinsed here, thawed and washed by hand where you finish',
};
const OTHER_TEXTS: Partial<Record<WayId, string>> = {
  'lower-only':
    'Wash the lower body only: flanks below the trim, front, rear, wheels and underneath. Leave roof, glass and bonnet dry.',
  'upper-only':
    'Wash the upper body only: leave the lowers and the wheels as they are, and touch nothing there.',
  'dry-elsewhere': 'Rinse it here, then drive to where you finish and dry it there.',
  'dry-elsewhere-thaw':
    'Rinse it here, drive to where you finish, let what froze on the way thaw, and only then dry it.',
  'touch-elsewhere': 'Rinse it here, then drive to where you finish and wash it by hand there.',
  'touch-elsewhere-thaw':
    'Rinse it here, drive to where you finish, let what froze on the way thaw, and only then wash it by hand.',
};

/** The same by a name: "two panels at a time, from the hand on". */
export function wayName(wayId: WayId): string {
  const other = OTHER_NAMES[wayId];
  if (other) return other;
  const cut = CUT.exec(wayId)?.groups;
  if (!cut) return 'the whole car at once';
  const section = SECTION_NAMES[cut.section as SectionId];
  return `${section} at a time, ${LOOP_NAMES[cut.loop ?? ''] ?? ''}${BEFORE_NAMES[cut.before ?? ''] ?? ''}`;
}

/** How this wash is cut up, as an instruction; null: it is done on the whole car. */
export function wayText(wayId: WayId | null | undefined): string | null {
  const other = wayId ? OTHER_TEXTS[wayId] : undefined;
  if (other) return other;
  const cut = CUT.exec(wayId ?? '')?.groups;
  if (!cut) return null;
  const section = SECTION_NAMES[cut.section as SectionId];
  const before = BEFORE[cut.before ?? ''] ?? '';
  switch (cut.loop) {
    case 'dry':
      return `Dry ${section} at a time: last rinse, blower and towel, before you go on.${before}`;
    case 'touch':
      return `Wash ${section} at a time: washed, finished and dry before you go on.${before}`;
    default:
      return `Do ${section} at a time from the soap on: soap, rinse, wash and dry before you go on.${before}`;
  }
}

const SAYS_IT: ReadonlySet<Finding['remedy']> = new Set([
  'smaller-section',
  'rinse-each-part',
  'soak-each-part',
  'lower-only',
  'upper-only',
  'finish-elsewhere',
]);

export const isSaidByWay = (remedy: Finding['remedy']): boolean => SAYS_IT.has(remedy);

/** How it is cut up, where the sentence of the verdict does not say so already; null: it does, or it is not. */
export const wayBeside = (wayId: WayId | null | undefined, limiting: Finding): string | null =>
  isSaidByWay(limiting.remedy) ? null : wayText(wayId);
