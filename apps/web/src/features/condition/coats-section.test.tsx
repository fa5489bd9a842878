import { describe, expect, it } from '@jest/globals';
import type { CoatRecord, CoatSpan, VehicleRecord } from '@keen/core';
import { screen } from '@testing-library/react';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { CoatsSection } from './coats-section.js';

const NOW = Date.UTC(2026, 0, 14, 12);
const DAY = 86_400_000;
const coat = (change: Partial<CoatSpan>): CoatSpan => ({
  kind: 'sealant',
  productName: 'Larch seal',
  fromMs: NOW - 74 * DAY,
  toMs: null,
  ended: 'lies',
  zones: ['roof', 'bonnet', 'boot', 'front'],
  ...change,
});

function showWith(coats: readonly CoatSpan[], answers: Readonly<Record<string, unknown>> = {}): void {
  madeUpServer(({ path }) => {
    const body = answers[path.replace('/api/', '')];
    return body === undefined ? undefined : { body };
  });
  show(<CoatsSection coats={coats} nowMs={NOW} />);
}

describe('what protected a car', () => {
  it('says how to get a date where there is none', () => {
    showWith([]);
    expect(screen.getByText(/No coat with a date yet/)).toBeTruthy();
  });

  it('names product, kind, zones, days and end', () => {
    const ended = coat({
      kind: 'wax',
      productName: null,
      toMs: NOW - 73 * DAY,
      ended: 'gone',
      zones: ['roof'],
    });
    showWith([coat({}), ended]);
    const [first, second] = screen.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(first).toMatch(/Larch seal \(sealant\) 4 zones.*74 days so far, still on/);
    expect(second).toMatch(/^Wax roof.*1 day, water lay flat on it/);
  });

  it('sets the cars of the shop beside each other', async () => {
    const rows: CoatRecord[] = [
      {
        kind: 'sealant',
        productName: 'Larch seal',
        goneAfterDays: 40,
        cars: [
          { vehicleId: 'van', fromMs: NOW - 90 * DAY, days: 90, ended: 'covered' },
          { vehicleId: 'lost', fromMs: NOW - 12 * DAY, days: 12, ended: 'lies' },
        ],
      },
    ];
    const vehicles = [{ id: 'van', name: 'White van' }] as VehicleRecord[];
    showWith([coat({})], { 'verdicts/coats': rows, vehicles });
    const line = await screen.findByRole('row', { name: /White van/, hidden: true });
    expect(line.textContent).toBe(
      'Larch seal (sealant) gone after 40 days (median)White van90 days, renewed or covered',
    );
    expect(screen.getByRole('row', { name: /a removed car/, hidden: true })).toBeTruthy();
  });
});
