import type { BalanceQuestion } from './question.js';
import type { Tools } from './tools.js';
import { weekAnswer } from './week.js';
import { type BalanceRow, balance } from '../plan/index.js';
import { carStateOf } from '../shop/index.js';

/** What do all ways to wash this car in one hour cost and bring, side by side? */
export function balanceAnswer(
  question: BalanceQuestion,
  tools: Pick<Tools, 'keep' | 'report'>,
): BalanceRow[] {
  const { bands } = weekAnswer(question, tools);
  const { vehicle, soilByGroup, ledger, ahead } = carStateOf(question, tools.keep);
  return balance({ ...question, vehicle, bands, soil: soilByGroup, ledger, ahead });
}
