import { describe, expect, it } from '@jest/globals';
import type { Finding, WashRecord, WayOption } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { WayChoice } from './way-choice.js';

const ICE: Finding = {
  ruleId: 'ice-on-car',
  level: 'block',
  margin: -4,
  unit: 'min',
  comfort: -1,
  actual: 8,
  limit: 12,
  panel: 'roof',
};
const option = (wayId: WayOption['wayId'], standing: WayOption['standing'], minutes: number): WayOption => ({
  wayId,
  standing,
  minutes,
  limiting: ICE,
  moneyMinor: 1200,
  litres: 90,
});
const OPTIONS = [
  option('whole', 'no', 49),
  option('soap-two-panels', 'go-if', 54),
  option('touch-one-panel-rinse', 'go-if', 62),
];
const WASH = { id: 'w', vehicleId: 'v', placeId: 'p', methodId: 'bay-contact', startMs: 0 } as WashRecord;

const serve = (options: readonly WayOption[]) =>
  madeUpServer(({ path }) => (path.includes('/verdicts/ways') ? { body: options } : undefined));

describe('the way of a planned wash', () => {
  it('can be another one that goes, and says why not of the others', async () => {
    const sent = serve(OPTIONS);
    show(<WayChoice wash={WASH} wayId="soap-two-panels" />);
    expect(await screen.findByText(/^One other way goes at that hour/)).toBeTruthy();
    const field = screen.getByLabelText<HTMLInputElement>('How it is done', { selector: 'input' });
    expect(field.value).toBe('two panels at a time, from the soap on · 54 min');
    await userEvent.click(field);
    const [whole] = screen.getAllByRole('option', { hidden: true });
    expect(whole?.textContent).toBe(
      'the whole car at once · 49 min · no: the roof freezes 4.0 min before your hand is there (ice after 8.0 min, 12 min needed)',
    );
    expect(whole?.getAttribute('aria-disabled') ?? whole?.getAttribute('data-combobox-disabled')).toBe(
      'true',
    );
    await userEvent.click(
      screen.getByText(/^one panel at a time, from the hand on, each rinsed just before/),
    );
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      method: 'PATCH',
      path: '/api/washes/w',
      body: { wayId: 'touch-one-panel-rinse' },
    });
  });

  it('stands fast where no other goes, and says so', async () => {
    serve(OPTIONS.slice(0, 2));
    show(<WayChoice wash={WASH} wayId="soap-two-panels" />);
    expect(await screen.findByText('No other way goes at that hour.')).toBeTruthy();
    const field = screen.getByLabelText<HTMLInputElement>('How it is done', { selector: 'input' });
    expect(field.disabled).toBe(true);
    expect(field.value).toBe('two panels at a time, from the soap on · 54 min');
  });

  it('keeps its room while the others are looked for', () => {
    serve(OPTIONS);
    show(<WayChoice wash={WASH} wayId="soap-two-panels" />);
    expect(screen.getByText(/^Looking for other ways/)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('How it is done', { selector: 'input' }).value).toBe(
      'two panels at a time, from the soap on',
    );
  });
});
