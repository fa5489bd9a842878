import { describe, expect, it } from '@jest/globals';
import { EMPTY_KIT, shelfOf } from '../kit/index.js';
import type { DoneWash } from '../log/index.js';
import { METHOD_IDS } from '../method/index.js';
import type { PlannedSlot } from '../plan/index.js';
import { MS_PER_HOUR } from '../quantity/index.js';
import { KEEP_NOTHING, type OfCar } from '../shop/index.js';
import { FACTS, NOTES, NOW_MS, ofCar, THIS_HOUR_MS, washAgo, winter } from '../testing/facts.js';
import { bottle } from '../testing/shop.js';
import { conditionAnswer } from './condition.js';
import { alone, type AnswerProgress, answerTo, helpWith, type Question, WEEK_HOURS } from './index.js';
import { saltAnswer } from './salt.js';

const tools = { keep: KEEP_NOTHING, report: () => undefined, clockMs: () => 0 };
const UNIT = 'garage';
const METHOD = 'garage-rinseless';
const start = (hours: number) => ({
  placeId: UNIT,
  methodId: METHOD,
  startMs: THIS_HOUR_MS + hours * MS_PER_HOUR,
});

describe('the week of one car', () => {
  const told: AnswerProgress[] = [];
  const week = answerTo<'week'>({ ...FACTS, kind: 'week' }, { ...tools, report: (at) => told.push(at) });

  it('has a band for each place and method, offered or not, and road and salt for each of its hours', () => {
    expect(new Set(week.bands.map(({ placeId }) => placeId))).toEqual(new Set(['garage', 'bay']));
    expect(week.bands).toHaveLength(2 * METHOD_IDS.length);
    expect(week.hours).toHaveLength(WEEK_HOURS);
    const offered = week.bands.filter(({ cells }) => cells.length > 0);
    expect(offered.map(({ methodId }) => methodId)).toEqual([
      METHOD,
      'bay-touch-free',
      'bay-contact',
      'salt-flush',
    ]);
    expect(offered.every(({ cells }) => cells.length === WEEK_HOURS)).toBe(true);
  });

  it('tells how far it is, never backwards, to the end', () => {
    const shares = told.map(({ share }) => share);
    expect(shares).toEqual(shares.toSorted((a, b) => a - b));
    expect(shares.at(-1)).toBeCloseTo(1, 9);
    expect(new Set(told.map(({ label }) => label))).toEqual(new Set([FACTS.car.vehicle.id]));
  });

  it('goes at a start only where that start’s own answer lets it', () => {
    const band = week.bands.find(({ placeId, methodId }) => placeId === UNIT && methodId === METHOD);
    const hours = [0, 3, 8, 26, 51];
    const asWeek = hours.map((hour) => band?.cells[hour]?.verdict === 'go');
    const asStart = hours.map(
      (hour) =>
        answerTo<'cell'>({ ...FACTS, kind: 'cell', start: start(hour) }, tools).judgement.standing === 'go',
    );
    expect(new Set(asStart).size).toBe(2);
    expect(asWeek).toEqual(asStart);
  });
});

describe('one start', () => {
  it('at a place that is none of the shop’s is refused by name', () => {
    const asked: Question = { ...FACTS, kind: 'cell', start: { ...start(3), placeId: 'moon' } };
    expect(() => answerTo<'cell'>(asked, tools)).toThrow(/placeId is moon/);
  });

  it('has a film for each panel, and none where nobody knows the hour', () => {
    expect(answerTo<'cell'>({ ...FACTS, kind: 'cell', start: start(3) }, tools).films).toHaveLength(8);
    const control = FACTS.weather.control.map((hour, i) => (i === 3 ? null : hour));
    const blind = { ...FACTS, weather: { ...FACTS.weather, control } };
    expect(answerTo<'cell'>({ ...blind, kind: 'cell', start: start(3) }, tools).films).toEqual([]);
    const pack = { ...blind, kind: 'run-pack' as const, start: start(3), kit: EMPTY_KIT };
    expect(answerTo<'run-pack'>(pack, tools)).toBeNull();
  });

  it('flips only to another answer', () => {
    const { judgement } = answerTo<'cell'>({ ...FACTS, kind: 'cell', start: start(3) }, tools);
    const flips = answerTo<'flips'>({ ...FACTS, kind: 'flips', start: start(3) }, tools);
    expect(flips.length).toBeGreaterThan(0);
    const moved = flips.filter(({ at }) => at !== null);
    expect(moved.length).toBeGreaterThan(0);
    for (const { standing, limiting } of moved)
      expect({ standing, ruleId: limiting?.ruleId }).not.toEqual({
        standing: judgement.standing,
        ruleId: judgement.limiting.ruleId,
      });
    for (const { standing } of flips.filter(({ at }) => at === null)) expect(standing).toBeNull();
  });

  it('has a pack whose sheet begins with its start and whose hours begin with its hour', () => {
    const pack = answerTo<'run-pack'>(
      { ...FACTS, kind: 'run-pack', start: start(3.5), kit: EMPTY_KIT },
      tools,
    );
    expect(pack).toMatchObject({ startMs: start(3.5).startMs, fromMs: start(3).startMs });
    expect(pack?.hours.every((hour) => hour !== null)).toBe(true);
    expect(pack?.sheet.steps.length).toBeGreaterThan(0);
  });
});

