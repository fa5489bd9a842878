import { describe, expect, it } from '@jest/globals';
import { likelyDeviceName } from './device-name.js';

describe('what a device may be called', () => {
  it.each([
    ['Mozilla/5.0 (Linux; Android 15; Mobile) Gecko', 'Phone (Android)'],
    ['Mozilla/5.0 (Linux; Android 15; Tablet) Gecko', 'Computer (Android)'],
    ['Mozilla/5.0 (iPhone; CPU iPhone OS 18_1 like Mac OS X)', 'Phone (iPhone)'],
    ['Mozilla/5.0 (Macintosh; Intel Mac OS X 10_15)', 'Computer (Mac)'],
    ['Mozilla/5.0 (X11; Linux x86_64)', 'Computer (Linux)'],
    ['curl/8', 'This device'],
  ])('%s: %s', (userAgent, name) => {
    expect(likelyDeviceName(userAgent)).toBe(name);
  });
});
