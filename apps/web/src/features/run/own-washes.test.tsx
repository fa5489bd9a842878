import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, MS_PER_DAY, MS_PER_HOUR } from '@keen/core';
import { screen, within } from '@testing-library/react';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { OwnWashes } from './own-washes.js';

const NOW = Date.UTC(2026, 0, 14, 8);
const wash = (id: string, startMs: number, status = 'planned') => ({
  id,
  status,
  startMs,
  minutes: 60,
  vehicleId: 'a',
  placeId: 'bay',
  methodId: 'bay-touch-free',
});

function open(washes: readonly object[]): void {
  madeUpServer(({ path }) => {
    if (path.endsWith('/settings')) return { body: { display: DEFAULT_DISPLAY, timeZone: 'Etc/UTC' } };
    if (path.endsWith('/clock')) return { body: { nowMs: NOW } };
    if (path.endsWith('/customers/today'))
      return { body: [{ vehicleId: 'a', name: 'Ann Field', contact: '+1 555 0101' }] };
    if (path.endsWith('/washes')) return { body: washes };
    if (path.endsWith('/vehicles')) return { body: [{ id: 'a', name: 'Blue hatch' }] };
    return path.endsWith('/places') ? { body: [{ id: 'bay', name: 'Pier Road bay' }] } : undefined;
  });
  show(<OwnWashes />);
}

describe('the washes of a helper', () => {
  it('stand by day, soonest first, each with its run and its sheet; what is done is gone', async () => {
    open([
      wash('late', NOW + MS_PER_DAY),
      wash('soon', NOW + 2 * MS_PER_HOUR),
      wash('done', NOW - MS_PER_DAY, 'done'),
    ]);
    const today = await screen.findByRole('region', { name: /Wednesday, January 14/ });
    expect(within(today).getByRole('heading', { level: 3 }).textContent).toBe('10:00 Blue hatch');
    expect(within(today).getByRole('link', { name: 'Start' }).getAttribute('href')).toBe('/run/soon/live');
    expect(within(today).getByRole('link', { name: 'Run sheet' }).getAttribute('href')).toBe('/run/soon');
    expect(screen.getAllByRole('link', { name: 'Start' })).toHaveLength(2);
    expect(screen.getByRole('link', { name: 'Prepare them in one go' }).getAttribute('href')).toBe('/round');
  });

  it('say whose the cars of today are and how they are called, and of no other day', async () => {
    open([wash('late', NOW + MS_PER_DAY), wash('soon', NOW + 2 * MS_PER_HOUR)]);
    const call = await screen.findByRole('link', { name: '+1 555 0101' });
    expect(call.getAttribute('href')).toBe('tel:+15550101');
    expect(screen.getAllByText(/Ann Field/)).toHaveLength(1);
    const today = screen.getByRole('region', { name: /Wednesday, January 14/ });
    expect(today.textContent).toContain('Ann Field, +1 555 0101');
  });

  it('are none, and it says where they come from', async () => {
    open([]);
    expect(await screen.findByText('No wash of yours is planned')).toBeTruthy();
    expect(screen.getByText('What the owner plans for you appears here.')).toBeTruthy();
    expect(screen.queryByRole('link', { name: /Prepare/ })).toBeNull();
  });
});