describe('the season so far', () => {
  it('costs more the oftener one washes, and saves no less', () => {
    const plans = [3, 14].map((everyDays) => [{ methodId: METHOD, everyDays }]);
    const [often, seldom] = answerTo<'cadence'>({ ...FACTS, kind: 'cadence', plans }, tools);
    expect(often?.washCount).toBeGreaterThan(seldom?.washCount ?? Infinity);
    expect(often?.moneyMinor).toBeGreaterThanOrEqual(seldom?.moneyMinor ?? Infinity);
    expect(often?.activeHoursSaved).toBeGreaterThanOrEqual(seldom?.activeHoursSaved ?? Infinity);
  });
});

/** Where salt is dear, a wash is worth its price. */
const DEAR = { ...FACTS, prices: { ...FACTS.prices, saltMinorPerActiveHour: 500 } };

describe('a plan', () => {
  const plan = answerTo<'plan'>({ ...DEAR, kind: 'plan', cars: [FACTS.car], facts: NOTES }, tools);

  it('can be worded again from what it chose', () => {
    const { chosen } = plan.schedule;
    const again = { ...DEAR, kind: 'plan-tell' as const, cars: [FACTS.car], facts: NOTES, chosen };
    expect(answerTo<'plan-tell'>(again, tools)).toEqual(plan.answer);
  });

  it('chooses among the starts that a car could move to', () => {
    const moves = answerTo<'moves'>({ ...DEAR, kind: 'moves', facts: NOTES }, tools);
    const [proposed] = plan.answer.choices;
    expect(proposed).toBeDefined();
    expect(moves.map(({ window }) => window.startMs)).toContain(proposed?.window.startMs);
  });

  it('keeps a promise by whatever method was agreed on, though better ones go in each of its hours', () => {
    const places = DEAR.places.map((place) =>
      place.id === UNIT
        ? { ...place, methods: METHOD_IDS.map((methodId) => ({ methodId, priceMinor: 0 })) }
        : place,
    );
    const span = { fromMs: THIS_HOUR_MS, readyByMs: THIS_HOUR_MS + 72 * MS_PER_HOUR };
    const chosenWith = (methodId: string): (readonly [string | null, string])[] => {
      const bookings = [{ id: 'b', vehicleId: FACTS.car.vehicle.id, ...span, methodId, extras: [] }];
      const facts = { ...NOTES, bookings };
      const { answer } = answerTo<'plan'>({ ...DEAR, places, kind: 'plan', cars: [FACTS.car], facts }, tools);
      return answer.choices.map(({ period, window }) => [period.bookingId, window.methodId]);
    };
    for (const methodId of ['garage-rinseless', 'waterless', 'strip-reseal', 'rinseless-heavy'])
      expect(chosenWith(methodId)).toContainEqual(['b', methodId]);
  });

  it('is another where the forecast is another', () => {
    const control = winter(THIS_HOUR_MS, FACTS.weather.control.length, 9);
    const other = { ...DEAR, weather: { ...FACTS.weather, stamp: 'other', control } };
    expect(
      answerTo<'plan'>({ ...other, kind: 'plan', cars: [FACTS.car], facts: NOTES }, tools).answer,
    ).not.toEqual(plan.answer);
  });
});

