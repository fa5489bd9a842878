import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type MorningView, type VehicleAnswer, type WashRecord } from '@keen/core';
import { makeFormat } from '../../format/format.js';
import { nameOf } from '../../words/names.js';
import { groupAnswers, leadText, ofToday, plannedAhead, stillAhead, withoutPlanned } from './morning-view.js';
import { dueText } from '../../words/due-words.js';

const format = makeFormat(DEFAULT_DISPLAY, 'America/Toronto', 'en-CA');
const NOW = Date.parse('2026-01-14T06:40:00-05:00');
const HOUR = 3_600_000;

const answer = (
  vehicleId: string,
  standing: VehicleAnswer['standing'],
  inHours: number | null,
): VehicleAnswer =>
  ({
    vehicleId,
    standing,
    best: inHours === null ? null : { startMs: NOW + inHours * HOUR },
  }) as unknown as VehicleAnswer;

const view = (answers: VehicleAnswer[]): MorningView => ({
  nowMs: NOW,
  source: 's',
  issuedMs: NOW,
  memberCount: 20,
  answers,
});

describe('groupAnswers', () => {
  const grouped = groupAnswers(
    view([
      answer('late', 'due', 8),
      answer('early', 'due', 2),
      answer('next', 'due', 26),
      answer('stuck', 'no-window', null),
      answer('rest', 'not-due', null),
    ]),
    format,
  );

  it('puts today first, by the clock', () => {
    expect(grouped.days.map(({ answers }) => answers.map(({ vehicleId }) => vehicleId))).toEqual([
      ['early', 'late'],
      ['next'],
    ]);
    expect(grouped.days[0]?.title).toMatch(/^Today, /);
    expect(grouped.days[1]?.title).toMatch(/^Tomorrow, /);
  });

  it('keeps what has no window apart from what is not due', () => {
    expect(grouped.noWindow.map(({ vehicleId }) => vehicleId)).toEqual(['stuck']);
    expect(grouped.notDue.map(({ vehicleId }) => vehicleId)).toEqual(['rest']);
  });

  it('leads with how many, planned ones among them, and with which it begins', () => {
    const names = { car: (id: string) => `${id} car`, place: (id: string) => `place ${id}` };
    const planned = (inHours: number) =>
      ({ vehicleId: 'planned', placeId: 'bay', startMs: NOW + inHours * HOUR }) as WashRecord;
    const lead = (days: typeof grouped.days, ...washes: WashRecord[]) =>
      leadText(ofToday(days, washes, { nowMs: NOW, format }), names, format);
    expect(lead(grouped.days)).toMatch(/^2 cars to wash today; first the early car at 08:40, place/);
    expect(lead(grouped.days, planned(1))).toMatch(/^3 cars .* first the planned car at 07:40, place bay\.$/);
    // What is planned for today is never nothing.
    expect(lead([], planned(1))).toMatch(/^One car to wash today; first the planned car/);
    expect(lead([], planned(30))).toBe('Nothing to wash today.');
  });
});

describe('words and names', () => {
  it.each([
    { daysLate: 3.2, text: '3 days late' },
    { daysLate: 0.9, text: '1 day late' },
    { daysLate: 0.3, text: 'due today' },
    { daysLate: -4.4, text: 'due in 4 days' },
  ])('$daysLate days: $text', ({ daysLate, text }) => {
    expect(dueText({ daysLate, isLastWashKnown: true })).toBe(text);
  });

  it('is neither late nor due where nobody knows when it was washed', () => {
    expect(dueText({ daysLate: 60, isLastWashKnown: false })).toBe('last wash not known');
  });

  it('falls back on the id while names are on their way', () => {
    expect(nameOf(undefined, 'x')).toBe('x');
    expect(nameOf([{ id: 'x', name: 'Black saloon' }], 'x')).toBe('Black saloon');
  });

  it('lists plans that are not over, soonest first', () => {
    const wash = (id: string, startMs: number, status: 'planned' | 'done'): WashRecord =>
      ({ id, startMs, status, minutes: 60 }) as WashRecord;
    const washes = [
      wash('later', NOW + 5 * HOUR, 'planned'),
      wash('running', NOW - HOUR / 2, 'planned'),
      wash('over', NOW - 3 * HOUR, 'planned'),
      wash('done', NOW, 'done'),
    ];
    expect(plannedAhead(washes, NOW).map(({ id }) => id)).toEqual(['running', 'later']);
  });

  it('leave the morning at once, before it is recalculated', () => {
    const planned = { id: 'w', vehicleId: 'early', status: 'planned', startMs: NOW + HOUR, minutes: 50 };
    const done = { ...planned, vehicleId: 'late', status: 'done' };
    const left = withoutPlanned(view([answer('late', 'due', 8), answer('early', 'due', 2)]), [
      planned,
      done,
    ] as WashRecord[]);
    expect(left.answers.map(({ vehicleId }) => vehicleId)).toEqual(['late']);
  });
});

describe('what an earlier morning said', () => {
  const last = view([
    answer('past', 'due', 1),
    answer('newer', 'due', 5),
    answer('gone', 'due', 5),
    answer('planned', 'due', 5),
    answer('stuck', 'no-window', null),
    answer('ahead', 'due', 5),
  ]);
  const wash = {
    vehicleId: 'planned',
    status: 'planned',
    startMs: NOW + 9 * HOUR,
    minutes: 40,
  } as WashRecord;
  const vehicles = ['past', 'newer', 'planned', 'stuck', 'ahead'].map((id) => ({ id }));

  it('still stands for cars that are there, unplanned and not done again, at starts that are to come', () => {
    const of = { nowMs: NOW + 3 * HOUR, early: [{ vehicleId: 'newer' }], vehicles, washes: [wash] };
    expect(stillAhead(last, of).map(({ vehicleId }) => vehicleId)).toEqual(['ahead']);
    expect(stillAhead(last, { ...of, nowMs: NOW + 5 * HOUR })).toHaveLength(1);
    expect(stillAhead(last, { ...of, nowMs: NOW + 5 * HOUR + 1 })).toHaveLength(0);
  });

  it('says nothing before the vehicles are known', () => {
    expect(stillAhead(last, { nowMs: NOW, early: [], vehicles: undefined, washes: [] })).toEqual([]);
  });
});
