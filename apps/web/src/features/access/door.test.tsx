import { describe, expect, it } from '@jest/globals';
import { QueryClient } from '@tanstack/react-query';
import type { SessionView } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { madeUpServer, refusal, type Sent } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { Door } from './door.js';
import { PairPage } from './pair-page.js';

const OUT: SessionView = { isOpen: false, who: null };
const IN: SessionView = {
  isOpen: false,
  who: { accountId: 'a', name: 'Ida', role: 'owner', workerId: null, device: null },
};

/** A server with one account, whose password is "salt on the sills". */
function serve(first: SessionView): { sent: Sent[]; end: () => void } {
  let session = first;
  const sent = madeUpServer(({ path, method, body }) => {
    if (path.endsWith('/session') && method === 'GET') return { body: session };
    if (method !== 'POST') return undefined;
    const { password, code } = body as { password?: string; code?: string };
    if (password !== 'salt on the sills' && code !== 'ABCDE23456')
      return refusal(code === undefined ? 'password' : 'code', 'Name or password is wrong.', 401);
    session = IN;
    return { status: 204 };
  });
  return { sent, end: () => (session = OUT) };
}

const inside = (
  <Door>
    <label>
      Note <input />
    </label>
  </Door>
);

describe('the door', () => {
  it('is no hindrance where no account has been made', async () => {
    serve({ isOpen: true, who: null });
    show(inside);
    expect(await screen.findByLabelText('Note')).toBeTruthy();
    expect(screen.queryByRole('heading', { name: 'Sign in' })).toBeNull();
  });

  it('shows nothing of the shop before somebody signed in, and says when the password is wrong', async () => {
    const { sent } = serve(OUT);
    show(inside);
    await userEvent.type(await screen.findByLabelText('Name'), 'ida');
    expect(screen.queryByLabelText('Note')).toBeNull();
    const password = screen.getByLabelText('Password', { selector: 'input' });
    await userEvent.type(password, 'wrong{Enter}');
    expect(await screen.findByText('Name or password is wrong.')).toBeTruthy();
    await userEvent.clear(password);
    await userEvent.type(password, 'salt on the sills{Enter}');
    expect(await screen.findByLabelText('Note')).toBeTruthy();
    expect(sent.at(-1)?.body).toMatchObject({ name: 'ida', device: expect.any(String) });
  });

  it('keeps what stood there when somebody is signed out meanwhile', async () => {
    const { end } = serve(IN);
    const client = new QueryClient();
    show(inside, client);
    const note = await screen.findByLabelText('Note');
    await userEvent.type(note, 'left sill');
    end();
    await client.invalidateQueries();
    expect(await screen.findByText(/You were signed out/)).toBeTruthy();
    expect((note as HTMLInputElement).value).toBe('left sill');
    expect(note.closest('[inert]')).not.toBeNull();
    await userEvent.type(screen.getByLabelText('Name'), 'ida');
    await userEvent.type(
      screen.getByLabelText('Password', { selector: 'input' }),
      'salt on the sills{Enter}',
    );
    await waitFor(() => expect(note.closest('[inert]')).toBeNull());
    expect((note as HTMLInputElement).value).toBe('left sill');
  });
});

describe('letting a phone in', () => {
  const page = (
    <Routes>
      <Route path="/" element={<PairPage />} />
    </Routes>
  );

  it('takes the code and a name, and says when the code is not good', async () => {
    const { sent } = serve(OUT);
    show(page);
    const code = await screen.findByLabelText('Code from the desk');
    await userEvent.type(code, 'WRONG12345');
    await userEvent.click(screen.getByRole('button', { name: 'Let it in' }));
    expect(await screen.findByText('Name or password is wrong.')).toBeTruthy();
    await userEvent.clear(code);
    await userEvent.type(code, 'ABCDE23456');
    const name = screen.getByLabelText('What it is called');
    await userEvent.clear(name);
    await userEvent.type(name, 'Bay phone');
    await userEvent.click(screen.getByRole('button', { name: 'Let it in' }));
    await waitFor(() => expect(sent.at(-1)?.body).toEqual({ code: 'ABCDE23456', device: 'Bay phone' }));
  });
});
