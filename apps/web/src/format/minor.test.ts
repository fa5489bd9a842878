import { describe, expect, it } from '@jest/globals';
import { fromMinor, toMinor } from './minor.js';

describe('an amount that is typed', () => {
  it.each([
    [12.34, 1234],
    [0.1 + 0.2, 30],
    [0, 0],
    [19.999, 2000],
    [null, null],
  ])('%p is kept as %p minor units', (amount, minor) => {
    expect(toMinor(amount)).toBe(minor);
  });

  it('comes back as it was typed, nothing as nothing', () => {
    expect(fromMinor(toMinor(7.35))).toBe(7.35);
    expect(fromMinor(null)).toBeNull();
  });
});
