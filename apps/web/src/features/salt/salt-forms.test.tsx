import { beforeEach, describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type SaltAnswer, type VehicleRecord } from '@keen/core';
import { QueryClient } from '@tanstack/react-query';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, refusal } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { Roads } from './roads.js';
import { Swabs } from './swabs.js';

const NOW = Date.parse('2026-01-14T06:40:00-05:00');
/** Each test has a car of its own, since what is half typed is kept by car. */
let car = 0;
const vehicle = (): VehicleRecord => ({ id: `car-${car}`, name: 'Black saloon' }) as unknown as VehicleRecord;
const saltOf = (pickUp: object): SaltAnswer =>
  ({ pickUp: { factor: 1, count: 0, checks: [], ...pickUp } }) as unknown as SaltAnswer;

function client(): QueryClient {
  const known = new QueryClient();
  known.setQueryData(['settings'], { display: DEFAULT_DISPLAY, timeZone: 'America/Toronto' });
  return known;
}

beforeEach(() => {
  car += 1;
});

describe('a swab', () => {
  const open = (pickUp: object = {}) =>
    show(<Swabs vehicle={vehicle()} salt={saltOf(pickUp)} nowMs={NOW} />, client());
  const rise = () => screen.getByLabelText('Rise, µS/cm');
  const keep = () => userEvent.click(screen.getByRole('button', { name: 'Keep the reading' }));

  it('shows its load as it is typed, and is sent with its instant on the shop’s clock', async () => {
    const sent = madeUpServer();
    open();
    await userEvent.type(rise(), '12.5');
    expect(screen.getByText('0.07 g/m²')).toBeTruthy();
    await keep();
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'POST',
      path: `/api/vehicles/car-${car}/swabs`,
      body: { atMs: NOW, zone: 'lower-left', deltaMicroSiemensPerCm: 12.5, volumeMl: 15, areaMm2: 1250 },
    });
    await waitFor(() => expect(rise()).toHaveProperty('value', ''));
  });

  it.each(['250000', '-1'])(
    'of %s µS/cm is refused at its field as it is typed, and never sent',
    async (typed) => {
      const sent = madeUpServer();
      open();
      await userEvent.type(rise(), typed);
      expect(rise().getAttribute('aria-invalid')).toBe('true');
      expect(rise()).toHaveProperty('value', typed);
      await keep();
      expect(sent).toEqual([]);
    },
  );

  it('without a figure is asked for one, once it is to be kept', async () => {
    const sent = madeUpServer();
    open();
    expect(rise().getAttribute('aria-invalid')).not.toBe('true');
    await keep();
    expect(rise().getAttribute('aria-invalid')).toBe('true');
    expect(sent).toEqual([]);
  });

  it('that the server refuses keeps what was typed and says why at its field', async () => {
    madeUpServer(({ method }) =>
      method === 'POST' ? refusal('atMs', 'atMs is in the future; a reading has been taken.') : undefined,
    );
    open();
    await userEvent.type(rise(), '40');
    await keep();
    expect(await screen.findByText(/is in the future/)).toBeTruthy();
    expect(screen.getByLabelText('Taken').getAttribute('aria-invalid')).toBe('true');
    expect(rise()).toHaveProperty('value', '40');
  });

  it('that is half typed is still there when one comes back', async () => {
    madeUpServer();
    const view = open();
    await userEvent.type(rise(), '40');
    view.unmount();
    open();
    expect(rise()).toHaveProperty('value', '40');
  });

  it.each([
    { pickUp: {}, says: 'No readings yet: this car is taken to pick up what is usual.' },
    { pickUp: { count: 1, factor: 1.25 }, says: /picks up 1\.25 times the usual, from 1 reading;/ },
    { pickUp: { count: 3, factor: 0.5 }, says: /picks up 0\.50 times the usual, from 3 readings;/ },
  ])('teaches: $says', ({ pickUp, says }) => {
    madeUpServer();
    open(pickUp);
    expect(screen.getByText(says)).toBeTruthy();
  });

  it('stands beside what was expected there', async () => {
    const taken = { id: 's', atMs: NOW, zone: 'rear', gramsPerM2: 5.4, deltaMicroSiemensPerCm: 900 };
    madeUpServer(({ path }) => (path.endsWith('/swabs') ? { body: [taken] } : undefined));
    open({ count: 1, checks: [{ ...taken, expectedGramsPerM2: 3.21 }] });
    const row = (await screen.findByText('5.40')).closest('tr');
    expect(row?.textContent).toContain('3.21');
  });
});

describe('a bulletin', () => {
  const told = (isLate: boolean) =>
    madeUpServer(({ method }) =>
      method === 'POST' ? { body: { isLate } } : { body: { authority: 'the county', treatments: [] } },
    );
  const open = () => show(<Roads nowMs={NOW} />, client());
  const keep = () => userEvent.click(screen.getByRole('button', { name: 'Keep the bulletin' }));

  it.each([
    { isLate: true, says: /salt of every car was recalculated/ },
    { isLate: false, says: 'Kept. It counts once its hour has come.' },
  ])('that is kept says what that means: $says', async ({ isLate, says }) => {
    const sent = told(isLate);
    open();
    expect(
      await screen.findByText(/0 bulletins this season, fetched from the the county|0 bulletins/),
    ).toBeTruthy();
    await keep();
    expect(await screen.findByText(says)).toBeTruthy();
    expect(sent[0]).toMatchObject({
      path: '/api/roads/bulletins',
      body: { atMs: NOW, roadClass: 'main', agent: 'NaCl', gramsPerM2: 15 },
    });
  });

  it('without a rate is not sent', async () => {
    const sent = told(false);
    open();
    await userEvent.clear(await screen.findByLabelText(/^Rate/));
    await keep();
    expect(screen.getByText('Give a rate.')).toBeTruthy();
    expect(sent).toEqual([]);
  });
});
