import { describe, expect, it } from '@jest/globals';
import type { ShopWeather } from '@keen/core';
import { SharedReader, SharedWriter } from './shared-memory.js';

const weather = (stamp: string): ShopWeather => ({
  stamp,
  seasonMs: 0,
  fromMs: 3_600_000,
  observed: [null],
  control: [],
  members: [[null], []],
  roadSights: [],
});

describe('shared weather', () => {
  it('comes out as it went in', () => {
    const found = new SharedReader<ShopWeather>().of(new SharedWriter().of(weather('a')));
    expect(found).toEqual(weather('a'));
  });

  it('is written and read once while it stays the same', () => {
    const [share, reader] = [new SharedWriter(), new SharedReader<ShopWeather>()];
    const first = share.of(weather('a'));
    expect(share.of(weather('a'))).toBe(first);
    expect(reader.of(first)).toBe(reader.of(first));
    const next = share.of(weather('b'));
    expect(next.bytes).not.toBe(first.bytes);
    expect(reader.of(next).stamp).toBe('b');
  });
});
