import { describe, expect, it } from '@jest/globals';
import { likelyDeviceName } from './device-name.js';

describe('what a device may be called', () => {
  it.each([
    [true, 390, 'Phone'],
    [true, 599, 'Phone'],
    [true, 600, 'Tablet'],
    [false, 390, 'Computer'],
    [false, 1080, 'Computer'],
  ])('touched %s, %d wide: %s', (isTouched, shortSide, name) => {
    expect(likelyDeviceName({ isTouched, shortSide })).toBe(name);
  });
});
