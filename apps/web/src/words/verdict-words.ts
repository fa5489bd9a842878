import type { Finding, VerdictKind } from '@keen/core';
import type { Format } from '../format/format.js';
import { findingText } from './finding-words.js';

/** "Wait: film freezes 6 min before you can dry it" and its kin: verdict, reason, number. */
export function verdictText(verdict: VerdictKind, limiting: Finding, format: Format): string {
  const reason = findingText(limiting, format);
  switch (verdict) {
    case 'go':
      return `Go: ${reason}`;
    case 'go-if':
      return `Go if ${reason}`;
    case 'wait':
      return `Wait: ${reason}`;
    case 'no':
      return `No: ${reason}`;
    case 'unknown':
      return `Not known: ${reason}`;
  }
}

/** What else it goes on condition of: fits after "and if". */
export const alsoIfText = (conditions: readonly Finding[], format: Format): string =>
  conditions.map((finding) => findingText(finding, format)).join('; ');
