import { describe, expect, it } from '@jest/globals';
import { isDeeper, MOST_LEVELS } from './depth.js';

const nested = (levels: number): unknown => {
  let value: unknown = 1;
  for (let i = 0; i < levels; i += 1) value = i % 2 ? [value] : { in: value };
  return value;
};

describe('how deep a request is nested', () => {
  it('is seen at the limit and beyond it', () => {
    expect(isDeeper(nested(MOST_LEVELS), MOST_LEVELS)).toBe(false);
    expect(isDeeper(nested(MOST_LEVELS + 1), MOST_LEVELS)).toBe(true);
    expect(isDeeper(nested(20_000), MOST_LEVELS)).toBe(true);
  });

  it('does not count what lies side by side', () => {
    expect(
      isDeeper(
        Array.from({ length: 5000 }, () => [1, { a: null }]),
        3,
      ),
    ).toBe(false);
    expect(isDeeper(undefined, 0)).toBe(false);
    expect(isDeeper('text', 0)).toBe(false);
  });
});
