import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type FilmTrace } from '@keen/core';
import { screen } from '@testing-library/react';
import { makeFormat } from '../../format/format.js';
import { show } from '../../testing/show.js';
import { Headline } from './headline.js';

const format = makeFormat(DEFAULT_DISPLAY, 'Etc/UTC', 'en-CA');
const TRACE = {
  wetEdgeMinutes: 3.2,
  firstIceMinutes: 3.2,
  dryMinutes: null,
  lowestTempC: -5.8,
  highestTempC: 8,
  dryPanelTempC: -5.4,
  wetPanelTempC: -5.8,
  points: [],
} as unknown as FilmTrace;

const head = (trace: FilmTrace, wipeMinutes: number) =>
  show(<Headline trace={trace} wipeMinutes={wipeMinutes} inHandFraction={0.5} format={format} />);
const gauge = () => screen.queryByRole('img')?.getAttribute('aria-label') ?? null;

describe('the head of the lab', () => {
  it('says by how much ice is too early, with time in hand', () => {
    head(TRACE, 8);
    expect(screen.getByText('It freezes 8.8 min too early to be wiped.')).toBeTruthy();
    expect(screen.getByText('Wiping needs 12 min with time in hand.')).toBeTruthy();
    expect(gauge()).toBe('8.8 min beyond the limit');
  });

  it('says what is left where it can be wiped', () => {
    head({ ...TRACE, wetEdgeMinutes: 9, firstIceMinutes: null, dryMinutes: 9 }, 4);
    expect(screen.getByText('It can be wiped, with 3.0 min left before it dries.')).toBeTruthy();
    expect(gauge()).toBe('3.0 min from the limit');
  });

  it('draws no limit where none is in sight', () => {
    head({ ...TRACE, wetEdgeMinutes: null, firstIceMinutes: null }, 4);
    expect(screen.getByText(/^It stays wet for as long as it is followed/)).toBeTruthy();
    expect(gauge()).toBeNull();
  });
});
