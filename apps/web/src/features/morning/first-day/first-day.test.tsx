import { describe, expect, it } from '@jest/globals';
import type { PlaceRecord, VehicleRecord } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, refusal, type Sent } from '../../../testing/server.js';
import { show } from '../../../testing/show.js';
import { FirstDay } from './first-day.js';

const NOW_MS = Date.parse('2026-01-14T09:30:00-05:00');
const bay = { id: 'bay', name: 'Corner bay' } as PlaceRecord;
const black = { id: 'black', name: 'Black saloon' } as VehicleRecord;

const served = (answer: (sent: Sent) => ReturnType<typeof refusal> | undefined = () => undefined): Sent[] =>
  madeUpServer((sent) => {
    if (sent.path.endsWith('/clock')) return { body: { nowMs: NOW_MS, canBeSet: false } };
    return answer(sent) ?? (sent.method === 'POST' ? { body: { id: 'made' }, status: 201 } : undefined);
  });
const changes = (sent: readonly Sent[]): Sent[] => sent.filter(({ method }) => method !== 'GET');
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));

describe('an empty shop', () => {
  it('asks where, names what is wrong with coordinates, keeps units and place, and asks nothing twice', async () => {
    const sent = served();
    show(<FirstDay vehicles={[]} places={[]} />);
    await press('Keep this place');
    expect(screen.getByText('Paste two numbers, or use where you are now.')).toBeTruthy();
    const where = screen.getByLabelText('Where it is');
    await userEvent.type(where, '-120.5, 44.2');
    await press('Keep this place');
    expect(screen.getByText('North is at most 90: the two look swapped.')).toBeTruthy();
    expect(changes(sent)).toEqual([]);
    await userEvent.clear(where);
    await userEvent.type(where, '44.2, -76.5');
    await press('Keep this place');
    await waitFor(() => expect(changes(sent)).toHaveLength(2));
    const [settings, place] = changes(sent);
    expect(settings).toMatchObject({ path: '/api/settings', body: { drivesOn: 'right' } });
    expect(place).toMatchObject({
      path: '/api/places',
      body: {
        name: 'Self-serve bay',
        kind: 'self-serve-bay',
        latitudeDeg: 44.2,
        longitudeDeg: -76.5,
        hasDrain: true,
        washWater: { origin: 'default' },
      },
    });
  });

  it('keeps a car with its last wash and how it looks, and shows what is there already as done', async () => {
    const sent = served();
    show(<FirstDay vehicles={[]} places={[bay]} />);
    expect(screen.getByText('Corner bay')).toBeTruthy();
    expect(screen.queryByLabelText('Where it is')).toBeNull();
    await press('Keep this car');
    expect(screen.getByText('Give it a name: colour and shape will do.')).toBeTruthy();
    await userEvent.type(screen.getByLabelText('Name of the car'), 'Red hatch');
    await userEvent.click(screen.getByRole('combobox', { name: 'Last washed' }));
    await userEvent.click(await screen.findByRole('option', { name: 'A week ago', hidden: true }));
    await press('Caked');
    await press('Keep this car');
    await waitFor(() => expect(changes(sent)).toHaveLength(2));
    expect(changes(sent)).toMatchObject([
      {
        path: '/api/vehicles',
        body: { name: 'Red hatch', washedBefore: { atMs: NOW_MS - 7 * 86_400_000, isKnown: true } },
      },
      { path: '/api/vehicles/made/soil/whole', body: { look: 'caked' } },
    ]);
  });

  it('says what the server refused, and keeps what was typed', async () => {
    served(({ method, path }) =>
      method === 'POST' && path.endsWith('/vehicles')
        ? refusal('name', 'That name is taken.', 400)
        : undefined,
    );
    show(<FirstDay vehicles={[]} places={[]} />);
    const name = screen.getByLabelText<HTMLInputElement>('Name of the car');
    await userEvent.type(name, 'Red hatch');
    await press('Keep this car');
    expect(await screen.findByText('That name is taken.')).toBeTruthy();
    expect(name.value).toBe('Red hatch');
  });

  it('whose car is there asks for the place alone', () => {
    served();
    show(<FirstDay vehicles={[black]} places={[]} />);
    expect(screen.getByText('Black saloon')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Keep this car' })).toBeNull();
  });

  it('can be filled with a made-up one to look around in, while nothing of one’s own is there', async () => {
    const sent = served(({ path, method }) =>
      method === 'POST' && path.endsWith('/made-up')
        ? refusal('shop', 'There are cars here.', 409)
        : undefined,
    );
    show(<FirstDay vehicles={[]} places={[]} />);
    await press('Look around in a made-up shop');
    await waitFor(() => expect(changes(sent)).toMatchObject([{ path: '/api/start-again/made-up' }]));
    expect(await screen.findByText(/There are cars here/)).toBeTruthy();
  });

  it('is not offered a made-up shop beside its own', () => {
    served();
    show(<FirstDay vehicles={[]} places={[bay]} />);
    expect(screen.queryByRole('button', { name: /made-up shop/ })).toBeNull();
  });
});
