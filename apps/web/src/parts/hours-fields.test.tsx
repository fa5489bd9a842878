import { describe, expect, it } from '@jest/globals';
import { hasLength, type OpenSpan } from '@keen/core';
import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { show } from '../testing/show.js';
import { HoursFields } from './hours-fields.js';

type Week = readonly (OpenSpan | null)[];
const DAY = { openMinute: 450, closeMinute: 1110 };
const changes: Week[] = [];
const monday = (): OpenSpan | null => changes.at(-1)?.[0] ?? null;

function Shop({ from, errors }: { readonly from: Week; readonly errors: Readonly<Record<string, string>> }) {
  const [openHours, setHours] = useState(from);
  const change = (hours: Week): void => {
    changes.push(hours);
    setHours(hours);
  };
  return <HoursFields openHours={openHours} errors={errors} onChange={change} />;
}
const open = (span: OpenSpan | null, errors = {}): void => {
  changes.length = 0;
  show(<Shop from={[span, null, null, null, null, null, null]} errors={errors} />);
};
const field = (name: string): HTMLInputElement => screen.getByRole('textbox', { name });
const type = async (name: string, text: string): Promise<void> => {
  await userEvent.clear(field(name));
  await userEvent.type(field(name), text);
};

describe('hours by weekday', () => {
  it('are typed by one clock, with or without a colon', async () => {
    open(DAY);
    expect(field('Open Monday, from').value).toBe('07:30');
    await type('Open Monday, from', '0615');
    expect(monday()).toEqual({ openMinute: 375, closeMinute: 1110 });
    await userEvent.tab();
    expect(field('Open Monday, from').value).toBe('06:15');
  });

  it('keep what is typed wrongly, say how it is typed, and let nothing be saved by it', async () => {
    open(DAY);
    await type('Open Monday, to', '25:00');
    await userEvent.tab();
    expect(field('Open Monday, to').value).toBe('25:00');
    expect(screen.getByText('As 07:30.')).toBeTruthy();
    expect(hasLength(monday() ?? DAY)).toBe(false);
    await type('Open Monday, to', '18:00');
    expect(screen.queryByText('As 07:30.')).toBeNull();
    expect(monday()).toEqual({ openMinute: 450, closeMinute: 1080 });
  });

  it('take midnight as the end of the day, and what ends before it begins as of the next', async () => {
    open(DAY);
    await type('Open Monday, to', '00:00');
    expect(monday()?.closeMinute).toBe(1440);
    expect(screen.queryByText('next day')).toBeNull();
    await type('Open Monday, to', '02:00');
    expect(monday()?.closeMinute).toBe(120);
    expect(screen.getByText('next day')).toBeTruthy();
  });

  it('are moved on their bar by keys, past midnight too', () => {
    open({ openMinute: 450, closeMinute: 1440 });
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Open Monday, begins' }), { key: 'ArrowRight' });
    expect(monday()).toEqual({ openMinute: 465, closeMinute: 1440 });
    const ends = screen.getByRole('slider', { name: 'Open Monday, ends' });
    fireEvent.focus(ends);
    fireEvent.keyDown(ends, { key: 'ArrowRight' });
    expect(monday()).toEqual({ openMinute: 465, closeMinute: 15 });
  });

  it('are none on a day that is not ticked, and usual ones on one that is', async () => {
    open(DAY);
    expect(screen.getAllByText('closed')).toHaveLength(6);
    await userEvent.click(screen.getByRole('checkbox', { name: 'Tuesday' }));
    expect(changes.at(-1)?.[1]).toEqual({ openMinute: 420, closeMinute: 1260 });
    await userEvent.click(screen.getByRole('checkbox', { name: 'Monday' }));
    expect(monday()).toBeNull();
  });

  it('show their fault at the day', () => {
    open({ openMinute: 600, closeMinute: 600 }, { 'openHours.0': 'It ends as it begins.' });
    expect(screen.getByText('It ends as it begins.')).toBeTruthy();
  });
});
