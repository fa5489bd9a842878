import type { StepFix, TrialAnswer } from '@keen/core';
import type { Format } from '../format/format.js';
import { findingText } from './finding-words.js';

/** What a tap on the suggestion does. */
export function fixText(fix: StepFix): string {
  switch (fix.kind) {
    case 'rinse-behind':
      return 'Rinse after it';
    case 'rinse-before':
      return 'Rinse before it';
    case 'dry-before':
      return 'Towel it dry before it';
    case 'weaken':
      return `Mix it 1:${fix.parts}`;
    case 'own-choice':
      return 'Let the program pick the bottle';
    case 'any-place':
      return 'Let the program pick the place';
    case 'leave-out':
      return 'Leave it out';
  }
}

/** "63 min · $12.40 · 84 L". */
export const takingText = (
  { minutes, moneyMinor, litres }: Pick<TrialAnswer, 'minutes' | 'moneyMinor' | 'litres'>,
  format: Format,
): string => [format.minutes(minutes), format.money(moneyMinor), format.litres(litres)].join(' · ');

/** Whether it goes, and what decides that. */
export function standingText(
  { standing, limiting, against }: Pick<TrialAnswer, 'standing' | 'limiting' | 'against'>,
  format: Format,
): string {
  switch (standing) {
    case 'go':
      return 'It goes.';
    case 'go-if': {
      const conditions = against.filter(({ level }) => level === 'condition');
      return `It goes if: ${(conditions.length > 0 ? conditions : [limiting])
        .map((finding) => findingText(finding, format))
        .join(' · ')}`;
    }
    case 'no':
      return `It does not go: ${findingText(limiting, format)}`;
    case 'unknown':
      return 'Not known for that hour.';
  }
}