describe('bottles chosen for one planned wash', () => {
  const bottles = [
    bottle({ id: 'plain', role: 'rinseless', inUsePh: 7, priceMinor: 1000 }),
    bottle({ id: 'dear', role: 'rinseless', inUsePh: 7, priceMinor: 30_000 }),
  ];
  const shop = { ...DEAR, shelf: shelfOf({ products: bottles, gear: [] }) };
  const products = { rinseless: 'dear' };
  const slot: PlannedSlot = {
    ...start(27),
    vehicleId: FACTS.car.vehicle.id,
    workerId: 'owner',
    endMs: start(28.5).startMs,
    extras: [],
  };
  const fixedIn = (facts: typeof shop, fixed: PlannedSlot) =>
    answerTo<'plan'>(
      { ...facts, kind: 'plan', cars: [FACTS.car], facts: { ...NOTES, fixed: [fixed] } },
      tools,
    ).answer.fixed[0]?.window;
  const everyWash = { ...shop, house: { ...shop.house, products } };

  it('give the plan the price that the same bottles have for every wash', () => {
    const [alone, plain, house] = [
      fixedIn(shop, { ...slot, choices: { products } }),
      fixedIn(shop, slot),
      fixedIn(everyWash, slot),
    ];
    expect(alone?.value.moneyMinor).toBeLessThan((plain?.value.moneyMinor ?? NaN) - 10);
    expect(alone?.value.totalMinor).toBeCloseTo(house?.value.totalMinor ?? NaN, 6);
    expect(alone?.endMs).toBe(house?.endMs);
  });

  it('count what own steps save of salt, as steps kept for every wash do', () => {
    const variant = { steps: [], leftOut: ['wheels-0'] };
    const always = { ...shop, house: { ...shop.house, variants: { [METHOD]: variant } } };
    const [alone, plain, house] = [
      fixedIn(shop, { ...slot, choices: { variant } }),
      fixedIn(shop, slot),
      fixedIn(always, slot),
    ];
    expect(alone?.value.saltMinor).toBeLessThan(plain?.value.saltMinor ?? NaN);
    expect(alone?.activeHoursSaved).toBeCloseTo(house?.activeHoursSaved ?? NaN, 6);
    expect(alone?.value.totalMinor).toBeCloseTo(house?.value.totalMinor ?? NaN, 6);
    expect(alone?.endMs).toBe(house?.endMs);
  });

  it('go with the wash wherever it is moved by the same method, and nowhere else', () => {
    const movesOf = (facts: typeof shop, movable: PlannedSlot) =>
      answerTo<'moves'>({ ...facts, kind: 'moves', facts: { ...NOTES, movable: [movable] } }, tools);
    const worths = (options: ReturnType<typeof movesOf>) =>
      options
        .map(
          ({ window: { methodId, startMs, value } }) =>
            `${methodId} ${startMs} ${Math.round(value.totalMinor)}`,
        )
        .sort();
    const alone = worths(movesOf(shop, { ...slot, choices: { products } }));
    expect(alone).toEqual(worths(movesOf(everyWash, slot)));
    expect(alone).not.toEqual(worths(movesOf(shop, slot)));
    const elsewhere = { ...slot, methodId: 'waterless' };
    expect(worths(movesOf(shop, { ...elsewhere, choices: { products } }))).toEqual(
      worths(movesOf(shop, elsewhere)),
    );
  });
});

