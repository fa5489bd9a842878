import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY } from '@keen/core';
import { screen } from '@testing-library/react';
import { makeFormat } from '../format/format.js';
import { show } from '../testing/show.js';
import { madeUpServer } from '../testing/server.js';
import { MarginGauge, needleAt } from './margin-gauge.js';

const format = makeFormat(DEFAULT_DISPLAY, 'Etc/UTC');
const shown = (margin: number | null, comfort: number): HTMLElement | null => {
  madeUpServer();
  show(<MarginGauge finding={{ margin, unit: 'min', comfort }} format={format} />);
  return screen.queryByRole('img');
};

describe('the gauge of a margin', () => {
  it.each([
    [-1, 0],
    [-5, 0],
    [0, 1 / 3],
    [0.5, 0.5],
    [2, 1],
    [40, 1],
  ])('stands at a comfort of %s at %s of its scale', (comfort, share) => {
    expect(needleAt(comfort)).toBeCloseTo(share, 9);
  });

  it('says how far within its limit something is, solid to the right of it', () => {
    const gauge = shown(4.8, 0.5);
    expect(gauge?.getAttribute('aria-label')).toBe('4.8 min from the limit');
    const fill = gauge?.querySelector<HTMLElement>('[data-side]');
    expect(fill?.dataset.side).toBe('within');
    expect([fill?.style.left, fill?.style.width]).toEqual(['33.3%', '16.7%']);
  });

  it('says how far beyond its limit it is, hatched to the left of it', () => {
    const gauge = shown(-6, -0.4);
    expect(gauge?.getAttribute('aria-label')).toBe('6.0 min beyond the limit');
    const fill = gauge?.querySelector<HTMLElement>('[data-side]');
    expect(fill?.dataset.side).toBe('beyond');
    expect([fill?.style.left, fill?.style.width]).toEqual(['20%', '13.3%']);
  });

  it('is none where the rule is not one of degree', () => {
    expect(shown(null, 1)).toBeNull();
  });

  it('is none where a limit is passed that does not count', () => {
    expect(shown(-240, 9)).toBeNull();
  });
});
