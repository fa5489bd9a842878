import { describe, expect, it } from '@jest/globals';
import { type CarListReport, DEFAULT_DISPLAY } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { madeUpServer, type Sent } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { CarList } from './car-list.js';
import { ownColumns } from '../../parts/own-columns.js';

const LINE = {
  name: 'Kombi',
  bodyClass: 'estate',
  paintTone: 'mid',
  protection: 'bare',
  cadenceDays: 10,
  kmADay: 40,
  customer: 'Ann',
  contact: '',
  lastWashMs: null,
  notes: '',
} as const;
const MADE = { vehicleIds: ['a'], customerIds: ['b'] };

function served(): Sent[] {
  return madeUpServer(({ path, method, body }) => {
    if (path.endsWith('/settings')) return { body: { display: DEFAULT_DISPLAY, timeZone: 'Etc/UTC' } };
    if (method !== 'POST' || !path.endsWith('/list')) return undefined;
    const { columns, mode } = body as { columns?: object; mode: string };
    const isKept = mode !== 'look';
    const report: CarListReport = {
      good: columns ? [LINE] : [],
      faults: columns ? [] : [{ line: 2, field: 'name', message: 'the car has no name' }],
      kept: isKept,
      headings: ['Wagen', 'Bemerkung'],
      columns: columns ?? {},
      made: isKept ? MADE : null,
    };
    return { body: report };
  });
}

describe('reading a list of cars', () => {
  it('asks which heading is which, looks again, keeps, and takes it out again', async () => {
    const sent = served();
    show(<CarList onClose={() => undefined} />);
    await userEvent.type(screen.getByLabelText('Or paste it'), 'Wagen,Bemerkung');
    await userEvent.click(screen.getByRole('button', { name: 'Look at it' }));
    expect(await screen.findByText('Line 2, name: the car has no name')).toBeTruthy();
    await userEvent.click(screen.getByRole('combobox', { name: 'Name of the car' }));
    await userEvent.click(await screen.findByRole('option', { name: 'Wagen' }));
    expect(await screen.findByText(/^Kombi: estate, .*every 10 days, Ann, last wash not known/)).toBeTruthy();
    expect(sent.at(-1)?.body).toMatchObject({ mode: 'look', columns: { name: 'Wagen' } });
    await userEvent.click(screen.getByRole('button', { name: 'Keep all' }));
    expect(await screen.findByText('1 car added.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() =>
      expect(sent.at(-1)).toMatchObject({
        path: expect.stringMatching(/list\/undo$/) as unknown,
        body: MADE,
      }),
    );
  });

  it('remembers the headings for a file that has them all, and no other', () => {
    expect(ownColumns({ name: 'Wagen' }, 'Wagen;Farbe\nx;y')).toEqual({ name: 'Wagen' });
    expect(ownColumns({ name: 'Wagen', notes: 'Ort' }, 'Wagen;Farbe\nOrt;y')).toBeNull();
    expect(ownColumns({}, 'Wagen')).toBeNull();
  });
});
