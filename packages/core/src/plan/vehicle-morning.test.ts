import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { EMPTY_SHELF } from '../kit/index.js';
import { everyHour, MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { runLedger } from '../salt/index.js';
import { SEASON_JOBS, type SeasonJobRow } from '../season/index.js';
import { carStateOf, KEEP_NOTHING } from '../shop/index.js';
import { CLEAN } from '../soil/index.js';
import { FACTS, THIS_HOUR_MS } from '../testing/facts.js';
import { BAY, circumstances, HEATED_UNIT, methodWith, VEHICLE } from '../testing/shop.js';
import {
  type Band,
  methodAt,
  PlaceCalendar,
  placeSites,
  PlaceWeather,
  verdictGrid,
} from '../verdict/index.js';
import type { MorningCase } from './morning-case.js';
import { DEFAULT_PRICES, targetState, type VehicleMorning, vehicleMorning, washCost } from './index.js';

const { past, ahead } = carStateOf(FACTS, KEEP_NOTHING);
const ledger = runLedger(past, { washes: [] });
const control = { fromMs: THIS_HOUR_MS, hours: FACTS.weather.control };
const PLACES = [HEATED_UNIT, BAY];
const sites = placeSites(PLACES, { control, members: [] });
const bands = verdictGrid({
  ...circumstances(control),
  sites,
  startsMs: everyHour(THIS_HOUR_MS, 60),
  withMembers: false,
});

const morningOf = (change: Partial<MorningCase> = {}): VehicleMorning =>
  vehicleMorning({
    vehicle: VEHICLE,
    places: PLACES,
    limits: DEFAULT_LIMITS,
    prices: DEFAULT_PRICES,
    house: DEFAULT_HOUSE,
    shelf: EMPTY_SHELF,
    soil: CLEAN,
    bands,
    ledger,
    ahead,
    windChillC: ahead.map(() => null),
    history: {
      isLastWashKnown: true,
      lastWashMs: null,
      lastContactMs: null,
      knownSinceMs: THIS_HOUR_MS - 20 * MS_PER_DAY,
    },
    target: targetState(
      { kind: 'days' },
      {
        cadenceDays: 10,
        course: [],
        sinceMs: THIS_HOUR_MS - 20 * MS_PER_DAY,
        nowMs: THIS_HOUR_MS,
        beganActiveHours: 0,
      },
    ),
    nowMs: THIS_HOUR_MS,
    ...change,
  });

const { windows } = morningOf();
const first = windows[0];
if (!first) throw new Error('nothing goes in this winter');
const goesAt = ({ placeId, methodId, startMs }: typeof first): Band['cells'][number] | undefined =>
  bands
    .find((band) => band.placeId === placeId && band.methodId === methodId)
    ?.cells.find((cell) => cell.startMs + cell.delayMinutes * MS_PER_MINUTE === startMs);

describe('the starts of a car', () => {
  it('are those of the grid that go, and no other', () => {
    const going = bands.flatMap(({ cells }) =>
      cells.filter(({ verdict }) => verdict === 'go' || verdict === 'go-if'),
    );
    expect(windows.length).toBe(going.length);
    for (const window of windows) expect(goesAt(window)?.verdict).toBe(window.verdict);
  });

  it('stand by their worth, the worthiest first; what is no wash comes behind', () => {
    const worth = (isWash: boolean): number[] =>
      windows.filter((one) => one.isWash === isWash).map(({ value }) => value.totalMinor);
    for (const kind of [true, false])
      expect([...worth(kind)].sort((one, other) => other - one)).toEqual(worth(kind));
    expect(windows.map(({ isWash }) => isWash)).toEqual([
      ...worth(true).map(() => true),
      ...worth(false).map(() => false),
    ]);
  });

  it('end when the method is done in its way, and cost what it costs there', () => {
    for (const window of windows.slice(0, 12)) {
      const place = PLACES.find(({ id }) => id === window.placeId) ?? BAY;
      const method = methodAt(methodWith(window.methodId, { placeC: window.placeC }), window.wayId, place);
      expect(window.endMs - window.startMs).toBeCloseTo(method.minutes * MS_PER_MINUTE, 3);
      expect(window.value.moneyMinor).toBeCloseTo(-washCost(place, method).totalMinor, 6);
      const minutes = method.minutes + 2 * place.travelMinutes;
      expect(window.value.timeMinor).toBeCloseTo((-DEFAULT_PRICES.hourMinor * minutes) / 60, 6);
    }
  });

  it('save the same hours whatever was asked about the car before', () => {
    const few = bands.map((band) => ({
      ...band,
      cells: band.cells.filter(({ startMs }) => startMs < THIS_HOUR_MS + 20 * MS_PER_HOUR),
    }));
    const own = () => runLedger(past, { washes: [] });
    const asked = own();
    expect(morningOf({ bands: few, ledger: asked }).windows.length).toBeGreaterThan(0);
    expect(morningOf({ ledger: asked })).toEqual(morningOf({ ledger: own() }));
    // Another ledger, or other hours to come, are others.
    const later = ahead.slice(0, 100);
    expect(morningOf({ ledger: asked, ahead: later })).toEqual(morningOf({ ledger: own(), ahead: later }));
    expect(morningOf({ ledger: asked, ahead: later })).not.toEqual(morningOf({ ledger: asked }));
  });

  it('count lateness from the day it was wanted', () => {
    const { due } = morningOf();
    expect(due.daysLate).toBeCloseTo(10, 9);
    const daysLate = (first.startMs - due.dueMs) / MS_PER_DAY;
    expect(first.value.lateMinor).toBeCloseTo(-DEFAULT_PRICES.lateMinorPerDay * daysLate, 6);
  });

  it('pay for hands in a bitter wind outdoors, and not indoors', () => {
    const bitter = morningOf({ windChillC: ahead.map(() => -25) }).windows;
    const costs = (placeId: string): number[] =>
      bitter.filter((window) => window.placeId === placeId).map(({ value }) => value.coldMinor);
    expect(costs(HEATED_UNIT.id).every((cost) => cost === 0)).toBe(true);
    for (const { methodId, wayId, placeC, value, placeId } of bitter.filter(
      (window) => window.placeId === BAY.id,
    )) {
      const place = PLACES.find(({ id }) => id === placeId) ?? BAY;
      const { handsMinutes } = methodAt(methodWith(methodId, { placeC }), wayId, place);
      expect(value.coldMinor).toBeCloseTo(-DEFAULT_PRICES.bitterMinorPerMinute * handsMinutes, 6);
    }
  });

  it('wait through the queue of their hour, which costs time', () => {
    const queue = { weekdayMinutes: Array<number>(24).fill(12), weekendMinutes: Array<number>(24).fill(12) };
    const queued = morningOf({ places: [HEATED_UNIT, { ...BAY, queue }] }).windows;
    const of = (all: typeof windows) => all.find(({ placeId }) => placeId === BAY.id);
    const [waits, plain] = [of(queued), of(windows)];
    if (!waits || !plain) throw new Error('the bay never goes');
    expect(waits.value.timeMinor - plain.value.timeMinor).toBeCloseTo(
      (-DEFAULT_PRICES.hourMinor * 12) / 60,
      6,
    );
  });
});

describe('work of the season with a wash', () => {
  const job = (id: string): SeasonJobRow => {
    const found = SEASON_JOBS.find((one) => one.id === id);
    if (!found) throw new Error(`no job ${id}`);
    return found;
  };
  const weather = new PlaceWeather(new PlaceCalendar(HEATED_UNIT), control);
  const withWork = (due: SeasonJobRow[], agreed: SeasonJobRow[] = []) =>
    morningOf({
      season: { due, agreed, at: (placeId) => (placeId === HEATED_UNIT.id ? weather : undefined) },
    }).windows;
  const jobsOf = (all: typeof windows): Set<string> => new Set(all.flatMap(({ extras }) => extras.jobIds));
  const dear = { ...job('top-up'), worthMinor: 1e6 };
  const idle = { ...job('top-up'), worthMinor: 0 };

  it('is done where it is worth more than it takes', () => {
    expect(jobsOf(withWork([dear]))).toContain('top-up');
    expect(jobsOf(withWork([idle]))).not.toContain('top-up');
  });

  it('is done where it was agreed on, whatever it is worth', () => {
    expect(jobsOf(withWork([idle], [idle]))).toContain('top-up');
  });

  it('makes the visit longer by its minutes', () => {
    const of = (all: typeof windows) =>
      all.find(({ placeId, startMs }) => placeId === HEATED_UNIT.id && startMs === first.startMs);
    const same = withWork([dear]).find(({ extras }) => extras.jobIds.length > 0);
    const plain = windows.find(
      (one) =>
        one.placeId === same?.placeId && one.methodId === same.methodId && one.startMs === same.startMs,
    );
    if (!same || !plain) throw new Error('no start with the work');
    expect(of(windows)?.extras.jobIds ?? []).toEqual([]);
    expect((same.endMs - plain.endMs) / MS_PER_MINUTE).toBeCloseTo(same.extras.minutes, 6);
    expect(same.extras.minutes).toBeGreaterThan(0);
  });
});

describe('what does not go', () => {
  it('says by place and method what rules it out in the hour of the best start', () => {
    const { refusals } = morningOf();
    for (const refusal of refusals) {
      const band = bands.find((one) => one.placeId === refusal.placeId && one.methodId === refusal.methodId);
      const cell = band?.cells.find(
        ({ startMs }) => startMs === Math.floor(first.startMs / MS_PER_HOUR) * MS_PER_HOUR,
      );
      expect(refusal.limiting).toEqual(band?.refusal ?? cell?.limiting);
      expect(['no', 'wait', 'unknown']).toContain(refusal.verdict);
    }
    const offered = refusals.every(({ placeId, methodId }) =>
      PLACES.find(({ id }) => id === placeId)?.methods.some((offer) => offer.methodId === methodId),
    );
    expect(offered).toBe(true);
  });

  it('has what comes nearest only where no start washes the car', () => {
    expect(morningOf().nearest).toEqual([]);
    const shut = bands.map((band) => ({
      ...band,
      cells: band.cells.map((cell) => ({ ...cell, verdict: 'no' as const, untilMs: null })),
    }));
    const none = morningOf({ bands: shut });
    expect(none.windows).toEqual([]);
    expect(none.nearest.length).toBeGreaterThan(0);
  });
});
