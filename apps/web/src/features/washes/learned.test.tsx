import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, DEFAULT_HOUSE, shopMethod, type WashRecord } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { Learned } from './learned.js';

const CAR = { id: 'car', name: 'Car', bodyClass: 'saloon', delicateWheels: false };
/** A finished run by hand in the bay in which the mitt took so many times as long. */
const ran = (times: number, placeId: string): WashRecord =>
  ({
    vehicleId: 'car',
    placeId,
    methodId: 'bay-contact',
    workerId: 'me',
    status: 'done',
    predicted: null,
    found: {
      run: {
        steps: shopMethod('bay-contact', DEFAULT_HOUSE).steps.map(({ id, minutes }) => ({
          id,
          minutes: minutes * (id === 'contact' ? times : 1),
          plannedMinutes: minutes,
          skipped: null,
        })),
      },
    },
  }) as unknown as WashRecord;

const shown = (washes: readonly WashRecord[]) => {
  const sent = madeUpServer(({ method, path }) => {
    if (method !== 'GET') return undefined;
    if (path.endsWith('/vehicles')) return { body: [CAR] };
    if (path.endsWith('/places')) return { body: [{ id: 'bay', name: 'The bay' }] };
    if (path.endsWith('/settings'))
      return {
        body: { display: DEFAULT_DISPLAY, house: DEFAULT_HOUSE, workers: [{ id: 'me', name: 'Me' }] },
      };
    return undefined;
  });
  return { sent, ...show(<Learned washes={washes} />) };
};

describe('your own minutes', () => {
  it('say what the runs took beside what is counted, and are counted from then on by one tap', async () => {
    const { sent } = shown([ran(1.3, 'bay'), ran(1.34, 'bay'), ran(1.4, 'unit')]);
    const region = await screen.findByRole('region', { name: 'Minutes that your runs tell of' });
    expect(region.textContent).toContain(
      'Wash it by hand, self-serve, by hand: it takes you 24 min, the program counts 18 min (median of 3 runs, on a saloon)',
    );
    expect(region.textContent).toContain('The bay 24 min (2 runs) · Me 24 min (3 runs)');
    await userEvent.click(screen.getByRole('button', { name: /^Count 24 min for “Wash it by hand”/ }));
    await waitFor(() => expect(sent).toHaveLength(1));
    const { body } = sent[0] as { body: { house: { variants: Record<string, { steps: object[] }> } } };
    expect(body.house.variants['bay-contact']?.steps).toContainEqual({
      key: 'contact-0',
      minutes: 24,
      note: '',
    });
  });

  it('are silent where the runs agree with what is counted', async () => {
    const { client } = shown([ran(1.05, 'bay'), ran(1, 'bay'), ran(0.95, 'bay')]);
    await waitFor(() => expect(client.isFetching()).toBe(0));
    expect(screen.queryByRole('region')).toBeNull();
  });
});
