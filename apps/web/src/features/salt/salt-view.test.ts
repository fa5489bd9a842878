import { describe, expect, it } from '@jest/globals';
import { saltLayer } from '../../parts/salt-layer.js';
import { dayAt, washDays } from './salt-view.js';

describe('salt on the drawing', () => {
  const zones = [
    { zone: 'underbody', loadGramsPerM2: 6, activeHours: 200 },
    { zone: 'roof', loadGramsPerM2: 0.3, activeHours: 50 },
  ] as const;

  it('is drawn against a full scale, the clock against its fastest zone', () => {
    expect(saltLayer(zones, 'load').underbody).toMatchObject({ text: '6.0', strength: 0.5 });
    expect(saltLayer(zones, 'clock').roof).toMatchObject({ text: '50', strength: 0.25 });
    expect(saltLayer(zones, 'clock', 400).roof?.strength).toBe(0.125);
  });

  it('can be looked at on any day, the last being now', () => {
    const day = { atMs: 5, activeHours: 1, zones: [...zones] };
    const salt = { days: [day], now: { activeHours: 2, zones: [] } };
    expect(dayAt(salt, 0)).toBe(day);
    expect(dayAt(salt, 1)).toEqual({ atMs: null, activeHours: 2, zones: [] });
    expect(washDays([{ atMs: 5 }, { atMs: 9 }], [6, 99])).toEqual([1]);
  });
});
