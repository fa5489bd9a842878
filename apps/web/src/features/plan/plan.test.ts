import { describe, expect, it } from '@jest/globals';
import {
  type Band,
  DEFAULT_DISPLAY,
  DEFAULT_WORKERS,
  type PlanChoice,
  type PlanOption,
  type Window,
  MS_PER_HOUR,
  MS_PER_MINUTE,
  type PlanView,
  type WashRecord,
} from '@keen/core';
import { inverseOf, withChanged, withMarked } from '../../api/plan-queries.js';
import { makeFormat } from '../../format/format.js';
import { chanceText, fallbackText, moveCostText, reliefText, unplannedText } from '../../words/plan-words.js';
import { workersErrors, newWorker } from '../settings/workers-form.js';
import { boardRows, drawnOn } from './board-view.js';
import {
  type Block,
  blocksOf,
  changesText,
  dayStrips,
  isOn,
  shareOf,
  shownHours,
  stackOf,
} from './plan-view.js';
import { bandsBehind, marginsOn, targetGrade } from './margins.js';
import { dropTargets, nearestTarget, steppedTarget } from './drop-targets.js';

const ZONE = 'America/Toronto';
const format = makeFormat(DEFAULT_DISPLAY, ZONE, 'en-CA');
const local = (text: string): number => Date.parse(`${text}:00-05:00`);
const NOW = local('2026-01-14T06:40');

const wash = (change: Partial<WashRecord>): WashRecord => ({
  id: 'w',
  vehicleId: 'a',
  placeId: 'home',
  methodId: 'garage-rinseless',
  status: 'planned',
  startMs: local('2026-01-14T10:00'),
  minutes: 75,
  workerId: 'owner',
  isLocked: false,
  startedMs: null,
  extras: [],
  costMinor: null,
  predicted: null,
  found: null,
  ...change,
});

const window = (at: string, change: Partial<Window> = {}): Window =>
  ({
    placeId: 'home',
    methodId: 'garage-rinseless',
    startMs: local(at),
    endMs: local(at) + 75 * 60_000,
    verdict: 'go',
    ...change,
  }) as unknown as Window;

const PERIOD = {
  index: 0,
  dueMs: NOW,
  fromMs: NOW,
  toMs: NOW,
  bookingId: null,
  readyByMs: null,
  methodId: null,
};
const choice = (vehicleId: string, at: string, worthMinor: number): PlanChoice => ({
  vehicleId,
  period: PERIOD,
  window: window(at),
  workerId: 'owner',
  worth: {
    lateAvoidedMinor: worthMinor,
    dueAnywayMinor: 0,
    promiseMinor: 0,
    otherKindMinor: 0,
    failingMinor: 0,
    totalMinor: worthMinor,
  },
  missingExtras: [],
  fallback: null,
  alternatives: [],
});

const view = (change: Partial<PlanView> = {}): PlanView => ({
  id: 'x',
  nowMs: NOW,
  fromMs: NOW,
  horizonMs: NOW + 72 * MS_PER_HOUR,
  source: 's',
  issuedMs: NOW,
  memberCount: 20,
  workers: DEFAULT_WORKERS,
  days: [{ sunriseMs: local('2026-01-14T08:15'), sunsetMs: local('2026-01-14T17:10') }],
  planned: [],
  fixed: [],
  choices: [],
  unplanned: [],
  bookings: [],
  changes: [],
  standing: { valueMinor: 0, boundMinor: 0, status: 'proven', state: 'ended' },
  ...change,
});

describe('the blocks of the board', () => {
  it('are what stands with what the weather says of it now, and what is proposed', () => {
    const after = {
      vehicleId: 'b',
      placeId: 'home',
      methodId: 'garage-rinseless',
      workerId: 'owner',
      startMs: local('2026-01-14T08:00'),
      endMs: local('2026-01-14T09:15'),
      extras: [],
    };
    const blocks = blocksOf(
      view({
        planned: [
          wash({}),
          wash({ id: 'l', vehicleId: 'c', startMs: local('2026-01-15T10:00'), isLocked: true }),
        ],
        choices: [choice('a', '2026-01-14T10:00', 900), choice('b', '2026-01-14T08:00', 500)],
        fixed: [
          {
            slot: { ...after, vehicleId: 'c', startMs: local('2026-01-15T10:00') },
            window: null,
            worthMinor: null,
          },
        ],
        changes: [{ kind: 'add', after, id: 'add.b', washId: null, against: null, heldUpBy: null }],
      }),
    );
    expect(blocks.map(({ key, kind, worthMinor }) => [key, kind, worthMinor])).toEqual([
      ['add.b', 'proposed', 500],
      ['w', 'planned', 900],
      ['l', 'planned', null],
    ]);
    expect(blocks[2]?.window).toBeNull();
  });
});