describe('a wash that was done', () => {
  const underbody = (washes: readonly DoneWash[]): number =>
    saltAnswer(ofCar({ washes }), tools).now.zones.find(({ zone }) => zone === 'lower-left')
      ?.loadGramsPerM2 ?? NaN;
  const step = (id: string, skipped: string | null) => ({ id, minutes: 1, plannedMinutes: 1, skipped });
  const run = (steps: readonly ReturnType<typeof step>[]): Partial<DoneWash> => ({
    found: { spots: 'none', run: { steps } },
  });

  it('takes off what its steps took off, and nothing where none was done', () => {
    const never = underbody([]);
    const whole = underbody([washAgo(2)]);
    expect(whole).toBeLessThan(0.2 * never);
    expect(underbody([washAgo(2, run([step('rinse', 'no-time'), step('contact', 'too-cold')]))])).toBeCloseTo(
      never,
      9,
    );
    // The rinse takes 65 % off the lower body.
    expect(underbody([washAgo(2, run([step('rinse', null), step('contact', 'too-cold')]))])).toBeCloseTo(
      0.35 * never,
      9,
    );
  });

  it('resets season jobs only where something was done', () => {
    const standing = (change: Partial<DoneWash>) =>
      conditionAnswer(
        ofCar({
          vehicle: { ...FACTS.car.vehicle, seasonJobs: ['underbody'] },
          washes: [washAgo(2, { extras: ['underbody'], ...change })],
        }),
        tools,
      ).season.find(({ jobId }) => jobId === 'underbody')?.state;
    expect(standing({})).toBe('done');
    expect(standing(run([step('rinse', 'no-time')]))).toBe('due');
  });

  it('counts for the cadence only where it washed the body', () => {
    const lastMs = (change: Partial<DoneWash>) =>
      saltAnswer(ofCar({ washes: [washAgo(2, change)] }), tools).savedByLast?.atMs ?? null;
    expect(lastMs({})).toBe(NOW_MS - MS_PER_HOUR);
    expect(lastMs(run([step('wheels', null), step('rinse', 'no-time')]))).toBeNull();
  });

  it('puts its coat on the map, and a strip takes the old one off', () => {
    const roof = (washes: readonly DoneWash[]) =>
      conditionAnswer(
        ofCar({ washes, vehicle: { ...FACTS.car.vehicle, protection: 'wax', protections: [] } }),
        tools,
      ).protections.find(({ zone }) => zone === 'roof');
    expect(roof([])).toMatchObject({ kind: 'wax', standing: 'unknown-age' });
    expect(roof([washAgo(30, { methodId: 'strip-reseal' })])).toMatchObject({
      kind: 'sealant',
      standing: 'sound',
      ageDays: expect.closeTo(29.67 / 24, 1),
    });
    expect(roof([washAgo(30, { methodId: 'pre-coating' })])).toMatchObject({
      kind: 'bare',
      standing: 'none',
    });
    expect(roof([washAgo(30, { methodId: 'pre-coating', extras: ['re-coat'] })])).toMatchObject({
      kind: 'coating',
    });
  });
});

describe('a share of the mornings of a plan', () => {
  const cars = ['one', 'two', 'three'].map((id) => ({
    ...FACTS.car,
    vehicle: { ...FACTS.car.vehicle, id },
  }));
  const { car: _car, ...shop } = FACTS;
  const asked = { ...shop, kind: 'plan', cars, facts: NOTES } as const;

  it('takes from the last on what nobody else has', () => {
    const help = helpWith(asked);
    expect(help?.partCount).toBe(3);
    const told: string[] = [];
    const team = alone();
    team.take(1);
    const report = ({ part }: AnswerProgress): void => void (part && told.push(part.vehicleId));
    if (help) answerTo<'mornings'>(help.ask, { ...tools, report, team });
    expect(told).toEqual(['three', 'one']);
    expect([team.doneCount, team.take(0), team.take(2)]).toEqual([2, false, false]);
  });

  it('waits for what others have taken before it looks for it', () => {
    const team = alone();
    const deeds: string[] = [];
    team.take(1);
    const keep = {
      ...KEEP_NOTHING,
      of: <I extends object, V>(room: string, inputs: I, make: (of: I) => V): V => {
        if (room === 'morning') deeds.push(`makes ${(inputs as unknown as OfCar).car.vehicle.id}`);
        return make(inputs);
      },
    };
    const waitFor = (car: number): void => void deeds.push(`waits for ${cars[car]?.vehicle.id}`);
    answerTo<'plan'>(asked, {
      ...tools,
      keep,
      team: { ...team, take: (car) => team.take(car), waitFor },
    });
    expect(deeds).toEqual(['makes one', 'makes three', 'waits for two', 'makes two']);
  });

  it.each([
    { stepMs: 100, isCalled: true, why: 'what is left would take one thread long' },
    { stepMs: 0.1, isCalled: false, why: 'it is soon done' },
  ])('calls for others where $why: $isCalled', ({ stepMs, isCalled }) => {
    let nowMs = 0;
    let calls = 0;
    const team = { ...alone(), call: () => (calls += 1) };
    answerTo<'plan'>(asked, { ...tools, clockMs: () => (nowMs += stepMs), team });
    expect(calls > 0).toBe(isCalled);
  });

  it('is no help with any other question', () => {
    expect(helpWith({ ...FACTS, kind: 'week' })).toBeNull();
  });
});
