import { describe, expect, it } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { hardnessScale, tempScale } from '../format/scales.js';
import { show } from '../testing/show.js';
import type { Scale } from '../format/scales.js';
import { NumberField } from './number-field.js';
import { numberOf } from './number-text.js';

interface TypedProps {
  readonly from?: number | null;
  readonly decimals?: number;
  readonly scale?: Scale;
}

/** A field with its value beside it, as it would be kept. */
function Typed({ from = null, decimals = 5, scale }: TypedProps) {
  const [value, setValue] = useState<number | null>(from);
  return (
    <>
      <NumberField label="Figure" value={value} onChange={setValue} decimals={decimals} scale={scale} />
      <output>{value === null ? 'none' : String(value)}</output>
      <button type="button" onClick={() => setValue(7)}>
        Seven
      </button>
    </>
  );
}

const field = () => screen.getByLabelText<HTMLInputElement>('Figure');
const kept = () => screen.getByRole('status').textContent;

describe('a number as it is typed', () => {
  it.each([
    { text: '-0.5', value: '-0.5', why: 'its sign' },
    { text: '-79.40001', value: '-79.40001', why: 'its sign and its end' },
    { text: '3,5', value: '3.5', why: 'a comma' },
    { text: '-0,25', value: '-0.25', why: 'both' },
    { text: '0.05', value: '0.05', why: 'the noughts behind the point' },
    { text: '-', value: 'none', why: 'nothing yet' },
  ])('keeps $text: $why', async ({ text, value }) => {
    show(<Typed />);
    await userEvent.type(field(), text);
    expect(kept()).toBe(value);
    expect(field().value.replace(',', '.')).toBe(text.replace(',', '.'));
  });

  it('is none when it is emptied, never 0', async () => {
    show(<Typed from={12} />);
    await userEvent.clear(field());
    expect(kept()).toBe('none');
  });

  it('keeps a printed minus and a comma that are pasted', () => {
    show(<Typed />);
    fireEvent.paste(field(), { clipboardData: { getData: () => '−4,5' } });
    expect(kept()).toBe('-4.5');
    expect(field().value).toBe('-4.5');
  });

  it('shows a value that comes from elsewhere instead of what was typed', async () => {
    show(<Typed />);
    await userEvent.type(field(), '-3');
    await userEvent.click(screen.getByText('Seven'));
    expect(field().value).toBe('7');
  });

  it('leaves a value with more places than it shows as it is until it is typed', () => {
    show(<Typed from={3.14159} decimals={1} />);
    expect(field().value).toBe('3.1');
    expect(kept()).toBe('3.14159');
  });

  it('is typed in the user’s scale and kept in the program’s', async () => {
    show(<Typed scale={hardnessScale({ hardness: 'gpg' })} />);
    await userEvent.type(field(), '18');
    expect(Number(kept())).toBeCloseTo(18 * 17.118, 9);
    expect(field().value).toBe('18');
  });

  it('shows degrees of the user', () => {
    show(<Typed from={-40} scale={tempScale({ temperature: 'F' })} />);
    expect(field().value).toBe('-40');
    expect(tempScale({ temperature: 'F' }).fromShown(14)).toBeCloseTo(-10, 9);
    expect(tempScale({ temperature: 'C' }).toShown(-3)).toBe(-3);
  });
});

describe('the number that a text stands for', () => {
  it.each([
    { text: '−5', value: -5 },
    { text: ' 1,5 ', value: 1.5 },
    { text: '', value: null },
    { text: '.', value: null },
    { text: 'a lot', value: null },
    { text: '1 000', value: null },
    { text: NaN, value: null },
    { text: 0, value: 0 },
  ])('$text is $value', ({ text, value }) => {
    expect(numberOf(text)).toBe(value);
  });
});