describe('blocks that meet on one lane', () => {
  it('stand in rows of their own, and share one where they do not meet', () => {
    const block = (key: string, from: number, to: number) => ({ key, startMs: NOW + from, endMs: NOW + to });
    const { rowOf, rows } = stackOf([
      block('c', 20, 30),
      block('a', 0, 10),
      block('b', 5, 15),
      block('d', 22, 25),
      block('e', 10, 12),
    ]);
    expect([...rowOf].sort()).toEqual([
      ['a', 0],
      ['b', 1],
      ['c', 0],
      ['d', 1],
      ['e', 0],
    ]);
    expect(rows).toBe(2);
    expect(stackOf([])).toMatchObject({ rows: 1 });
  });
});

describe('the board, folded', () => {
  const days = dayStrips(view(), format);
  const at = (key: string, placeId: string, start: string, minutes: number): Block => ({
    ...(blocksOf(view({ planned: [wash({ placeId })] }))[0] as Block),
    key,
    startMs: local(start),
    endMs: local(start) + minutes * MS_PER_MINUTE,
  });
  const told = (blocks: readonly Block[], isUnfolded = false): string[] =>
    boardRows(days, blocks, isUnfolded).map((row) =>
      row.kind === 'day' ? row.strip.key : `free ${row.strips.map(({ key }) => key.slice(-2)).join(' ')}`,
    );

  it('makes one line of days on which nothing is, wherever they stand', () => {
    expect(told([at('a', 'p', '2026-01-16T09:00', 60)])).toEqual(['free 14 15', '2026-01-16', 'free 17']);
    expect(told([])).toEqual(['free 14 15 16 17']);
  });

  it('shows every day where it is unfolded', () => {
    expect(told([], true)).toEqual(days.map(({ key }) => key));
  });

  const trackPx = 720;
  const nameOf = ({ key }: Block): string => key;
  const [day] = days;
  const drawn = (...blocks: readonly Block[]) => drawnOn(day!, blocks, { trackPx, nameOf });

  it('gives a short wash room for its name, and a row of its own where that meets another', () => {
    const short = at('Black saloon', 'p', '2026-01-14T09:00', 12);
    const next = at('Red pickup', 'p', '2026-01-14T10:00', 90);
    const later = at('Grey SUV', 'p', '2026-01-14T15:00', 120);
    const { drawn: all, rows } = drawn(short, next, later);
    expect(rows).toBe(2);
    expect(all.map(({ row }) => row)).toEqual([0, 1, 0]);
    // 12 h over 720 px are a minute each: the name takes as many minutes as it has pixels.
    const [first] = all;
    expect((first!.endMs - first!.startMs) / MS_PER_MINUTE).toBeCloseTo(44 + 12 * 7.4, 6);
    expect(first!.washFrom).toBe(0);
    expect(first!.washTo).toBeCloseTo(12 / (44 + 12 * 7.4), 6);
    expect(all[2]).toMatchObject({ startMs: later.startMs, endMs: later.endMs, washFrom: 0, washTo: 1 });
  });

  it('keeps a name within the day, with the wash where it is', () => {
    const last = at('Cream camper van', 'p', '2026-01-14T18:50', 40);
    const [only] = drawn(last).drawn;
    expect(only!.endMs).toBe(day!.toMs);
    expect(only!.startMs).toBeLessThan(last.startMs);
    expect(only!.washTo).toBe(1);
    expect(only!.startMs + only!.washFrom * (only!.endMs - only!.startMs)).toBeCloseTo(last.startMs, 0);
  });

  it('is as long as the wash as long as the width is not known', () => {
    const short = at('Black saloon', 'p', '2026-01-14T09:00', 12);
    expect(drawnOn(day!, [short], { trackPx: 0, nameOf }).drawn).toMatchObject([
      { startMs: short.startMs, endMs: short.endMs, washFrom: 0, washTo: 1 },
    ]);
  });
});

