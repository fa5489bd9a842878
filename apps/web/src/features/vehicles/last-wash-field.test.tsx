import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY } from '@keen/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { LastWashField } from './last-wash-field.js';
import { NEW_VEHICLE, type VehicleDraft } from '../../drafts/vehicle-form.js';

const NOW_MS = Date.parse('2026-01-14T09:30:00-05:00');

function shown(washedBefore: VehicleDraft['washedBefore']) {
  madeUpServer(({ path }) => {
    if (path.endsWith('/clock')) return { body: { nowMs: NOW_MS, isReal: false } };
    if (path.endsWith('/settings'))
      return { body: { display: DEFAULT_DISPLAY, timeZone: 'America/Toronto' } };
    return undefined;
  });
  const set: Partial<VehicleDraft>[] = [];
  show(
    <LastWashField draft={{ ...NEW_VEHICLE, washedBefore }} set={(change) => set.push(change)} errors={{}} />,
  );
  return { field: screen.getByLabelText<HTMLInputElement>('Last washed, before the log'), set };
}

describe('the day of the last wash before the log', () => {
  it('is empty where nobody knows it, though one is assumed', () => {
    expect(shown({ atMs: NOW_MS, isKnown: false }).field.value).toBe('');
  });

  it('is the day in the zone of the shop, its noon once it is typed, and nothing once it is cleared', async () => {
    const late = Date.parse('2026-01-10T23:30:00-05:00');
    const { field, set } = shown({ atMs: late, isKnown: true });
    await waitFor(() => expect(field.value).toBe('2026-01-10'));
    await waitFor(() => expect(field.max).toBe('2026-01-14'));
    fireEvent.change(field, { target: { value: '2026-01-03' } });
    fireEvent.change(field, { target: { value: '' } });
    expect(set).toEqual([
      { washedBefore: { atMs: Date.parse('2026-01-03T12:00:00-05:00'), isKnown: true } },
      { washedBefore: null },
    ]);
  });

  it('is no later than now where it was today', async () => {
    const { field, set } = shown(null);
    await waitFor(() => expect(field.max).toBe('2026-01-14'));
    fireEvent.change(field, { target: { value: '2026-01-14' } });
    expect(set).toEqual([{ washedBefore: { atMs: NOW_MS, isKnown: true } }]);
  });
});
