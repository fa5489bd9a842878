import { describe, expect, it, jest } from '@jest/globals';
import type { SpotRecord, VehicleRecord } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, type Sent } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { KeepButton, OnCar } from './on-car.js';
import { FRESH, fromRecord, onZone, type SpotCase } from './spot-case.js';

const RECORD: SpotRecord = {
  id: 's1',
  vehicleId: 'black',
  zone: 'roof',
  age: 'bonded',
  material: 'paint',
  cause: 'tap-water',
  atMs: Date.UTC(2026, 0, 10),
  done: [{ rung: 'acid-test', reaction: 'no-change' }],
  note: '',
};

function serve(records: readonly SpotRecord[] = []): Sent[] {
  return madeUpServer(({ path, method }) => {
    if (path.endsWith('/vehicles'))
      return { body: [{ id: 'black', name: 'Black saloon' }] as VehicleRecord[] };
    if (path.endsWith('/spots')) return { body: method === 'POST' ? RECORD : records };
    return undefined;
  });
}
const open = (spot: Partial<SpotCase>) => {
  const onChange = jest.fn<(change: Partial<SpotCase>) => void>();
  const onKept = jest.fn<() => void>();
  const whole = { ...FRESH, ...spot };
  show(
    <>
      <OnCar spot={whole} onChange={onChange} />
      <KeepButton spot={whole} onKept={onKept} />
    </>,
  );
  return { onChange, onKept };
};

describe('spots on a car', () => {
  it('are on none where nobody says so, and nothing can be kept', () => {
    serve();
    open({});
    expect(screen.queryByRole('button', { name: /Keep/ })).toBeNull();
    expect(screen.queryByLabelText('Where on it')).toBeNull();
  });

  it('are kept on its record with what was tried, and taken back', async () => {
    const sent = serve();
    const { onKept } = open({ vehicleId: 'black', zone: 'roof', done: RECORD.done });
    await userEvent.click(screen.getByRole('button', { name: 'Keep it on the car’s record' }));
    await waitFor(() => expect(onKept).toHaveBeenCalled());
    expect(sent.find(({ method }) => method === 'POST')).toMatchObject({
      path: '/api/vehicles/black/spots',
      body: { zone: 'roof', done: RECORD.done, note: '' },
    });
    await userEvent.click(await screen.findByText('Undo'));
    await waitFor(() => expect(sent.some(({ method }) => method === 'DELETE')).toBe(true));
  });

  it('go on from the record, which keeps what else was tried', async () => {
    serve([RECORD]);
    const { onChange } = open({ vehicleId: 'black' });
    expect(await screen.findByText(/roof, tap water left to dry: still there after/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Go on' }));
    expect(onChange).toHaveBeenCalledWith(fromRecord(RECORD));
  });

  it('keep what else was tried on the record that they came from', async () => {
    const sent = serve([RECORD]);
    open({ ...fromRecord(RECORD), done: [] });
    await userEvent.click(screen.getByRole('button', { name: 'Keep what was tried' }));
    await waitFor(() =>
      expect(sent.find(({ method }) => method === 'PATCH')?.path).toBe('/api/vehicles/black/spots/s1'),
    );
  });

  it('take the material from the zone, and start over on another', () => {
    expect(onZone('glass')).toEqual({ zone: 'glass', recordId: null, done: [], material: 'glass' });
    expect(onZone(null)).toEqual({ zone: null, recordId: null, done: [] });
  });

  it('show their photographs, and have one deleted and brought back', async () => {
    const sent = serve([{ ...RECORD, photoIds: ['p1', 'p2'] }]);
    open({ vehicleId: 'black', zone: 'roof' });
    const shown = await screen.findByAltText('Spots on the roof, photograph 2');
    expect(shown.getAttribute('src')).toBe('/api/vehicles/black/spots/s1/photos/p2');
    await userEvent.click(
      screen.getByRole('button', { name: 'Delete photograph 1 of the spots on the roof' }),
    );
    await userEvent.click(await screen.findByText('Undo'));
    await waitFor(() =>
      expect(
        sent.filter(({ path }) => path.includes('/photos/')).map(({ method, path }) => [method, path]),
      ).toEqual([
        ['DELETE', '/api/vehicles/black/spots/s1/photos/p1'],
        ['POST', '/api/vehicles/black/spots/s1/photos/p1/restore'],
      ]),
    );
  });

  it('say what is wrong with a file that is no picture, and send nothing', async () => {
    const sent = serve([RECORD]);
    open({ vehicleId: 'black', zone: 'roof' });
    await screen.findByRole('button', { name: 'Photograph the spots on the roof' });
    const input = document.querySelector<HTMLInputElement>('input[type=file]');
    if (!input) throw new Error('no file can be chosen');
    await userEvent.upload(input, new File(['x'], 'list.txt', { type: 'text/plain' }), {
      applyAccept: false,
    });
    expect((await screen.findByRole('alert')).textContent).toMatch(/not a picture/);
    expect(sent.some(({ method }) => method === 'PUT')).toBe(false);
  });
});
