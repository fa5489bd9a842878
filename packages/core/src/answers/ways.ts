import { cellRequest } from './cell.js';
import type { WaysQuestion } from './question.js';
import type { Tools } from './tools.js';

import type { WayId } from '../method/index.js';
import { type WashTotals, washTotals } from '../plan/index.js';
import type { Judgement } from '../rules/index.js';
import { judgedWays } from '../verdict/index.js';

/** One way of doing a wash, with what it takes and whether it goes. */
export interface WayOption extends WashTotals, Pick<Judgement, 'standing' | 'limiting'> {
  readonly wayId: WayId;
}

/** In which ways could this wash be done, and which of them go? The one with the least bother first. */
export function waysAnswer(question: WaysQuestion, { keep }: Pick<Tools, 'keep'>): WayOption[] {
  const request = cellRequest(question, keep);
  return judgedWays(request, question.start.startMs).map(({ judgement, method, wayId }) => ({
    wayId,
    standing: judgement.standing,
    limiting: judgement.limiting,
    ...washTotals(request.place, method),
  }));
}
