import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type Finding } from '@keen/core';
import { screen } from '@testing-library/react';
import { makeFormat } from '../format/format.js';
import { show } from '../testing/show.js';
import { HowNear } from './how-near.js';

const format = makeFormat(DEFAULT_DISPLAY, 'Etc/UTC', 'en-CA');
const ICE: Finding = {
  ruleId: 'ice-on-car',
  level: 'condition',
  margin: -4,
  unit: 'min',
  comfort: -1,
  actual: 8,
  limit: 12,
  panel: 'roof',
};

describe('how near a wash comes to its limit', () => {
  it('is drawn, and said with its figures', () => {
    show(<HowNear limiting={ICE} format={format} />);
    expect(screen.getByRole('img', { name: '4.0 min beyond the limit' })).toBeTruthy();
    expect(screen.getByText(/^Nearest limit: .*roof.*8\.0 min/)).toBeTruthy();
  });

  it.each([
    { of: 'a record that does not say it', limiting: undefined },
    { of: 'a rule without degrees', limiting: { ...ICE, margin: null } },
    { of: 'a limit that is passed and does not count', limiting: { ...ICE, comfort: 1 } },
  ])('is left out for $of', ({ limiting }) => {
    show(<HowNear limiting={limiting} format={format} />);
    expect(screen.queryByText(/Nearest limit/)).toBeNull();
  });
});
