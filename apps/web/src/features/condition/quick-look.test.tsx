import { describe, expect, it } from '@jest/globals';
import { QUICK_LOOKS } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, refusal } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { QUICK_LOOK_NAMES } from '../../words/look-words.js';
import { QuickLookBox } from './quick-look.js';

const CAR = { id: 'black', name: 'Black', paintTone: 'black' } as const;

describe('a look at the whole car', () => {
  it('offers every look, keeps the one that is tapped, and undoes all of it', async () => {
    const sent = madeUpServer(({ path }) =>
      path.endsWith('/whole') ? { body: [{ id: 'a' }, { id: 'b' }] } : undefined,
    );
    show(<QuickLookBox vehicle={CAR} />);
    expect(screen.getAllByRole('button').map(({ textContent }) => textContent)).toEqual(
      QUICK_LOOKS.map((look) => QUICK_LOOK_NAMES[look]),
    );
    await userEvent.click(screen.getByText('A month'));
    expect(await screen.findByText('Black: a month.')).toBeTruthy();
    expect(sent).toMatchObject([{ path: '/api/vehicles/black/soil/whole', body: { look: 'month' } }]);
    await userEvent.click(screen.getByText('Undo'));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]).toMatchObject({ path: '/api/vehicles/black/soil/delete', body: { ids: ['a', 'b'] } });
  });

  it('says of white paint where its film is seen', () => {
    madeUpServer(() => undefined);
    const { unmount } = show(<QuickLookBox vehicle={CAR} />);
    expect(screen.queryByText(/White paint hides film/)).toBeNull();
    unmount();
    show(<QuickLookBox vehicle={{ ...CAR, paintTone: 'white' }} />);
    expect(screen.getByText(/White paint hides film/)).toBeTruthy();
  });

  it('says what went wrong', async () => {
    madeUpServer(({ method }) =>
      method === 'POST' ? refusal('vehicleId', 'No such vehicle.', 404) : undefined,
    );
    show(<QuickLookBox vehicle={CAR} />);
    await userEvent.click(screen.getByText('Caked'));
    expect(await screen.findByText('No such vehicle.')).toBeTruthy();
  });
});
