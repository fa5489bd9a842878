import { describe, expect, it } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { useRemoveFrom, useRestoreTo } from '../api/kit-queries.js';
import { type Answer, madeUpServer, refusal, type Sent } from '../testing/server.js';
import { show } from '../testing/show.js';
import { sayWithUndo } from './notices.js';

function Bottle() {
  const remove = useRemoveFrom('products');
  const restore = useRestoreTo('products');
  const takeAway = (): void =>
    void sayWithUndo(remove.mutateAsync('soap'), 'Soap deleted.', () => restore.mutateAsync('soap'));
  return (
    <button type="button" onClick={takeAway}>
      Delete
    </button>
  );
}

/** A page that can be left. */
function Page() {
  const [isThere, setThere] = useState(true);
  return (
    <>
      {isThere && <Bottle />}
      <button type="button" onClick={() => setThere(false)}>
        Go elsewhere
      </button>
    </>
  );
}

const press = (name: string): Promise<void> => userEvent.click(screen.getByRole('button', { name }));

/** Deletes and leaves the page before the server has answered; then it answers. */
async function leaveBefore(answer: Answer): Promise<Sent[]> {
  let release: (answer: Answer) => void = () => undefined;
  const held = new Promise<Answer>((resolve) => (release = resolve));
  const sent = madeUpServer(({ method }) => (method === 'DELETE' ? held : undefined));
  show(<Page />);
  await press('Delete');
  await waitFor(() => expect(sent).toHaveLength(1));
  await press('Go elsewhere');
  expect(screen.queryByRole('button', { name: 'Delete' })).toBeNull();
  release(answer);
  return sent;
}

describe('what is said of a change', () => {
  it('can be undone though what asked for it has gone from the page', async () => {
    const sent = await leaveBefore({ body: {} });
    expect(await screen.findByText('Soap deleted.')).toBeTruthy();
    await press('Undo');
    await waitFor(() => expect(sent.map(({ method }) => method)).toEqual(['DELETE', 'POST']));
    expect(sent[1]?.path).toMatch(/kit\/products\/soap\/restore$/);
  });

  it('says that it failed though the page was left', async () => {
    await leaveBefore(refusal('id', 'It stands in a wash that is going on.', 409));
    expect(await screen.findByText('It stands in a wash that is going on.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
  });

  it('says why an undo failed', async () => {
    madeUpServer(({ method }) =>
      method === 'POST' ? refusal('id', 'Another bottle has this name now.', 409) : undefined,
    );
    show(<Page />);
    await press('Delete');
    await screen.findByText('Soap deleted.');
    await press('Undo');
    expect(await screen.findByText('Another bottle has this name now.')).toBeTruthy();
  });
});
