import { describe, expect, it } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, refusal } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { StartAgain } from './start-again.js';

describe('wiping the shop', () => {
  const open = async (): Promise<HTMLElement> => {
    await userEvent.click(screen.getByRole('button', { name: /Wipe the shop/ }));
    return screen.findByRole('dialog', { name: 'Wipe the shop' });
  };

  it('needs the word typed: another word wipes nothing, and a failure is shown with its reason', async () => {
    const sent = madeUpServer(({ method }) =>
      method === 'POST' ? refusal('backup', 'The copy could not be made.', 507) : undefined,
    );
    show(<StartAgain />);
    const dialog = await open();
    await userEvent.type(within(dialog).getByLabelText('Type wipe to go on'), 'yes');
    await userEvent.click(within(dialog).getByRole('button', { name: 'Copy, then wipe' }));
    expect(await within(dialog).findByText('Type wipe if you mean it.')).toBeTruthy();
    expect(sent).toEqual([]);
    await userEvent.clear(within(dialog).getByLabelText('Type wipe to go on'));
    await userEvent.type(within(dialog).getByLabelText('Type wipe to go on'), ' Wipe');
    await userEvent.click(within(dialog).getByRole('button', { name: 'Copy, then wipe' }));
    await waitFor(() =>
      expect(sent).toMatchObject([{ path: '/api/start-again/wipe', body: { confirm: 'wipe' } }]),
    );
    expect(await screen.findByText(/The copy could not be made/)).toBeTruthy();
  });

  it('can be left alone', async () => {
    const sent = madeUpServer();
    show(<StartAgain />);
    const dialog = await open();
    await userEvent.click(within(dialog).getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(sent).toEqual([]);
  });
});