describe('the days of the board', () => {
  it('show an hour more than anybody works', () => {
    expect(shownHours(DEFAULT_WORKERS)).toEqual({ first: 7, last: 19 });
    expect(shownHours([{ ...DEFAULT_WORKERS[0]!, hours: Array<null>(7).fill(null) }])).toEqual({
      first: 7,
      last: 19,
    });
  });

  it('run from today to the horizon, with the light of each', () => {
    const strips = dayStrips(view(), format);
    expect(strips.map(({ key }) => key)).toEqual(['2026-01-14', '2026-01-15', '2026-01-16', '2026-01-17']);
    expect(strips[0]).toMatchObject({ fromMs: local('2026-01-14T07:00'), toMs: local('2026-01-14T19:00') });
    expect(strips[0]?.sunriseMs).toBe(local('2026-01-14T08:15'));
    expect(strips[1]?.sunriseMs).toBeNull();
  });

  it('keep their hours when the clock is changed', () => {
    const nowMs = Date.parse('2026-03-07T12:00:00-05:00');
    const strips = dayStrips(view({ nowMs, fromMs: nowMs, horizonMs: nowMs + 48 * MS_PER_HOUR }), format);
    expect(strips.map(({ hoursMs }) => hoursMs.map(format.hourOfDay))).toEqual(
      strips.map(() => [7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18]),
    );
    expect((strips[1]?.fromMs ?? 0) - (strips[0]?.fromMs ?? 0)).toBe(23 * MS_PER_HOUR);
  });

  it('place an instant within them, and keep to their ends', () => {
    const strip = dayStrips(view(), format)[0]!;
    expect(shareOf(strip, local('2026-01-14T13:00'))).toBe(0.5);
    expect(shareOf(strip, local('2026-01-14T05:00'))).toBe(0);
    expect(isOn(strip, { startMs: local('2026-01-14T18:30'), endMs: local('2026-01-14T20:00') })).toBe(true);
    expect(isOn(strip, { startMs: local('2026-01-15T08:00'), endMs: local('2026-01-15T09:00') })).toBe(false);
  });
});

const option = (
  at: string,
  worthMinor: number,
  change: Partial<Window> & { workerId?: string } = {},
): PlanOption => {
  const { workerId = 'owner', ...rest } = change;
  return {
    vehicleId: 'a',
    period: PERIOD,
    window: window(at, rest),
    workerId,
    worthMinor,
    isPlanned: false,
  };
};
const FROM = {
  placeId: 'home',
  methodId: 'garage-rinseless',
  workerId: 'owner',
  startMs: local('2026-01-14T10:00'),
  worthMinor: 1000,
};

describe('where a wash may be dropped', () => {
  const moves = [
    option('2026-01-14T10:00', 1000),
    option('2026-01-14T11:00', 900),
    option('2026-01-14T11:00', 950, { methodId: 'garage-hose' }),
    option('2026-01-14T12:00', 800, { placeId: 'bay', methodId: 'bay-contact' }),
    option('2026-01-14T12:00', 850, { placeId: 'bay', methodId: 'bay-touch-free' }),
    option('2026-01-14T11:00', 990, { workerId: 'helper' }),
  ];
  const targets = dropTargets(moves, FROM, 'place');

  it('is one start a lane: the same method and hands before what is worth more, and not where it stands', () => {
    expect(
      targets.map(({ placeId, option: { window: w, workerId }, costMinor }) => [
        placeId,
        w.methodId,
        workerId,
        costMinor,
      ]),
    ).toEqual([
      ['home', 'garage-rinseless', 'owner', 100],
      ['bay', 'bay-touch-free', 'owner', 150],
    ]);
  });

  it('has a lane for each pair of hands within a day', () => {
    expect(dropTargets(moves, FROM, 'workers').map(({ workerId, placeId }) => [workerId, placeId])).toEqual([
      ['owner', 'home'],
      ['helper', 'home'],
      ['owner', 'bay'],
    ]);
  });

  it('has no cost for a car that stands nowhere', () => {
    expect(dropTargets(moves, null, 'place').map(({ costMinor }) => costMinor)).toEqual([null, null, null]);
  });

  it('is found under the pointer, within the hour', () => {
    const at = (text: string, lane: string) =>
      nearestTarget(targets, { kind: 'place', lane, atMs: local(text) })?.startMs ?? null;
    expect(at('2026-01-14T11:40', 'home')).toBe(local('2026-01-14T11:00'));
    expect(at('2026-01-14T12:40', 'home')).toBeNull();
    expect(at('2026-01-14T11:40', 'bay')).toBe(local('2026-01-14T12:00'));
    expect(at('2026-01-14T11:40', 'drive')).toBeNull();
  });

  it.each([
    { key: 'ArrowRight', lane: 'home', to: '2026-01-14T11:00' },
    { key: 'ArrowLeft', lane: 'home', to: null },
    { key: 'ArrowDown', lane: 'home', to: '2026-01-14T12:00' },
    { key: 'ArrowUp', lane: 'home', to: null },
  ])('is found by $key', ({ key, lane, to }) => {
    const step = { kind: 'place', lanes: ['home', 'drive', 'bay'], key } as const;
    const found = steppedTarget(targets, { lane, startMs: FROM.startMs }, step);
    expect(found?.startMs ?? null).toBe(to && local(to));
  });

  it('is shaded by what it is worth among all', () => {
    const graded = dropTargets(
      [option('2026-01-14T11:00', 900), option('2026-01-14T12:00', 500), option('2026-01-14T13:00', 100)],
      FROM,
      'place',
    );
    expect(graded.map(({ costMinor }) => targetGrade(costMinor, graded))).toEqual(['good', 'fair', 'poor']);
    expect(targetGrade(null, graded)).toBe('good');
  });
});

