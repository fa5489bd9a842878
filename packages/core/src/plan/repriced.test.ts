import { describe, expect, it } from '@jest/globals';
import { MS_PER_MINUTE } from '../quantity/index.js';
import { window } from '../testing/plan.js';
import { BAY, methodWith } from '../testing/shop.js';
import { type Chosen, DEFAULT_PRICES, repriced, washCost } from './index.js';

const plain: Chosen = { method: methodWith('bay-touch-free'), wearsProtection: false, activeHoursSaved: 10 };
const longer: Chosen = { method: methodWith('bay-contact'), wearsProtection: true, activeHoursSaved: 13 };
const PART = { moneyMinor: -300, timeMinor: -900, coldMinor: -40, paintMinor: -10, saltMinor: 800 };
const whole = window(9);
const before = {
  ...whole,
  activeHoursSaved: 10,
  coldMinorPerMinute: 2,
  value: { ...whole.value, ...PART, totalMinor: -450 },
};

describe('a wash that is done otherwise than the shop does it', () => {
  const after = repriced(before, { before: plain, after: longer }, { place: BAY, prices: DEFAULT_PRICES });
  const minutes = longer.method.minutes - plain.method.minutes;

  it('ends later by what it takes longer', () => {
    expect((after.endMs - before.endMs) / MS_PER_MINUTE).toBeCloseTo(minutes, 9);
  });

  it('changes in each part by what that part changes, and in all by their sum', () => {
    const money = washCost(BAY, plain.method).totalMinor - washCost(BAY, longer.method).totalMinor;
    const hands = longer.method.handsMinutes - plain.method.handsMinutes;
    const { value } = after;
    expect(value.moneyMinor).toBeCloseTo(PART.moneyMinor + money, 6);
    expect(value.timeMinor).toBeCloseTo(PART.timeMinor - (DEFAULT_PRICES.hourMinor * minutes) / 60, 6);
    expect(value.coldMinor).toBeCloseTo(PART.coldMinor - 2 * hands, 6);
    expect(value.paintMinor).toBeCloseTo(PART.paintMinor - DEFAULT_PRICES.wearMinor, 6);
    expect(value.saltMinor).toBeCloseTo(PART.saltMinor + 3 * DEFAULT_PRICES.saltMinorPerActiveHour, 6);
    const sum = (of: typeof value): number =>
      of.moneyMinor + of.timeMinor + of.coldMinor + of.paintMinor + of.saltMinor;
    expect(value.totalMinor - -450).toBeCloseTo(sum(value) - sum({ ...value, ...PART }), 6);
    expect(after.activeHoursSaved).toBe(13);
  });

  it('is worth what it was when nothing is chosen, and again when it is taken back', () => {
    const place = { place: BAY, prices: DEFAULT_PRICES };
    expect(repriced(before, { before: plain, after: plain }, place)).toEqual(before);
    const back = repriced(after, { before: longer, after: plain }, place);
    expect(back.value.totalMinor).toBeCloseTo(-450, 6);
    expect(back.endMs).toBeCloseTo(before.endMs, 3);
  });
});
