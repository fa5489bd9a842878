import { describe, expect, it } from '@jest/globals';
import { type BackupsView, DEFAULT_DISPLAY } from '@keen/core';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { BackupAlert } from '../../parts/backup-alert.js';
import { madeUpServer, type Sent } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { Backups } from './backups.js';

const AT = Date.UTC(2026, 0, 14, 12);
const view = (change: Partial<BackupsView> = {}): BackupsView => ({
  folder: '/data/backups',
  isDaily: true,
  copies: [],
  nextMs: AT,
  failure: null,
  secondFolder: null,
  freeBytes: 40_000_000_000,
  isRoomLow: false,
  liveCopy: null,
  ...change,
});
const COPY = { atMs: AT, bytes: 2_340_000 };

function serve(now: BackupsView, made: BackupsView = now): Sent[] {
  let copied = now;
  return madeUpServer(({ path, method }) => {
    if (method === 'POST') copied = made;
    if (path.endsWith('/settings')) return { body: { display: DEFAULT_DISPLAY, timeZone: 'Etc/UTC' } };
    return path.endsWith('/backups') ? { body: copied } : undefined;
  });
}

describe('backups', () => {
  it('say that there is none yet, and make one', async () => {
    serve(view(), view({ copies: [COPY] }));
    show(<Backups />);
    expect(await screen.findByText(/No copy of your data yet/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Make a copy now' }));
    expect(await screen.findByText(/2\.3 MB/)).toBeTruthy();
    expect(screen.getByText(/The last copy is of/)).toBeTruthy();
  });

  it('are tried: the newest is opened elsewhere, and says what is in it', async () => {
    madeUpServer(({ path, method }) => {
      if (method === 'POST' && path.endsWith('/trial'))
        return { body: { atMs: AT, vehicles: 1, washes: 87, customers: 9 } };
      if (path.endsWith('/settings')) return { body: { display: DEFAULT_DISPLAY, timeZone: 'Etc/UTC' } };
      return { body: view({ copies: [COPY], secondFolder: '/mnt/other' }) };
    });
    show(<Backups />);
    await userEvent.click(await screen.findByRole('button', { name: 'Try the newest copy' }));
    expect((await screen.findByRole('status')).textContent).toMatch(/1 car, 87 washes, 9 customers/);
    expect(screen.getByText(/40\.0 GB free.*goes to \/mnt\/other as well/)).toBeTruthy();
  });

  it.each([
    { change: { lagSeconds: 1.2 }, says: /follows every write to \/mnt\/live: 1 s behind/ },
    { change: { lagSeconds: null }, says: /: beginning/ },
    { change: { failure: 'no room' }, says: /does not run: no room/ },
  ])('say how the live copy is: $says', async ({ change, says }) => {
    serve(view({ liveCopy: { to: '/mnt/live', isRunning: true, lagSeconds: 0, failure: null, ...change } }));
    show(<Backups />);
    expect((await screen.findByText(/live copy/)).textContent).toMatch(says);
  });

  it('say in the morning when the disk fills up', async () => {
    serve(view({ isRoomLow: true, freeBytes: 123_000_000 }));
    show(
      <>
        <BackupAlert />
      </>,
    );
    expect((await screen.findByRole('alert')).textContent).toMatch(/^123 MB are left/);
  });

  it('say that they could not be read, where they could not', async () => {
    madeUpServer(({ path }) =>
      path.endsWith('/settings')
        ? { body: { display: DEFAULT_DISPLAY, timeZone: 'Etc/UTC' } }
        : { status: 500, body: { error: { code: 'failed', field: null, message: 'The disk is gone.' } } },
    );
    show(<Backups />);
    expect(await screen.findByText(/The disk is gone/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Make a copy now' })).toBeNull();
  });

  it('list the newest and count the others', async () => {
    serve(view({ copies: Array.from({ length: 9 }, (_, i) => ({ ...COPY, atMs: AT - i * 86_400_000 })) }));
    show(<Backups />);
    expect(await screen.findByText('4 older')).toBeTruthy();
    expect(screen.getAllByRole('listitem')).toHaveLength(6);
  });

  it('say why the last one failed, there and in the morning', async () => {
    serve(view({ failure: 'no room.' }));
    show(
      <>
        <Backups />
        <BackupAlert />
      </>,
    );
    const alerts = await screen.findAllByRole('alert');
    expect(alerts.map(({ textContent }) => textContent)).toEqual([
      expect.stringContaining('could not be made: no room.'),
      expect.stringContaining('could not be copied: no room.'),
    ]);
    expect(screen.getByRole('link').getAttribute('href')).toBe('/settings?about=backups');
  });
});
