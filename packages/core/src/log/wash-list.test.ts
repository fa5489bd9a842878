import { describe, expect, it } from '@jest/globals';
import { guessedWashColumns, washLines, type WashListFacts } from './wash-list.js';

const FACTS: WashListFacts = {
  vehicles: [
    { id: 'suv', name: 'Grey SUV' },
    { id: 'hatch', name: 'Orange hatch' },
  ],
  places: [
    { id: 'unit', name: 'Rented unit', methodIds: ['garage-rinseless'] },
    { id: 'bay', name: 'Pier Road bay', methodIds: ['bay-touch-free', 'bay-contact'] },
  ],
  known: [{ vehicleId: 'suv', startMs: Date.UTC(2026, 0, 3, 17) }],
  timeZone: 'America/Toronto',
  nowMs: Date.UTC(2026, 0, 14, 11, 40),
};
const COLUMNS = guessedWashColumns(['Car', 'Date', 'Time', 'Where', 'How', 'Min', 'Paid', 'Notes']);
const ROW = { Car: 'grey suv', Date: '2026-01-05' };
const read = (...rows: Record<string, string>[]) =>
  washLines(
    rows.map((cells, i) => ({ line: i + 2, cells: { ...ROW, ...cells } })),
    COLUMNS,
    FACTS,
  );
const faultOf = (cells: Record<string, string>) =>
  read(cells).faults.map(({ field, message }) => [field, message]);

describe('a list of old washes', () => {
  it('gives its columns away by usual headings', () => {
    expect(COLUMNS).toEqual({
      car: 'Car',
      day: 'Date',
      time: 'Time',
      place: 'Where',
      method: 'How',
      minutes: 'Min',
      cost: 'Paid',
      note: 'Notes',
    });
  });

  it('is read in the words that people use, on the clock of the shop', () => {
    const line = {
      Date: '05.01.2026',
      Time: '9.30',
      Where: 'pier road  bay',
      How: 'Hand wash',
      Min: '52,5',
      Paid: '14.50',
      Notes: ' sills grey ',
    };
    expect(read(line)).toEqual({
      good: [
        {
          vehicleId: 'suv',
          car: 'Grey SUV',
          placeId: 'bay',
          place: 'Pier Road bay',
          methodId: 'bay-contact',
          startMs: Date.UTC(2026, 0, 5, 14, 30),
          minutes: 52.5,
          costMinor: 1450,
          note: 'sills grey',
        },
      ],
      faults: [],
    });
  });

  it('takes noon, the usual wash and a place that offers it where nothing is said', () => {
    expect(read({}).good).toMatchObject([
      {
        methodId: 'bay-contact',
        placeId: 'bay',
        startMs: Date.UTC(2026, 0, 5, 17),
        minutes: 45,
        costMinor: null,
        note: '',
      },
    ]);
    // What a place offers first is what was done there.
    expect(read({ Where: 'Rented unit' }).good).toMatchObject([
      { methodId: 'garage-rinseless', placeId: 'unit' },
    ]);
    expect(read({ How: 'rinseless' }).good).toMatchObject([
      { methodId: 'garage-rinseless', placeId: 'unit' },
    ]);
    expect(read({ How: 'waterless' }).good).toMatchObject([{ methodId: 'waterless', placeId: 'unit' }]);
  });

  it('reads what this program exports', () => {
    expect(read({ Date: '2026-01-05T14:30:00.000Z' }).good).toMatchObject([
      { startMs: Date.UTC(2026, 0, 5, 14, 30) },
    ]);
    expect(faultOf({ Date: '2026-01-15T14:30:00.000Z' })).toEqual([
      ['Date', 'it is still to come; a wash that is logged was done'],
    ]);
  });

  it.each<[string, Record<string, string>, string, string]>([
    ['a car that is not there', { Car: 'Blue van' }, 'Car', 'there is no car named Blue van; add it first'],
    ['no car', { Car: ' ' }, 'Car', 'the car is missing'],
    ['no day', { Date: '' }, 'Date', 'the day is missing'],
    ['a day that is none', { Date: '2026-02-30' }, 'Date', '"2026-02-30" is no day; write it as 2026-01-31'],
    ['a day that may be two', { Date: '3/4/26' }, 'Date', '"3/4/26" is no day; write it as 2026-01-31'],
    ['tomorrow', { Date: '2026-01-15' }, 'Date', 'it is still to come; a wash that is logged was done'],
    ['no time of day', { Time: '25:10' }, 'Time', '"25:10" is no time of that day; write it as 14:30'],
    ['words for a time', { Time: 'noon' }, 'Time', '"noon" is no time of that day; write it as 14:30'],
    ['a place that is not there', { Where: 'Moon' }, 'Where', 'there is no place named Moon; add it first'],
    ['minutes out of range', { Min: '0' }, 'Min', '"0" must be a number from 1 to 1440'],
    ['money below nothing', { Paid: '-1' }, 'Paid', '"-1" must be a number from 0 to 100000'],
    [
      'a wash of the log',
      { Date: '2026-01-03' },
      'Date',
      'a wash of Grey SUV at that time is in the log already',
    ],
  ])('names %s', (_, cells, field, message) => {
    expect(faultOf(cells)).toEqual([[field, message]]);
    expect(read(cells).good).toEqual([]);
  });

  it('names a method that is not known, with those that are', () => {
    expect(faultOf({ How: 'magic' })).toEqual([
      ['How', expect.stringMatching(/^"magic" is not known; use touchless-automatic, /)],
    ]);
  });

  it('takes a wash that stands there twice once, and the hour that comes twice as its first', () => {
    const { good, faults } = read({}, { Car: 'Orange hatch' }, {});
    expect(good).toHaveLength(2);
    expect(faults).toMatchObject([{ line: 4, field: 'Date' }]);
    expect(read({ Date: '2025-11-02', Time: '1:30' }).good[0]?.startMs).toBe(Date.UTC(2025, 10, 2, 5, 30));
  });

  it('has nowhere to go in a shop without a place', () => {
    const none = washLines([{ line: 2, cells: ROW }], COLUMNS, { ...FACTS, places: [] });
    expect(none.faults).toEqual([
      { line: 2, field: 'Where', message: 'there is no place yet; add one first' },
    ]);
  });
});
