import { describe, expect, it } from '@jest/globals';
import { type AccountView, DEFAULT_DISPLAY } from '@keen/core';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, refusal, type Sent } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { Accounts } from './accounts.js';

const SEEN = Date.UTC(2026, 0, 14, 12);
const IDA: AccountView = {
  id: 'ida',
  name: 'Ida',
  role: 'owner',
  workerId: null,
  devices: [
    { id: 'desk', device: 'Computer (Linux)', lastSeenMs: SEEN, isThis: true },
    { id: 'phone', device: 'Bay phone', lastSeenMs: SEEN, isThis: false },
  ],
};
const WORKERS = [{ id: 'jon', name: 'Saturday helper', hours: [] }];

function open(accounts: readonly AccountView[]): Sent[] {
  const sent = madeUpServer(({ path, method, body }) => {
    if (path.endsWith('/settings')) return { body: { display: DEFAULT_DISPLAY, timeZone: 'Etc/UTC' } };
    if (path.endsWith('/pairing'))
      return {
        body: { code: 'ABCDE23456', goodForMinutes: 10, path: '/pair?code=ABCDE23456', picture: null },
      };
    if (method === 'POST' && (body as { name: string }).name === 'Ida')
      return refusal('name', 'There is an account named Ida already.', 409);
    return path.endsWith('/accounts') && method === 'GET' ? { body: accounts } : undefined;
  });
  show(<Accounts workers={WORKERS} />);
  return sent;
}

const fill = async (name: string, password: string): Promise<void> => {
  const form = screen.getByRole('form');
  await userEvent.type(within(form).getByLabelText('Name to sign in with'), name);
  await userEvent.type(within(form).getByLabelText('Password', { selector: 'input' }), password);
  await userEvent.click(within(form).getByRole('button', { name: 'Add the account' }));
};

describe('accounts and phones', () => {
  it('say that nobody has to sign in, and take the owner with a password that is long enough', async () => {
    const sent = open([]);
    expect(await screen.findByText(/Nobody has to sign in/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Add the owner' }));
    await fill('Ann', 'short');
    expect(await screen.findByText('At least 10 characters.')).toBeTruthy();
    expect(sent).toEqual([]);
    await userEvent.type(screen.getByLabelText('Password', { selector: 'input' }), ' no longer');
    await userEvent.click(screen.getByRole('button', { name: 'Add the account' }));
    await waitFor(() =>
      expect(sent[0]?.body).toMatchObject({
        name: 'Ann',
        password: 'short no longer',
        role: 'owner',
        workerId: null,
      }),
    );
  });

  it('show what the server refuses at its field, and keep what was typed', async () => {
    open([IDA]);
    await userEvent.click(await screen.findByRole('button', { name: 'Add an account' }));
    await fill('Ida', 'long enough for it');
    expect(await screen.findByText('There is an account named Ida already.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Name to sign in with').value).toBe('Ida');
  });

  it('sign a phone out, and never the one that asks', async () => {
    const sent = open([IDA]);
    expect(await screen.findByText('this one')).toBeTruthy();
    expect(screen.getByText(/last seen .*12:00/)).toBeTruthy();
    expect(screen.getAllByRole('button', { name: /^Sign out/ })).toHaveLength(1);
    await userEvent.click(screen.getByRole('button', { name: 'Sign out Bay phone of Ida' }));
    await waitFor(() =>
      expect(sent[0]).toMatchObject({ method: 'DELETE', path: '/api/access/devices/phone' }),
    );
  });

  it('show a code that lets a phone in, and why there is no drawing of it', async () => {
    open([IDA]);
    await userEvent.click(await screen.findByRole('button', { name: 'Let a phone in for Ida' }));
    const dialog = await screen.findByRole('dialog');
    expect(within(dialog).getByText('ABCDE 23456')).toBeTruthy();
    expect(within(dialog).getByText(/only this computer goes by/)).toBeTruthy();
    expect(within(dialog).queryByRole('img')).toBeNull();
  });

  it('send of a changed account what was changed', async () => {
    const sent = open([IDA]);
    await userEvent.click(await screen.findByRole('button', { name: 'More about the account of Ida' }));
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Change' }));
    await userEvent.type(screen.getByLabelText('Name to sign in with'), ' B');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(sent[0]?.body).toEqual({ name: 'Ida B' }));
  });
});
