import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type SunLine } from '@keen/core';
import { makeFormat } from '../format/format.js';
import { sunLineText, sunNowText } from './sun-words.js';

const format = makeFormat(DEFAULT_DISPLAY, 'UTC', 'en-CA');
const at = (hour: number, minute = 0): number => Date.UTC(2026, 5, 21, hour, minute);
const line = (change: Partial<SunLine> = {}): SunLine => ({
  spans: [
    { side: 'left', fromMs: at(12), toMs: at(13, 40) },
    { side: 'front', fromMs: at(13), toMs: null },
  ],
  litFlank: 'left',
  driesThere: true,
  ...change,
});
const LEFT = 'Left side in the sun until 13:40';
const ORDER =
  'The left dries first: soap the left first, rinse the right first, and move into the shade to dry.';

describe('the sun on the car', () => {
  it('is shown with its end, its beginning where that is to come, and what to do first', () => {
    expect(sunLineText(line(), at(12), format)).toBe(
      `${LEFT} and front in the sun from 13:00 for the hours ahead. ${ORDER}`,
    );
    expect(sunLineText({ ...line(), dryingSpot: 'behind the north wall' }, at(12), format)).toContain(
      'move into the shade to dry (behind the north wall).',
    );
    expect(sunLineText(line({ driesThere: false }), at(12), format)).not.toContain('soap');
    expect(sunLineText(line({ litFlank: null }), at(12), format)).not.toContain('soap');
    expect(sunLineText(line({ litFlank: 'right' }), at(12), format)).toContain('rinse the left first');
  });

  it('is shown for this minute on the phone, the next one where none is now, nothing where all is over', () => {
    expect(sunNowText(line(), at(12, 30), format)).toBe(`${LEFT}. ${ORDER}`);
    expect(sunNowText(line(), at(11), format)).toBe('Left side in the sun from 12:00 until 13:40.');
    expect(sunNowText(line(), at(14), format)).toBe('Front in the sun for the hours ahead.');
    const over = line({ spans: [{ side: 'left', fromMs: at(12), toMs: at(13) }] });
    expect(sunNowText(over, at(14), format)).toBeNull();
  });
});
