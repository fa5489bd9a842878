import { describe, expect, it } from '@jest/globals';
import { endText, moneyNote } from './cadence-words.js';

const format = { money: (minor: number) => `$${(minor / 100).toFixed(2)}` };

describe('a cadence in words', () => {
  it('says what a wash and twelve weeks take, and what is to be bought first', () => {
    const outcome = { moneyMinor: 12_000, washCount: 8, days: 42, kitMinor: 0 };
    expect(moneyNote(outcome, format)).toBe('$15.00 a wash, $240.00 in twelve weeks');
    expect(moneyNote({ ...outcome, kitMinor: 2500 }, format)).toMatch(/; bottles to buy first \$25\.00$/);
    expect(moneyNote({ moneyMinor: 0, washCount: 0, days: 0, kitMinor: 0 }, format)).toBe('no wash');
  });

  it('says in which way it comes out, without a sign', () => {
    expect(endText({ worthMinor: -21_726 }, format)).toBe('takes $217.26 more than it avoids');
    expect(endText({ worthMinor: 0 }, format)).toBe('avoids $0.00 more than it takes');
    expect(endText({ worthMinor: 500 }, format)).toBe('avoids $5.00 more than it takes');
  });
});
