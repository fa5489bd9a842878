import { describe, expect, it } from '@jest/globals';
import { CAR_LINE_DEFAULTS, carLines, guessedColumns } from './car-list.js';

const NOW = Date.UTC(2026, 0, 14, 11);
const COLUMNS = guessedColumns([
  'Car',
  'Body',
  'Colour',
  'Protection',
  'Every',
  'km',
  'Owner',
  'Phone',
  'Last wash',
]);
const read = (cells: Record<string, string>, taken: readonly string[] = []) =>
  carLines([{ line: 2, cells: { Car: 'Blue one', ...cells } }], COLUMNS, { taken, nowMs: NOW });

describe('a list of cars', () => {
  it('gives its columns away by usual headings, whatever their letters', () => {
    expect(COLUMNS).toEqual({
      name: 'Car',
      body: 'Body',
      tone: 'Colour',
      protection: 'Protection',
      everyDays: 'Every',
      kmADay: 'km',
      customer: 'Owner',
      contact: 'Phone',
      lastWash: 'Last wash',
    });
    expect(guessedColumns(['LAST-WASHED', 'Fahrzeug'])).toEqual({ lastWash: 'LAST-WASHED' });
  });

  it('is read in the words that people use', () => {
    const { good, faults } = read({
      Body: 'Station Wagon',
      Colour: 'Grey',
      Protection: 'ceramic',
      Every: '7,5',
      km: '62',
      Owner: ' Ann ',
      Phone: '555-0100',
      'Last wash': '3.1.2026',
    });
    expect(faults).toEqual([]);
    expect(good).toEqual([
      {
        name: 'Blue one',
        bodyClass: 'estate',
        paintTone: 'silver',
        protection: 'coating',
        cadenceDays: 7.5,
        kmADay: 62,
        customer: 'Ann',
        contact: '555-0100',
        lastWashMs: Date.UTC(2026, 0, 3, 12),
        notes: '',
      },
    ]);
  });

  it('is filled up where it says nothing', () => {
    expect(read({}).good[0]).toMatchObject({
      bodyClass: CAR_LINE_DEFAULTS.body,
      cadenceDays: CAR_LINE_DEFAULTS.cadenceDays,
      customer: null,
      lastWashMs: null,
    });
  });

  it.each<[Record<string, string>, string, RegExp]>([
    [{ Car: ' ' }, 'Car', /no name/],
    [{ Car: 'x'.repeat(81) }, 'Car', /80 letters/],
    [{ Body: 'boat' }, 'Body', /"boat" is not known; use saloon/],
    [{ Colour: 'plaid' }, 'Colour', /not known/],
    [{ Every: '0' }, 'Every', /from 1 to 365/],
    [{ km: '-3' }, 'km', /from 0 to 1500/],
    [{ 'Last wash': '3/4/26' }, 'Last wash', /write it as 2026-01-31/],
    [{ 'Last wash': '2026-02-30' }, 'Last wash', /no day/],
    [{ 'Last wash': '2026-01-15' }, 'Last wash', /still to come/],
  ])('names what is wrong in %j', (cells, field, message) => {
    const { good, faults } = read(cells);
    expect(good).toEqual([]);
    expect(faults).toEqual([{ line: 2, field, message: expect.stringMatching(message) as unknown }]);
  });

  it('takes a wash of today as of now, and none from the hour to come', () => {
    expect(read({ 'Last wash': '2026-01-14' }).good[0]?.lastWashMs).toBe(NOW);
  });

  it('has no car twice: not in itself, nor with what is there', () => {
    const rows = ['Van', 'van ', 'Other'].map((Car, i) => ({ line: i + 2, cells: { Car } }));
    const { good, faults } = carLines(rows, COLUMNS, { taken: ['OTHER'], nowMs: NOW });
    expect(good.map(({ name }) => name)).toEqual(['Van']);
    expect(faults.map(({ line, field }) => [line, field])).toEqual([
      [3, 'Car'],
      [4, 'Car'],
    ]);
  });
});
