import { describe, expect, it, jest } from '@jest/globals';
import type { NamedWay, Variant } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, type Sent } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { NamedWays } from './named-ways.js';
import { AS_IT_SHIPS } from './own-way.js';

const STEPS: Variant = { steps: [{ key: 'foam-0', minutes: 3, note: '' }], leftOut: [] };
const SHORT: NamedWay = { name: 'Short', methodId: 'bay-contact', variant: STEPS };
const OTHER: NamedWay = { ...SHORT, methodId: 'waterless' };

function open(named: readonly NamedWay[], variant: Variant | null = STEPS) {
  const sent: Sent[] = madeUpServer(({ path }) => (path.endsWith('/settings') ? { body: {} } : undefined));
  const onBegin = jest.fn<(from: Variant) => void>();
  show(<NamedWays methodId="bay-contact" named={named} variant={variant} onBegin={onBegin} />);
  return { sent, onBegin };
}
const listIn = (sent: readonly Sent[]): readonly NamedWay[][] =>
  sent.flatMap(({ body }) => (body as { namedWays?: NamedWay[] } | undefined)?.namedWays ?? []) as never;

describe('steps by a name', () => {
  it('are kept beside the others, and taken back', async () => {
    const { sent } = open([OTHER]);
    const keep = screen.getByRole('button', { name: 'Keep by that name' });
    expect(keep).toHaveProperty('disabled', true);
    await userEvent.type(screen.getByLabelText('A name for these steps'), ' Short ');
    await userEvent.click(keep);
    await screen.findByText('Kept as “Short”.');
    expect(listIn(sent)).toEqual([OTHER, SHORT]);
    await userEvent.click(screen.getByText('Undo'));
    await waitFor(() => expect(listIn(sent)).toEqual([OTHER, SHORT, OTHER]));
  });

  it('are not kept while they have faults', async () => {
    open([], null);
    await userEvent.type(screen.getByLabelText('A name for these steps'), 'Short');
    expect(screen.getByRole('button', { name: 'Keep by that name' })).toHaveProperty('disabled', true);
  });

  it('are begun from, those of this method alone, and forgotten', async () => {
    const longer: Variant = { steps: [], leftOut: ['towel-0'] };
    const { sent, onBegin } = open([SHORT, { ...OTHER, variant: longer }]);
    await userEvent.click(screen.getByRole('combobox', { name: 'Begin from' }));
    expect(screen.getAllByRole('option', { hidden: true }).map(({ textContent }) => textContent)).toEqual([
      'As it ships',
      'Short',
    ]);
    await userEvent.click(screen.getByText('Short'));
    expect(onBegin).toHaveBeenLastCalledWith(STEPS);
    await userEvent.click(screen.getByRole('button', { name: 'Forget it' }));
    await screen.findByText('“Short” is forgotten.');
    expect(listIn(sent)).toEqual([{ ...OTHER, variant: longer }]);
    await userEvent.click(screen.getByRole('combobox', { name: 'Begin from' }));
    await userEvent.click(screen.getByText('As it ships'));
    expect(onBegin).toHaveBeenLastCalledWith(AS_IT_SHIPS);
  });
});