describe('words about the plan', () => {
  const failures = { memberCount: 20, freezes: 0b11, spots: 0b100, falls: 0, cold: 0 };

  it('tell the chance by what happens', () => {
    expect(chanceText(failures)).toBe('freezes in 2 and spots in 1 of 20 forecasts');
    expect(chanceText({ ...failures, freezes: 0, spots: 0 })).toBe('all 20 forecasts agree');
  });

  it.each([
    { costMinor: 120, text: 'costs $1.20' },
    { costMinor: -40, text: 'gains $0.40' },
    { costMinor: 0.2, text: 'worth the same' },
    { costMinor: null, text: 'it does not go where it is now' },
  ])('tell a move of $costMinor', ({ costMinor, text }) => {
    expect(moveCostText(costMinor, format)).toBe(text);
  });

  it('tell what to fall back on, and how surely', () => {
    const places = [{ id: 'home', name: 'Home garage' }];
    const fallback = { window: window('2026-01-15T09:00'), workerId: 'owner', savesFraction: 0.5 };
    expect(fallbackText(fallback, places, format)).toMatch(/Home garage.*holds in 50 % of the cases/);
    expect(fallbackText({ ...fallback, savesFraction: 1 }, places, format)).toMatch(/^If it closes: .*\.$/);
  });

  it.each([
    { reason: { kind: 'workers' }, says: /nobody has time/ },
    { reason: { kind: 'members', failingFraction: 0.25 }, says: /25 %/ },
    { reason: { kind: 'not-worth', bestMinor: -310 }, says: /lose \$3\.10/ },
    { reason: { kind: 'pushed-out', costMinor: 450 }, says: /cost \$4\.50/ },
    { reason: { kind: 'no-window', limiting: null }, says: /nothing goes/ },
  ] as const)('tell why: $reason.kind', ({ reason, says }) => {
    expect(unplannedText(reason, format)).toMatch(says);
  });

  it('tell what there could be more of', () => {
    const places = [{ id: 'home', name: 'Home garage' }];
    expect(reliefText({ kind: 'workers', dayMs: NOW }, places, format)).toMatch(/person on Wed.* 14/);
    const room = { kind: 'room', placeId: 'home' } as const;
    expect(reliefText({ ...room, dayMs: null }, places, format)).toBe('Room for another car at Home garage');
    expect(reliefText({ ...room, dayMs: NOW }, places, format)).toMatch(/at Home garage on Wed.* 14$/);
  });

  it.each([
    { kinds: ['add', 'add', 'move'], text: '2 to add, 1 to move' },
    { kinds: ['drop'], text: '1 to drop' },
    { kinds: [], text: 'Nothing to change' },
  ] as const)('count changes: $text', ({ kinds, text }) => {
    expect(changesText(kinds.map((kind) => ({ kind })))).toBe(text);
  });
});

