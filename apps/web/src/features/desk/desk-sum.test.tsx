import { describe, expect, it } from '@jest/globals';
import { calculate, CALCULATORS, DEFAULT_DISPLAY, type DisplaySettings } from '@keen/core';
import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { makeFormat } from '../../format/format.js';
import { show } from '../../testing/show.js';
import { deskSentence } from './desk-sentence.js';
import { DeskSum } from './desk-sum.js';
import { fieldsOf, inputFrom, shownExample } from './desk-view.js';
import { FIRST_SUM, SUM_GROUPS } from './sums.js';
import { vesselOf } from './vessel-view.js';

const AMERICAN: DisplaySettings = { ...DEFAULT_DISPLAY, temperature: 'F', volume: 'gal' };
const format = makeFormat(DEFAULT_DISPLAY, 'Etc/UTC', 'en-CA');
const NAMES = SUM_GROUPS.flatMap(({ sums }) => sums.map(({ name }) => name));

const worked = (name: string, change: Readonly<Record<string, unknown>> = {}) => {
  const calculator = CALCULATORS.get(name);
  if (!calculator) throw new Error(name);
  const input = {
    ...inputFrom(fieldsOf(name), shownExample(name, DEFAULT_DISPLAY), DEFAULT_DISPLAY),
    ...change,
  };
  const answer = calculate(calculator, input);
  if (!answer.ok) throw new Error(answer.error.message);
  return { input, output: answer.value as Record<string, unknown> };
};
const said = (name: string, change?: Readonly<Record<string, unknown>>) =>
  deskSentence(name, worked(name, change), format);

describe('the list of the desk', () => {
  it('has every sum that there is, once, and begins with one of them', () => {
    expect([...NAMES].sort()).toEqual([...CALCULATORS.keys()].sort());
    expect(NAMES).toContain(FIRST_SUM);
  });
});

describe('an answer in a sentence', () => {
  it.each([
    ['dilution', {}, 'Put 100 mL of product in 900 mL of water: 10 %, 1:9, 6.7 caps.'],
    ['mixed', {}, 'That is 1:8.6, 10.4 %. Stronger than 1:10: add 50 mL of water.'],
    ['mixed', { productMl: 20 }, 'That is 1:15, 6.3 %. Weaker than 1:10: add 10 mL of product.'],
    ['mixed', { productMl: 30 }, 'That is 1:10, 9.1 %. That is 1:10, as it should be.'],
    ['bottle-mix', {}, 'Put in 100 mL and 50 mL, and fill up with 850 mL of water.'],
    ['panel-impact', { panelPercent: 20 }, 'That cannot be reached: even undiluted, 10 % reaches the panel.'],
    ['mix-water', {}, '5.9 L of hot and 4.1 L of cold.'],
    ['hardness', {}, '312 mg/L: very hard water.'],
    ['resin-life', {}, '174 L to go, of 274 L in all.'],
    ['meter', { gapSeconds: [240] }, 'Stop after step 1: $6.00, against $6.50 if it runs on.'],
    ['meter', { gapSeconds: [10] }, 'Let it run: $3.00, and no stop is cheaper.'],
    ['wind-chill', {}, 'It feels like −17.9 °C; bare skin does not freeze.'],
    ['film', {}, 'It freezes after 2.8 min, and gets down to −7.2 °C.'],
    ['sun', { at: '2026-01-14T00:00:00-05:00' }, 'The sun is below the horizon.'],
  ])('%s, %j', (name, change, sentence) => {
    expect(said(name, change)).toBe(sentence);
  });

  it('is there for each sum, but for the one that has a picture of its own', () => {
    const silent = NAMES.filter((name) => name !== 'wash' && !said(name));
    expect(silent).toEqual([]);
  });
});

describe('a vessel beside its sum', () => {
  it('is filled by what comes out, from below', () => {
    expect(vesselOf('dilution', worked('dilution'), format)).toMatchObject({
      shape: 'bottle',
      layers: [
        { kind: 'product', share: 0.1, text: '100 mL product' },
        { kind: 'water', share: 0.9, text: '900 mL water' },
      ],
    });
    expect(vesselOf('bottle-mix', worked('bottle-mix'), format)?.layers.map(({ share }) => share)).toEqual([
      0.1, 0.05, 0.85,
    ]);
    expect(vesselOf('panel-impact', worked('panel-impact', { panelPercent: 20 }), format)).toBeNull();
    expect(vesselOf('wind-chill', worked('wind-chill'), format)).toBeNull();
  });

  it.each([
    ['dilution', {}, 0.2, { partsWater: 4 }],
    ['dilution', { partsWater: undefined, percent: 10 }, 0.2, null],
    ['mixed', {}, 0.2, { productMl: 67, waterMl: 268 }],
    ['mix-water', {}, 0.5, { targetC: 33 }],
    ['panel-impact', {}, 0.5, { panelPercent: 5 }],
  ])('%s, %j, is set to what is pulled to', (name, change, share, set) => {
    const vessel = vesselOf(name, worked(name, change), format);
    if (set) expect(vessel?.handle?.set(share)).toEqual(set);
    // Where it stands, it stays.
    const back = worked(name, { ...change, ...vessel?.handle?.set(vessel.handle.share) });
    expect(vesselOf(name, back, format)?.handle?.share).toBeCloseTo(vessel?.handle?.share ?? 0, 6);
  });

  it('moves field, sentence and drawing when it is pulled, in the user’s units', async () => {
    show(<DeskSum name="mix-water" question="How much hot?" />);
    const handle = screen.getByRole('slider', { name: 'Hot water in the bucket' });
    fireEvent.change(handle, { target: { value: '100' } });
    expect(screen.getByLabelText<HTMLInputElement>('Wanted, °C').value).toBe('33');
    expect(screen.getByText('5.0 L of hot and 5.0 L of cold.')).toBeTruthy();
    expect(handle.getAttribute('aria-valuetext')).toBe('5.0 L hot');
    const wanted = screen.getByLabelText('Wanted, °C');
    await userEvent.clear(wanted);
    await userEvent.type(wanted, '90');
    expect((await screen.findAllByText(/targetC/)).length).toBeGreaterThan(0);
    expect(screen.queryByRole('slider')).toBeNull();
  });

  it('speaks of ounces and °F where the shop does', () => {
    const american = makeFormat(AMERICAN, 'Etc/UTC', 'en-CA');
    expect(deskSentence('dilution', worked('dilution'), american)).toContain('fl oz');
    expect(deskSentence('bucket-cooling', worked('bucket-cooling'), american)).toBe(
      'It arrives at 106 °F: 7.4 °F lost on the way.',
    );
  });
});
