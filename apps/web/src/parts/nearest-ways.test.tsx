import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type NearWay, type PlaceRecord } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer } from '../testing/server.js';
import { show } from '../testing/show.js';
import { NearestWays } from './nearest-ways.js';

const way = (placeId: string, verdict: NearWay['verdict']): NearWay => ({
  placeId,
  methodId: 'garage-rinseless',
  startMs: Date.UTC(2026, 0, 14, 15),
  wayId: 'whole',
  verdict,
  limiting: {
    ruleId: 'open-hours',
    level: verdict === 'no' ? 'block' : 'clear',
    margin: null,
    unit: 'none',
    comfort: 1,
  },
});
const PLACES = [
  { id: 'a', name: 'Unit A' },
  { id: 'b', name: 'Unit B' },
] as PlaceRecord[];

const shown = (ways: readonly NearWay[], onShow?: (one: NearWay) => void) => {
  const sent = madeUpServer(({ path, method }) =>
    method === 'GET' && path.endsWith('/settings')
      ? { body: { display: DEFAULT_DISPLAY, timeZone: 'UTC' } }
      : { body: { id: 'w', startMs: Date.UTC(2026, 0, 14, 15) } },
  );
  show(<NearestWays vehicleId="v" vehicleName="Car" ways={ways} places={PLACES} onShow={onShow} />);
  return sent;
};

describe('the nearest ways', () => {
  it('are planned by one tap where they go', async () => {
    const sent = shown([way('a', 'go')]);
    await userEvent.click(await screen.findByRole('button', { name: /^Plan .*Unit A, rinseless indoors/ }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      method: 'POST',
      path: '/api/washes',
      body: {
        vehicleId: 'v',
        placeId: 'a',
        methodId: 'garage-rinseless',
        startMs: Date.UTC(2026, 0, 14, 15),
      },
    });
  });

  it('are planned as half of the car where that is what goes', async () => {
    const sent = shown([{ ...way('a', 'go-if'), wayId: 'upper-only' }]);
    expect(await screen.findByText(/upper body/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: /^Plan .*Unit A/ }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ body: { placeId: 'a', wayId: 'upper-only' } });
  });

  it('are looked at where they do not, and say what is missing', async () => {
    const looked: NearWay[] = [];
    shown([way('b', 'no')], (one) => looked.push(one));
    expect(screen.getByText(/closed at this hour/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Plan/ })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /^Show .*Unit B/ }));
    expect(looked).toEqual([way('b', 'no')]);
  });

  it('are nothing where there are none', () => {
    shown([]);
    expect(screen.queryByRole('list')).toBeNull();
  });
});
