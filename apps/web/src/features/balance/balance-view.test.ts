import { describe, expect, it } from '@jest/globals';
import { byGroup, DEFAULT_DISPLAY, type BalanceRow, type PlaceRecord } from '@keen/core';
import { makeFormat } from '../../format/format.js';
import { balanceCsv, leftOn, priceOfHourMinor, sortRows, usualPlans } from './balance-view.js';

const format = makeFormat(DEFAULT_DISPLAY, 'America/Toronto', 'en-CA');

const row = (change: Partial<BalanceRow>): BalanceRow =>
  ({
    placeId: 'bay',
    methodId: 'bay-touch-free',
    verdict: 'go',
    limiting: { ruleId: 'spots', level: 'clear', margin: 9, unit: 'mg/m²', comfort: 1, actual: 2, limit: 11 },
    removes: byGroup(() => 0.9),
    left: [{ zone: 'underbody', loadGramsPerM2: 1.5, activeHours: 3 }],
    leaves: [],
    minutes: { wash: 30, travel: 20, queue: 0, hands: 20 },
    cost: { visitMinor: 0, meterMinor: 900, productMinor: 90, totalMinor: 990, meter: null },
    timeMinor: 1000,
    litres: 80,
    activeHoursSaved: 10,
    saltMinor: 120,
    ...change,
  }) as BalanceRow;

describe('the balance', () => {
  const rows = [
    row({ methodId: 'drive-hose', verdict: 'no', litres: 140, activeHoursSaved: 12 }),
    row({
      methodId: 'bay-contact',
      litres: 100,
      activeHoursSaved: 11,
      minutes: { wash: 60, travel: 20, queue: 5, hands: 40 },
    }),
    row({ methodId: 'waterless', verdict: 'go-if', litres: 1, activeHoursSaved: 3 }),
  ];

  it.each([
    { sort: 'verdict', first: 'bay-contact', last: 'drive-hose' },
    { sort: 'salt', first: 'drive-hose', last: 'waterless' },
    { sort: 'water', first: 'waterless', last: 'drive-hose' },
    { sort: 'minutes', first: 'drive-hose', last: 'bay-contact' },
  ] as const)('sorts by $sort', ({ sort, first, last }) => {
    const sorted = sortRows(rows, sort).map(({ methodId }) => methodId);
    expect([sorted[0], sorted.at(-1)]).toEqual([first, last]);
  });

  it('exports a line a method, commas and all', () => {
    const places = [{ id: 'bay', name: 'Pier Road, bay' }] as unknown as PlaceRecord[];
    const lines = balanceCsv(rows, places, format).split('\n');
    expect(lines).toHaveLength(4);
    expect(lines[0]).toContain('active_hours_saved');
    expect(lines[1]).toMatch(/^"Pier Road, bay",hose on the drive,No,/);
  });

  it('tells what is left, and offers cadences of what the places can do', () => {
    expect(leftOn(row({}), 'underbody')).toBe(1.5);
    expect(leftOn(row({}), 'roof')).toBe(0);
    const bay = { methods: [{ methodId: 'bay-touch-free', priceMinor: 0 }] } as unknown as PlaceRecord;
    expect(
      usualPlans([bay]).every(({ parts }) => parts.every(({ methodId }) => methodId === 'bay-touch-free')),
    ).toBe(true);
    expect(usualPlans([])).toEqual([]);
    const outcome = { moneyMinor: 500, activeHoursSaved: 10 } as Parameters<typeof priceOfHourMinor>[0];
    expect(priceOfHourMinor(outcome)).toBe(50);
    expect(priceOfHourMinor({ ...outcome, activeHoursSaved: 0 })).toBeNull();
  });
});
