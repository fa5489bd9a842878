import { describe, expect, it } from '@jest/globals';
import { inputsText, KEEP_NOTHING } from './keeper.js';

describe('inputs as text', () => {
  it('are the same for the same, and others for any change', () => {
    expect(inputsText({ a: [1, { b: 2 }] })).toBe(inputsText({ a: [1, { b: 2 }] }));
    expect(inputsText({ a: [1, { b: 2 }] })).not.toBe(inputsText({ a: [1, { b: 3 }] }));
  });

  it('go by the stamp of what carries one, and by nothing else of it', () => {
    const weather = (stamp: unknown, hours: number) => ({ weather: { stamp, hours } });
    expect(inputsText(weather('x', 1))).toBe(inputsText(weather('x', 2)));
    expect(inputsText(weather('x', 1))).not.toBe(inputsText(weather('y', 1)));
    // A number is no stamp, and nothing is none.
    expect(inputsText(weather(3, 1))).not.toBe(inputsText(weather(3, 2)));
    expect(inputsText({ weather: null })).toBe('{"weather":null}');
  });
});

describe('a keeper of nothing', () => {
  it('has every value worked out again from its inputs', () => {
    let made = 0;
    const make = ({ a }: { a: number }): number => a + (made += 1);
    expect(KEEP_NOTHING.of('band', { a: 10 }, make)).toBe(11);
    KEEP_NOTHING.set('band', { a: 10 }, 5);
    expect(KEEP_NOTHING.get('band', { a: 10 })).toBeUndefined();
    expect(KEEP_NOTHING.of('band', { a: 10 }, make)).toBe(12);
    expect(KEEP_NOTHING.keeps).toBe(false);
    expect(KEEP_NOTHING.name({ a: 1 })).toBe('');
  });
});