describe('taking changes back', () => {
  it('removes what was added, restores what was removed, and moves back with the lock as it was', () => {
    const before = wash({});
    const after = wash({ startMs: before.startMs + MS_PER_HOUR, isLocked: true });
    const { id, placeId, methodId, startMs, workerId, isLocked, extras } = before;
    expect(
      inverseOf({
        added: [wash({ id: 'n' })],
        moved: [{ before, after }],
        removed: [wash({ id: 'r' })],
        restored: [wash({ id: 'b' })],
      }),
    ).toEqual({
      remove: ['n', 'b'],
      move: [{ id, placeId, methodId, startMs, workerId, isLocked, extras, visitWith: null }],
      restore: ['r'],
    });
  });

  it('shows what was changed at once, without what was proposed for those cars', () => {
    const slot = (vehicleId: string) => ({ ...wash({ vehicleId }), extras: [] });
    const add = (vehicleId: string) =>
      ({
        kind: 'add',
        after: slot(vehicleId),
        id: vehicleId,
        washId: null,
        against: null,
        heldUpBy: null,
      }) as never;
    const moved = { before: wash({ id: 'm' }), after: wash({ id: 'm', placeId: 'bay' }) };
    const shown = withChanged(
      view({
        planned: [wash({ id: 'm' }), wash({ id: 'r', vehicleId: 'c' }), wash({ id: 's', vehicleId: 'd' })],
        changes: [add('b'), add('e')],
      }),
      {
        added: [wash({ id: 'n', vehicleId: 'b' })],
        moved: [moved],
        removed: [wash({ id: 'r', vehicleId: 'c' })],
        restored: [wash({ id: 'back', vehicleId: 'f' })],
      },
    );
    expect(shown.planned.map(({ id, placeId }) => `${id} ${placeId}`)).toEqual([
      's home',
      'n home',
      'back home',
      'm bay',
    ]);
    expect(shown.changes.map(({ id }) => id)).toEqual(['e']);
  });
});

describe('a wash that is marked', () => {
  it('shows its lock at once, where it stands', () => {
    const shown = withMarked(
      view({ planned: [wash({ id: 'a' }), wash({ id: 'b' })] }),
      wash({ id: 'b', isLocked: true }),
    );
    expect(shown.planned.map(({ id, isLocked }) => [id, isLocked])).toEqual([
      ['a', false],
      ['b', true],
    ]);
  });
});

describe('how the hours go behind the board', () => {
  const FROM = local('2026-01-14T08:00');
  type Kind = Band['cells'][number]['verdict'];
  const band = (placeId: string, methodId: string, kinds: readonly Kind[], comfort = 1): Band =>
    ({
      placeId,
      methodId,
      refusal: null,
      cells: kinds.map((verdict, i) => ({
        startMs: FROM + i * MS_PER_HOUR,
        verdict,
        limiting: { comfort: comfort / (i + 1) },
      })),
    }) as unknown as Band;

  it('takes the method wanted where a place offers it, and otherwise the one that goes most often', () => {
    const refused = { ...band('bay', 'bay-contact', ['go']), refusal: {} } as Band;
    const bands = [
      band('home', 'garage-hose', ['no', 'go']),
      band('home', 'garage-rinseless', ['go', 'go']),
      band('bay', 'bay-touchless', ['go', 'go']),
      band('bay', 'bay-rinse', ['no', 'no']),
      refused,
    ];
    const wanted = (methodId: string) =>
      [...bandsBehind(bands, methodId)].map(([placeId, { methodId: found }]) => `${placeId} ${found}`);
    expect(wanted('bay-rinse')).toEqual(['home garage-rinseless', 'bay bay-rinse']);
    expect(wanted('bay-contact')).toEqual(['home garage-rinseless', 'bay bay-touchless']);
    expect(wanted('garage-hose')).toEqual(['home garage-hose', 'bay bay-touchless']);
  });

  it('are as few stretches as there are, in quarters of the way from the limit, within the strip', () => {
    const cells = band('home', 'garage-hose', ['go', 'go', 'go', 'no', 'no', 'go-if'], 1);
    const strip = { fromMs: FROM, toMs: FROM + 5 * MS_PER_HOUR };
    const hours = marginsOn(strip, cells).map(({ startMs, endMs, verdict, comfort }) => [
      (startMs - FROM) / MS_PER_HOUR,
      (endMs - FROM) / MS_PER_HOUR,
      verdict,
      comfort,
    ]);
    expect(hours).toEqual([
      [0, 1, 'go', 1],
      [1, 2, 'go', 0.5],
      [2, 3, 'go', 0.25],
      [3, 5, 'no', 0],
    ]);
  });
});

describe('the form of hands', () => {
  it('finds an id that is free', () => {
    const second = newWorker(DEFAULT_WORKERS);
    expect(second.id).toBe('worker-2');
    expect(newWorker([second, DEFAULT_WORKERS[0]!, { ...second, id: 'worker-3' }]).id).toBe('worker-4');
  });

  it('names what is wrong', () => {
    const worker = { ...newWorker([]), id: 'h', name: ' ', hours: [{ openMinute: 600, closeMinute: 600 }] };
    expect(Object.keys(workersErrors([worker]))).toEqual(['h.name', 'h.0']);
    expect(workersErrors(DEFAULT_WORKERS)).toEqual({});
  });
});
