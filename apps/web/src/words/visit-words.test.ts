import { describe, expect, it } from '@jest/globals';
import type { Finding } from '@keen/core';
import { bucketText, holdText } from './visit-words.js';

const NAMES = ['Black saloon', 'White van'];

describe('a visit of two cars, in words', () => {
  it.each([
    ['meter', /go on with the other/],
    ['wet', /stay with it until it is wiped/],
    ['all', /neither can wait/],
  ] as const)('says how the hands go: %s', (hold, text) => {
    expect(holdText({ hold, against: [[], []] })).toMatch(text);
    // What no order helps is said first.
    expect(holdText({ hold, against: [[{ ruleId: 'ice-on-car' } as Finding], []] })).toMatch(/No order/);
  });

  it('answers the bucket with its reason', () => {
    expect(bucketText({ kind: 'none' }, NAMES)).toBe('No bucket is shared.');
    expect(bucketText({ kind: 'one', grade: 1.24 }, NAMES)).toMatch(/One bucket does .* grade 1\.2 at most/);
    expect(bucketText({ kind: 'two', because: 'grade', car: 1, grade: 3.1 }, NAMES)).toMatch(
      /A bucket each: White van still has grade 3\.1/,
    );
    expect(bucketText({ kind: 'two', because: 'mitts', car: 0 }, NAMES)).toMatch(/Black saloon has no mitt/);
  });
});
