import type { CadenceQuestion } from './question.js';
import type { Tools } from './tools.js';
import { inUsualWay } from '../method/index.js';
import { type CadenceOutcome, seasonCadence } from '../plan/index.js';
import { carStateOf } from '../shop/index.js';
import { plainMethods } from '../verdict/index.js';

/** What would cadences have cost and saved this season so far? The first is what was logged. */
export function cadenceAnswer(question: CadenceQuestion, { keep }: Pick<Tools, 'keep'>): CadenceOutcome[] {
  const { past } = carStateOf(question, keep);
  const { car, places, prices, house, limits, shelf } = question;
  const methods = plainMethods({ vehicle: car.vehicle, house, limits, shelf });
  return question.plans.map((parts) =>
    seasonCadence(parts, { life: past, methods: methods.map(inUsualWay), places, prices }),
  );
}
