import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, DEFAULT_HOUSE, type Gear } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, type Sent } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { GearDrawer } from './gear-drawer.js';

const piece = (change: Partial<Gear>): Gear => ({
  id: 'piece',
  name: 'Grey',
  kind: 'drying-towel',
  count: 4,
  cleanCount: 4,
  volumeMl: null,
  outputLitresPerBottle: null,
  lifeLitres: null,
  litresUsed: 0,
  notes: '',
  ...change,
});

function open(gear: Gear, volume: 'L' | 'gal'): Sent[] {
  const sent = madeUpServer(({ method, path, body }) => {
    if (path.endsWith('/settings'))
      return { body: { display: { ...DEFAULT_DISPLAY, volume }, house: DEFAULT_HOUSE } };
    return method === 'PATCH' ? { body: { ...gear, ...(body as Partial<Gear>) } } : undefined;
  });
  show(<GearDrawer gear={gear} onClose={() => undefined} />);
  return sent;
}
const saved = (sent: Sent[]) => sent.find(({ method }) => method === 'PATCH')?.body;

describe('the form of gear', () => {
  it('takes what a drying towel holds, and sends it alone', async () => {
    const sent = open(piece({}), 'L');
    await userEvent.type(await screen.findByRole('textbox', { name: 'Takes up, each, mL' }), '480');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(saved(sent)).toMatchObject({ holdsGrams: 480 }));
  });

  it('has a sprayer in the measure that its user reads, and keeps it in millilitres', async () => {
    const sent = open(piece({ kind: 'sprayer', volumeMl: 750 }), 'gal');
    const field: HTMLInputElement = await screen.findByRole('textbox', { name: 'Bottle, fl oz' });
    expect(field.value).toBe('25.36');
    await userEvent.clear(field);
    await userEvent.type(field, '20');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect((saved(sent) as Gear | undefined)?.volumeMl).toBeCloseTo(591.47, 2));
  });

  it('names the field that will not do', async () => {
    const sent = open(piece({ holdsGrams: 300 }), 'L');
    const field = await screen.findByRole('textbox', { name: 'Takes up, each, mL' });
    await userEvent.clear(field);
    await userEvent.type(field, '0');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('Above 0.')).toBeTruthy();
    expect(saved(sent)).toBeUndefined();
  });
});
