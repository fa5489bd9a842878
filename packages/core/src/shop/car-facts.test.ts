import { describe, expect, it } from '@jest/globals';
import type { WashRecord } from '../log/index.js';
import { MS_PER_MINUTE } from '../quantity/index.js';
import { NOW_MS } from '../testing/facts.js';
import { VEHICLE } from '../testing/shop.js';
import type { VehicleRecord } from '../vehicle/index.js';
import { carFacts } from './car-facts.js';
import type { CarNotes } from './car-notes.js';

const RECORD: VehicleRecord = {
  ...VEHICLE,
  id: 'mine',
  name: 'Orange hatch',
  colourName: 'Rust',
  keeper: 'Ann',
  notes: 'chipped sill',
  customerId: 'ann',
  knownSinceMs: 5,
  washedBefore: { atMs: 3, isKnown: true },
};
const HOURS = [{ openMinute: 60, closeMinute: 120 }, null];
const wash = (vehicleId: string, change: Partial<WashRecord> = {}): WashRecord => ({
  id: 'w',
  vehicleId,
  placeId: 'bay',
  methodId: 'bay-contact',
  status: 'done',
  startMs: NOW_MS - 30 * MS_PER_MINUTE,
  minutes: 20,
  workerId: 'me',
  isLocked: false,
  startedMs: null,
  extras: ['top-up'],
  costMinor: 900,
  predicted: null,
  found: null,
  ...change,
});
const NOTHING: CarNotes = { washes: [], drives: [], swabs: [], looks: [], customers: [] };
const factsOf = (notes: Partial<CarNotes>) => carFacts(RECORD, { ...NOTHING, ...notes }, NOW_MS);

describe('a car as the sums take it', () => {
  it('knows nothing of names and notes, so that a new name changes no answer', () => {
    const { vehicle } = factsOf({});
    expect(vehicle).toEqual({ ...VEHICLE, id: 'mine' });
  });

  it('keeps since when it is known, and what is known of the wash before', () => {
    expect(factsOf({})).toMatchObject({ knownSinceMs: 5, washedBefore: { atMs: 3, isKnown: true } });
  });

  it('can be had when its own customer says so, and at any time where nobody says', () => {
    const others = { id: 'bob', availability: [null] };
    expect(factsOf({ customers: [others, { id: 'ann', availability: HOURS }] }).availability).toEqual(HOURS);
    expect(factsOf({ customers: [others] }).availability).toBeNull();
  });

  it('has its own washes, and of those the ones that are done', () => {
    const { washes } = factsOf({
      washes: [wash('other'), wash('mine', { status: 'planned' }), wash('mine', { startMs: 7 })],
    });
    expect(washes).toEqual([
      { methodId: 'bay-contact', placeId: 'bay', startMs: 7, minutes: 20, extras: ['top-up'], found: null },
    ]);
  });

  it.each([
    { why: 'over', startedAgo: 30, minutes: 20 },
    { why: 'just over', startedAgo: 20, minutes: 20 },
    { why: 'marked done early: over now', startedAgo: 12, minutes: 12 },
    { why: 'marked done before its hour: over at once', startedAgo: -5, minutes: 0 },
  ])('has a wash that is $why', ({ startedAgo, minutes }) => {
    const startMs = NOW_MS - startedAgo * MS_PER_MINUTE;
    expect(factsOf({ washes: [wash('mine', { startMs })] }).washes[0]?.minutes).toBe(minutes);
  });

  it('reads of what was found what changes the car, and of a run its steps', () => {
    const found = {
      icePanels: [],
      spots: 'few',
      leftovers: 'none',
      note: 'a note',
      laid: [],
      behaviour: [],
      run: { steps: ['a step'], notes: ['another'] },
    } as unknown as WashRecord['found'];
    const [read] = factsOf({ washes: [wash('mine', { found })] }).washes;
    expect(read?.found).toEqual({ spots: 'few', laid: [], behaviour: [], run: { steps: ['a step'] } });
    const noRun = { ...found, run: undefined } as unknown as WashRecord['found'];
    expect(factsOf({ washes: [wash('mine', { found: noRun })] }).washes[0]?.found).not.toHaveProperty('run');
  });

  it('knows in which way a wash was planned, where one was chosen', () => {
    const predicted = { wayId: 'one-side', costMinor: 5 } as unknown as WashRecord['predicted'];
    expect(factsOf({ washes: [wash('mine', { predicted })] }).washes[0]?.predicted).toEqual({
      wayId: 'one-side',
    });
    const plain = { costMinor: 5 } as unknown as WashRecord['predicted'];
    expect(factsOf({ washes: [wash('mine', { predicted: plain })] }).washes[0]).not.toHaveProperty(
      'predicted',
    );
  });

  it('has its own drives, swabs and looks, without their names', () => {
    const drive = { hourMs: 1, roadClass: 'main', km: 9, meanKmh: 60 } as const;
    const reading = { atMs: 2, zone: 'roof', gramsPerM2: 0.4 } as const;
    const look = { atMs: 3, zone: 'roof', kind: 'salt-film', grade: 2, estimatedThen: 1 } as const;
    const kept = { id: 'x', vehicleId: 'mine' };
    const theirs = { id: 'y', vehicleId: 'other' };
    const swab = { deltaMicroSiemensPerCm: 1, volumeMl: 2, areaMm2: 3 };
    const notes = {
      drives: [
        { ...drive, ...kept, origin: 'entered' },
        { ...drive, ...theirs, origin: 'track' },
      ],
      swabs: [
        { ...reading, ...swab, ...theirs },
        { ...reading, ...swab, ...kept },
      ],
      looks: [
        { ...look, ...kept },
        { ...look, ...theirs },
      ],
    } as unknown as Partial<CarNotes>;
    expect(factsOf(notes)).toMatchObject({ drives: [drive], readings: [reading], looks: [look] });
    const { drives, readings, looks } = factsOf(notes);
    expect([drives, readings, looks]).toEqual([[drive], [reading], [look]]);
  });
});
