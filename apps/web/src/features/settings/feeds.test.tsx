import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type FeedView, type Worker } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { Feeds } from './feeds.js';

const WORKERS = [{ id: 'jon', name: 'Jon' }] as unknown as readonly Worker[];
const FEED: FeedView = {
  id: 'one',
  name: 'Partner',
  workerId: 'jon',
  path: '/api/calendar/abc/washes.ics',
  lastReadMs: null,
};

const shown = (feeds: readonly FeedView[]) => {
  const sent = madeUpServer(({ method, path, body }) => {
    if (path.endsWith('/settings'))
      return { body: { display: DEFAULT_DISPLAY, timeZone: 'America/Toronto' } };
    if (method === 'POST' && (body as { name?: string } | undefined)?.name === 'Partner')
      return {
        status: 409,
        body: { error: { code: 'conflict', field: 'name', message: 'name: there is one already.' } },
      };
    return method === 'GET' ? undefined : { body: { feeds, calendars: [] } };
  });
  show(<Feeds workers={WORKERS} feeds={feeds} />);
  return sent;
};

describe('who follows the plan', () => {
  it('says whose washes an address gives and whether it was followed, and deletes it', async () => {
    const sent = shown([FEED]);
    const address = await screen.findByLabelText('Partner');
    expect((address as HTMLInputElement).value).toMatch(/^http.*\/api\/calendar\/abc\/washes\.ics$/);
    expect(screen.getByText('Washes of Jon; not followed yet')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'More about Partner' }));
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Delete' }));
    await waitFor(() =>
      expect(sent).toContainEqual(
        expect.objectContaining({ method: 'DELETE', path: '/api/calendar/feeds/one' }),
      ),
    );
  });

  it('makes one for a name, of one person’s washes where that is chosen', async () => {
    const sent = shown([]);
    await userEvent.click(screen.getByRole('button', { name: 'Make an address' }));
    expect(screen.getByText('Say who follows the plan.')).toBeTruthy();
    await userEvent.type(screen.getByLabelText('Who follows the plan'), 'Front desk');
    expect(screen.queryByText('Say who follows the plan.')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Make an address' }));
    await waitFor(() =>
      expect(sent.find(({ method }) => method === 'POST')?.body).toEqual({ name: 'Front desk' }),
    );
    await waitFor(() =>
      expect(screen.getByLabelText<HTMLInputElement>('Who follows the plan').value).toBe(''),
    );
  });

  it('says at the field what the server refused', async () => {
    shown([]);
    const field = screen.getByLabelText<HTMLInputElement>('Who follows the plan');
    await userEvent.type(field, 'Partner');
    await userEvent.click(screen.getByRole('button', { name: 'Make an address' }));
    expect(await screen.findByText(/there is one already/)).toBeTruthy();
    expect(field.value).toBe('Partner');
  });
});
