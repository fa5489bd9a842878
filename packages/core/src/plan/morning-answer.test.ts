import { describe, expect, it } from '@jest/globals';
import { MS_PER_DAY } from '../quantity/index.js';
import { at, car, MONDAY, planned, request, window } from '../testing/plan.js';
import { morningAnswers, type PlanAnswer, type VehicleMorning } from './index.js';

const HORIZON = MONDAY + 5 * MS_PER_DAY;
const NOTHING: PlanAnswer = { choices: [], fixed: [], unplanned: [], steadyMinor: 0 };
const morning = (
  vehicleId: string,
  daysLate: number,
  windows: VehicleMorning['windows'] = [],
): VehicleMorning => car(vehicleId, windows, { daysLate, dueMs: MONDAY - daysLate * MS_PER_DAY });

describe('the morning’s answer for each car', () => {
  it('begins with the car that is latest', () => {
    const answers = morningAnswers([morning('a', -9), morning('b', 4), morning('c', 1)], NOTHING, HORIZON);
    expect(answers.map(({ vehicleId }) => vehicleId)).toEqual(['b', 'c', 'a']);
  });

  it.each([
    { daysLate: 0, standing: 'no-window' },
    { daysLate: -1.9, standing: 'no-window' },
    { daysLate: -2, standing: 'not-due' },
    { daysLate: -9, standing: 'not-due' },
  ])('of a car $daysLate days late that the plan does not wash is $standing', ({ daysLate, standing }) => {
    expect(morningAnswers([morning('a', daysLate)], NOTHING, HORIZON)[0]).toMatchObject({
      standing,
      best: null,
      worth: null,
      workerId: null,
      alternatives: [],
    });
  });

  it('is the plan’s window, its worth and its hands where the plan washes it', async () => {
    const plan = await planned(request([car('a', [window(9, { salt: 5000 })])]));
    const [answer] = morningAnswers([morning('a', 0)], plan, HORIZON);
    const [choice] = plan.choices;
    expect(answer).toMatchObject({ standing: 'due', workerId: 'owner', nearest: [], reason: null });
    expect(answer?.best).toEqual(choice?.window);
    expect(answer?.worth).toEqual(choice?.worth);
  });

  it('says why a car that is due has no window, and where it comes nearest: soonest first, once for each place and method', () => {
    const windows = [
      window(30, { placeId: 'bay' }),
      window(9),
      window(33, { placeId: 'bay' }),
      { ...window(12), methodId: 'waterless' },
      { ...window(5), methodId: 'salt-flush', isWash: false },
    ];
    const reason = { kind: 'workers' } as const;
    const period = { index: 0, bookingId: null } as never;
    const unplanned = [{ vehicleId: 'a', period, reason, hurtsMs: at(10) }];
    const [answer] = morningAnswers([morning('a', 3, windows)], { ...NOTHING, unplanned }, HORIZON);
    expect(answer).toMatchObject({ standing: 'no-window', reason });
    expect(answer?.nearest.map(({ startMs, methodId }) => [startMs, methodId])).toEqual([
      [at(9), 'garage-rinseless'],
      [at(12), 'waterless'],
      [at(30), 'garage-rinseless'],
    ]);
  });

  it('takes a car that is promised as due, however lately it was washed', () => {
    const period = { index: 0, bookingId: 'b1' } as never;
    const unplanned = [{ vehicleId: 'a', period, reason: { kind: 'car-away' } as const, hurtsMs: at(10) }];
    const [answer] = morningAnswers([morning('a', -9)], { ...NOTHING, unplanned }, HORIZON);
    expect(answer).toMatchObject({ standing: 'no-window', reason: { kind: 'car-away' } });
  });
});
