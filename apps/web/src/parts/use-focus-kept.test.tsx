import { describe, expect, it } from '@jest/globals';
import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useRef, useState } from 'react';
import { show } from '../testing/show.js';
import { useFocusKept } from './use-focus-kept.js';

/** A list from which each button takes itself; the last is disabled for a moment first. */
function Cars({ names }: { readonly names: readonly string[] }) {
  const area = useRef<HTMLDivElement>(null);
  useFocusKept(area);
  const [there, setThere] = useState(names);
  const [isBusy, setBusy] = useState(false);
  return (
    <>
      <div ref={area}>
        {there.map((name) => (
          <button key={name} type="button" onClick={() => setThere(there.filter((one) => one !== name))}>
            {name}
          </button>
        ))}
        <button type="button" disabled={isBusy} onClick={() => setBusy(true)}>
          Wait
        </button>
      </div>
      <button type="button" onClick={() => setBusy(false)}>
        Done waiting
      </button>
      <p>Nothing to press</p>
    </>
  );
}

const focused = () => document.activeElement?.textContent;
const press = async (name: string) => {
  screen.getByRole('button', { name }).focus();
  await userEvent.keyboard('{Enter}');
};

describe('the focus', () => {
  it('goes to what follows where what had it is taken away, and back where nothing does', async () => {
    show(<Cars names={['one', 'two', 'three']} />);
    await press('two');
    await waitFor(() => expect(focused()).toBe('three'));
    await userEvent.keyboard('{Enter}');
    await waitFor(() => expect(focused()).toBe('Wait'));
  });

  it('is left alone once somebody has gone elsewhere', async () => {
    show(<Cars names={['one', 'two']} />);
    screen.getByRole('button', { name: 'one' }).focus();
    await userEvent.click(screen.getByText('Nothing to press'));
    expect(document.activeElement).toBe(document.body);
    act(() => screen.getByRole('button', { name: 'one' }).click());
    await waitFor(() => expect(screen.queryByRole('button', { name: 'one' })).toBeNull());
    expect(document.activeElement).toBe(document.body);
  });

  it('comes again to what was disabled for a while', async () => {
    show(<Cars names={['one']} />);
    await press('Wait');
    const wait = screen.getByRole<HTMLButtonElement>('button', { name: 'Wait' });
    await waitFor(() => expect(wait.disabled).toBe(true));
    // A browser takes the focus from what is disabled; this made-up one does not.
    wait.blur();
    act(() => screen.getByRole('button', { name: 'Done waiting' }).click());
    await waitFor(() => expect(focused()).toBe('Wait'));
  });
});
