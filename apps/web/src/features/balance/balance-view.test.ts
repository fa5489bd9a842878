import { describe, expect, it } from '@jest/globals';
import { byGroup, DEFAULT_DISPLAY, type BalanceRow, type PlaceRecord } from '@keen/core';
import { makeFormat } from '../../format/format.js';
import {
  balanceCsv,
  fullPriceMinor,
  hourOptions,
  leavesText,
  leftOn,
  priceOfHourMinor,
  removalLayer,
  removedMostAndLeast,
  type Sort,
  sortRows,
  totalMinutes,
  usualPlans,
} from './balance-view.js';

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

describe('what a way takes off', () => {
  const flush = row({ removes: { upper: 0, lower: 0.4, wheels: 0.5, arches: 0.7, under: 0.9 } });

  it('is drawn on every zone of its group, and said of it', () => {
    const layer = removalLayer(flush);
    expect(layer.underbody).toEqual({ text: '', strength: 0.9, spoken: '90 percent' });
    expect(layer.roof?.strength).toBe(0);
    expect(layer['lower-left']).toEqual(layer['lower-right']);
  });

  it('is summed up by where most and where least of it comes off', () => {
    expect(removedMostAndLeast(flush)).toEqual({
      most: { group: 'under', share: 0.9 },
      least: { group: 'upper', share: 0 },
    });
  });
});

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
    const lines = balanceCsv(rows, places, format).split('\r\n');
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

  it('counts time at its price, and the way and the queue as time', () => {
    const one = row({ minutes: { wash: 60, travel: 20, queue: 5, hands: 40 } });
    expect([fullPriceMinor(one), totalMinutes(one)]).toEqual([1990, 85]);
  });

  const order = (sort: Sort, ...some: Partial<BalanceRow>[]): string[] =>
    sortRows(
      some.map((change, i) => row({ methodId: String(i), ...change })),
      sort,
    ).map(({ methodId }) => methodId);
  const cost = (totalMinor: number) => ({ ...row({}).cost, totalMinor });

  it('puts what goes first, and of that what is worth most after its price', () => {
    const verdicts = ['no', 'unknown', 'wait', 'go-if', 'go'] as const;
    expect(order('verdict', ...verdicts.map((verdict) => ({ verdict })))).toEqual(['4', '3', '2', '1', '0']);
    expect(order('verdict', { saltMinor: 100 }, { saltMinor: 900 }, { saltMinor: 500 })).toEqual([
      '1',
      '2',
      '0',
    ]);
    expect(order('verdict', { cost: cost(900) }, { cost: cost(100) })).toEqual(['1', '0']);
    expect(order('verdict', { saltMinor: 1e6, verdict: 'go-if' }, { verdict: 'go' })).toEqual(['1', '0']);
    expect(order('money', { cost: cost(900), timeMinor: 0 }, { cost: cost(800), timeMinor: 500 })).toEqual([
      '1',
      '0',
    ]);
  });

  it('says what is left undone, and which hours can be chosen', () => {
    expect(leavesText(row({}))).toBe('nothing');
    expect(leavesText(row({ leaves: ['uppers', 'underbody'] }))).toMatch(/^\w[^,]+, \w[^,]+$/);
    expect(hourOptions(5, 3)).toEqual([5, 3_600_005, 7_200_005]);
    expect(hourOptions(5, 0)).toEqual([]);
  });

  const CLOSED: BalanceRow['limiting'] = {
    ruleId: 'open-hours',
    level: 'block',
    margin: null,
    unit: 'none',
    comfort: -1,
  };

  it('exports every figure in its column', () => {
    const removes = { upper: 0.1, lower: 0.25, wheels: 0.5, arches: 0.75, under: 1 };
    const places = [{ id: 'other', name: 'Other' }] as unknown as PlaceRecord[];
    const [head = '', line = ''] = balanceCsv(
      [row({ removes, limiting: CLOSED, methodId: 'drive-hose' })],
      places,
      format,
    ).split('\r\n');
    const cells = Object.fromEntries(
      head
        .replace('\uFEFF', '')
        .split(',')
        .map((name, i) => [name, line.split(',')[i]]),
    );
    expect(cells).toMatchObject({
      place: 'bay',
      removes_upper: '0.100',
      removes_lower: '0.250',
      removes_wheels: '0.500',
      removes_arches: '0.750',
      removes_under: '1.000',
      minutes: '50',
      money_minor: '990',
      litres: '80.0',
      active_hours_saved: '10',
    });
  });

  const offering = (...methodIds: string[]) =>
    usualPlans([
      { methods: methodIds.map((methodId) => ({ methodId, priceMinor: 0 })) },
    ] as unknown as PlaceRecord[]);

  it.each([
    { offers: ['touchless-automatic'], plans: [['Automatic every week', 'touchless-automatic 7']] },
    {
      offers: ['drive-hose', 'garage-rinseless'],
      plans: [
        ['By hand every month', 'drive-hose 28'],
        ['Salt flush weekly, by hand monthly', 'drive-hose 28'],
        ['Touch-free every two weeks, by hand monthly', 'drive-hose 28'],
      ],
    },
    { offers: ['waterless'], plans: [] },
  ])('begins with what $offers make', ({ offers, plans }) => {
    const found = offering(...offers).map(({ name, parts }) => [
      name,
      parts.map(({ methodId, everyDays }) => `${methodId} ${everyDays}`).join(', '),
    ]);
    expect(found).toEqual(plans);
  });

  it('joins two methods in one cadence where both are offered', () => {
    const joined = offering('salt-flush', 'bay-touch-free', 'bay-contact');
    expect(joined.map(({ parts }) => parts.map(({ everyDays }) => everyDays))).toEqual([
      [7],
      [28],
      [7, 28],
      [14, 28],
    ]);
  });

  it.each([
    { saved: 0.05, price: null },
    { saved: 0.06, price: 100 },
    { saved: 0, price: null },
  ])('has no price for an hour where $saved h are saved', ({ saved, price }) => {
    const outcome = { moneyMinor: 6, activeHoursSaved: saved } as Parameters<typeof priceOfHourMinor>[0];
    if (price === null) expect(priceOfHourMinor(outcome)).toBeNull();
    else expect(priceOfHourMinor(outcome)).toBeCloseTo(price, 9);
  });
});
