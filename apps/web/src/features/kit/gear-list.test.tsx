import { describe, expect, it } from '@jest/globals';
import type { Gear } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, type Sent } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { GearList } from './gear-list.js';

const towels = (change: Partial<Gear> = {}): Gear => ({
  id: 'towels',
  name: 'Grey towels',
  kind: 'folded-towel',
  count: 20,
  cleanCount: 5,
  volumeMl: null,
  outputLitresPerBottle: null,
  lifeLitres: null,
  litresUsed: 0,
  notes: '',
  duty: 'paint',
  launderedTimes: 60,
  ...change,
});
function open(gear: Gear): Sent[] {
  const sent = madeUpServer(({ method, body }) =>
    method === 'PATCH' ? { body: { ...gear, ...(body as Partial<Gear>) } } : undefined,
  );
  show(<GearList gear={[gear]} onEdit={() => undefined} />);
  return sent;
}
const bodies = (sent: Sent[]) => sent.filter(({ method }) => method === 'PATCH').map(({ body }) => body);

describe('towels on the shelf', () => {
  it('are laundered with one tap, each so much older, and that is undone as it was', async () => {
    const sent = open(towels());
    await userEvent.click(screen.getByRole('button', { name: 'Grey towels are laundered' }));
    await waitFor(() => expect(bodies(sent)[0]).toEqual({ cleanCount: 20, launderedTimes: 60.75 }));
    await userEvent.click(await screen.findByText('Undo'));
    await waitFor(() => expect(bodies(sent)[1]).toEqual({ cleanCount: 5, launderedTimes: 60 }));
  });

  it('that are worn go down to the sills, and back', async () => {
    const sent = open(towels());
    await userEvent.click(screen.getByRole('button', { name: 'Use Grey towels on sills and shuts only' }));
    await waitFor(() => expect(bodies(sent)[0]).toEqual({ duty: 'sills' }));
    await userEvent.click(await screen.findByText('Undo'));
    await waitFor(() => expect(bodies(sent)[1]).toEqual({ duty: 'paint' }));
  });

  it('that are not worn are offered nothing of the kind', () => {
    open(towels({ launderedTimes: 12 }));
    expect(screen.queryByRole('button', { name: /only/ })).toBeNull();
    expect(screen.getByText('5 of 20 clean, laundered 12 times')).toBeTruthy();
  });
});
