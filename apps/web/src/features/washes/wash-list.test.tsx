import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type WashLine, type WashListReport } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, type Sent } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { WashList } from './wash-list.js';

const LINE: WashLine = {
  vehicleId: 'a',
  car: 'Kombi',
  placeId: 'p',
  place: 'Pier Road bay',
  methodId: 'bay-contact',
  startMs: Date.UTC(2026, 0, 5, 14, 30),
  minutes: 45,
  costMinor: 1450,
  note: 'grey sills',
};
const MADE = { washIds: ['w'] };

function served(): Sent[] {
  return madeUpServer(({ path, method, body }) => {
    if (path.endsWith('/settings')) return { body: { display: DEFAULT_DISPLAY, timeZone: 'Etc/UTC' } };
    if (method !== 'POST' || !path.endsWith('washes/list')) return undefined;
    const isKept = (body as { mode: string }).mode !== 'look';
    const report: WashListReport = {
      good: [LINE],
      faults: [{ line: 3, field: 'Date', message: 'the day is missing' }],
      kept: isKept,
      headings: ['Car', 'Date'],
      columns: { car: 'Car', day: 'Date' },
      made: isKept ? MADE : null,
    };
    return { body: report };
  });
}

describe('reading a list of old washes', () => {
  it('shows each wash as it would be kept and what is wrong, keeps the good ones, and takes them out again', async () => {
    const sent = served();
    show(<WashList onClose={() => undefined} />);
    await userEvent.type(screen.getByLabelText('Or paste it'), 'Car,Date');
    await userEvent.click(screen.getByRole('button', { name: 'Look at it' }));
    expect(
      await screen.findByText(
        /^Kombi: .*Jan 5.*14:30, Pier Road bay, self-serve, by hand, 45 min, \$14\.50, grey sills$/,
      ),
    ).toBeTruthy();
    expect(screen.getByText('Line 3, Date: the day is missing')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: /Keep the good/ }));
    expect(await screen.findByText('1 wash added. The salt ledger has moved with it.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() =>
      expect(sent.at(-1)).toMatchObject({
        path: expect.stringMatching(/washes\/list\/undo$/) as unknown,
        body: MADE,
      }),
    );
  });
});
