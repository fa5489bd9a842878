import { SEASON_JOBS } from '../season/index.js';
import { everyHour, MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import { EMPTY_SHELF, type ShelfBottle } from '../kit/index.js';
import { METHODS } from '../method/index.js';
import { localTime, type Place } from '../place/index.js';
import {
  BAY,
  circumstances,
  DRIVE as SHADED,
  HEATED_UNIT,
  houseWith,
  VEHICLE as PLAIN,
} from '../testing/shop.js';
import type { RoadState } from '../road/index.js';
import type { Vehicle } from '../vehicle/index.js';
import { COLD_LAKE_PORT, simulateWeather, type WeatherHour } from '../weather/index.js';
import {
  type Band,
  type BandBook,
  BandJudges,
  type BandPage,
  cellDetail,
  emptyPage,
  type GridRequest,
  type MethodNames,
  memberAsker,
  NightAir,
  PlaceCalendar,
  placeSites,
  RoadAhead,
  verdictGrid,
  type WeatherSpan,
  withWaits,
} from './index.js';

const VEHICLE: Vehicle = { ...PLAIN, bodyClass: 'hatch', waterBehaviour: 'sheeting' };
const GARAGE = HEATED_UNIT;
const DRIVE: Place = { ...SHADED, hasLight: true, tap: 'always' };

const FROM = Date.UTC(2026, 0, 14, 5);
const hours = simulateWeather({
  climate: COLD_LAKE_PORT,
  seed: 3,
  fromMs: FROM - 24 * MS_PER_HOUR,
  hourCount: 24 * 6,
});
const control: WeatherSpan = { fromMs: FROM - 24 * MS_PER_HOUR, hours };

const gridOf = (span: WeatherSpan, places: readonly Place[], members: readonly WeatherSpan[] = []): Band[] =>
  verdictGrid({
    ...circumstances(span, { vehicle: VEHICLE }),
    sites: placeSites(places, { control: span, members }),
    startsMs: everyHour(FROM, 72),
    withMembers: true,
  });
const bandOf = (bands: readonly Band[], placeId: string, methodId: string): Band => {
  const band = bands.find((candidate) => candidate.placeId === placeId && candidate.methodId === methodId);
  if (!band) throw new Error('no such band');
  return band;
};

describe('the grid', () => {
  const bands = gridOf(control, [GARAGE, DRIVE]);

  it('has a band for each place and method, without cells where nothing can change the no', () => {
    expect(bands).toHaveLength(2 * METHODS.length);
    expect(bandOf(bands, 'garage', 'drive-hose')).toMatchObject({
      cells: [],
      refusal: { ruleId: 'method-offered' },
    });
    expect(bandOf(bands, 'garage', 'garage-rinseless').cells).toHaveLength(72);
  });

  it('goes in a heated unit exactly while it is open long enough', () => {
    for (const cell of bandOf(bands, 'garage', 'garage-rinseless').cells) {
      const { weekday, minuteOfDay } = localTime(cell.startMs, 'America/Toronto');
      const fits = weekday <= 6 && minuteOfDay >= 480 && minuteOfDay + 75 <= 1080;
      expect(cell.verdict === 'go').toBe(fits);
    }
  });

  it('waits until the next start that goes', () => {
    const { cells } = bandOf(bands, 'garage', 'garage-rinseless');
    const waiting = cells.find(({ verdict }) => verdict === 'wait');
    const until = cells.find(({ startMs }) => startMs === waiting?.untilMs);
    expect(until?.verdict).toBe('go');
    expect(
      cells
        .filter(({ startMs }) => startMs > (waiting?.startMs ?? 0) && startMs < (until?.startMs ?? 0))
        .every(({ verdict }) => verdict === 'wait'),
    ).toBe(true);
  });

  it('says in each cell what the whole judgement says', () => {
    const { cells } = bandOf(bands, 'drive', 'drive-hose');
    for (const cell of cells.filter(({ delayMinutes }, i) => i % 7 === 0 && delayMinutes === 0)) {
      const { judgement } = cellDetail(
        {
          ...circumstances(control, { vehicle: VEHICLE }),
          place: DRIVE,
          methodId: 'drive-hose',
          control,
          roadAhead: null,
        },
        cell.startMs,
      );
      expect(cell.limiting).toEqual(judgement.limiting);
      expect(cell.verdict === 'wait' ? 'no' : cell.verdict).toBe(judgement.standing);
    }
  });

  it('is the same again', () => {
    expect(gridOf(control, [GARAGE, DRIVE])).toEqual(bands);
  });
});

describe('pages that are there already', () => {
  const request = (change: Partial<GridRequest> = {}): GridRequest => ({
    ...circumstances(control, { vehicle: VEHICLE }),
    sites: placeSites([GARAGE, DRIVE, BAY], { control, members: [] }),
    startsMs: everyHour(FROM, 24),
    withMembers: true,
    ...change,
  });
  const pages = new Map<string, BandPage>();
  const named = new Map<string, MethodNames>();
  const names = (inputs: object, make: () => MethodNames): MethodNames => {
    const key = JSON.stringify(inputs);
    const there = named.get(key) ?? make();
    named.set(key, there);
    return there;
  };
  /** How many of the bands that are not refused for good were found, of how many. */
  function found(change: Partial<GridRequest> = {}): { known: number; of: number; bands: Band[] } {
    let known = 0;
    const book: BandBook = {
      name: JSON.stringify,
      names,
      page: (name) => {
        const page = pages.get(name);
        if (page?.cells) known += 1;
        return page ?? emptyPage();
      },
    };
    const asked = request(change);
    const bands = verdictGrid(asked, undefined, new BandJudges(asked, book));
    return { known, of: bands.filter(({ refusal }) => refusal === null).length, bands };
  }
  const first = verdictGrid(
    request(),
    undefined,
    new BandJudges(request(), {
      name: JSON.stringify,
      names,
      page: (name) => {
        const page = emptyPage();
        pages.set(name, page);
        return page;
      },
    }),
  );
  const bottle = (change: Partial<ShelfBottle> = {}): ShelfBottle => ({
    id: 'own',
    name: 'Own',
    role: 'rinseless',
    inUsePh: 7,
    usualParts: 200,
    fewestParts: 256,
    mostParts: 128,
    capMl: null,
    carMl: null,
    dwell: null,
    lowestWorkC: null,
    bottleMl: 1000,
    priceMinor: 2000,
    isEmpty: false,
    ...change,
  });
  const shelfWith = (...bottles: ShelfBottle[]) => ({ shelf: { ...EMPTY_SHELF, bottles } });

  it('are all taken where nothing changed, or nothing that a judge reads', () => {
    expect(found()).toMatchObject({ known: found().of, bands: first });
    expect(found().known).toBeGreaterThan(2);
    const { known, of } = found({ vehicle: { ...VEHICLE, id: 'other', cadenceDays: 3 } });
    expect(known).toBe(of);
  });

  it('are made again only where their own place changed', () => {
    const moved = placeSites([{ ...GARAGE, tap: 'always' }, DRIVE, BAY], { control, members: [] });
    const { known, bands } = found({ sites: moved });
    const elsewhere = bands.filter(({ placeId, refusal }) => placeId !== GARAGE.id && refusal === null);
    expect(known).toBe(elsewhere.length);
    expect(known).toBeGreaterThan(0);
  });

  it('are made again only where another bottle is taken, whatever it costs', () => {
    const before = found(shelfWith(bottle()));
    const taken = before.of - before.known;
    expect(taken).toBeGreaterThan(0);
    expect(before.known).toBeGreaterThan(0);
    for (const { placeId, methodId, cells, refusal } of before.bands)
      if (!refusal) expect(cells).toHaveLength(bandOf(first, placeId, methodId).cells.length);
    const namesWith = (...bottles: ShelfBottle[]): string[] => {
      const asked = request(shelfWith(...bottles));
      const seen: string[] = [];
      const page = (name: string): BandPage => (seen.push(name), emptyPage());
      const judges = new BandJudges(asked, { name: JSON.stringify, names, page });
      for (const site of asked.sites) judges.page(site, 'garage-rinseless');
      return seen;
    };
    const made = namesWith(bottle());
    const { size } = named;
    expect(namesWith(bottle({ priceMinor: 9900 }))).toEqual(made);
    // What was named before is not made again.
    expect(named.size).toBe(size);
    expect(namesWith(bottle({ inUsePh: 9 }))).not.toEqual(made);
    expect(namesWith(bottle({ lowestWorkC: 3 }))).not.toEqual(made);
    // Of two that are alike, the cheaper is taken.
    const [a, b] = [bottle({ id: 'a', carMl: 20 }), bottle({ id: 'b', carMl: 40 })];
    expect(namesWith(a, { ...b, priceMinor: a.priceMinor + 1 })).not.toEqual(
      namesWith(a, { ...b, priceMinor: a.priceMinor - 1 }),
    );
  });

  it.each<{ change: Partial<GridRequest>; why: string }>([
    { change: { limits: { ...request().limits, coldHandsC: -10 } }, why: 'a limit' },
    { change: { house: houseWith({ sun: 'never' }) }, why: 'a choice of the house that rules read' },
    { change: { soil: { ...request().soil, lower: 4 } }, why: 'the soil' },
    { change: { vehicle: { ...VEHICLE, paintTone: 'white' } }, why: 'the paint' },
  ])('are all made again by $why', ({ change }) => {
    expect(found(change).known).toBe(0);
  });

  it('can be stopped between bands', () => {
    const seen: number[] = [];
    const stop = (): void => {
      verdictGrid(request(), (share) => {
        seen.push(share);
        if (seen.length === 3) throw new Error('stopped');
      });
    };
    expect(stop).toThrow('stopped');
    expect(seen).toHaveLength(3);
    expect(seen[2]).toBeCloseTo(3 / (3 * METHODS.length), 9);
  });
});

describe('a start a little later in the hour', () => {
  /** Opens at twenty to nine, so that nine o'clock's hour is free and eight's only its end. */
  const late = { ...GARAGE, openHours: GARAGE.openHours.map(() => ({ openMinute: 515, closeMinute: 1080 })) };
  const cells = bandOf(gridOf(control, [late]), 'garage', 'garage-rinseless').cells;
  const atMinute = (minute: number) =>
    cells.find(({ startMs }) => localTime(startMs, 'America/Toronto').minuteOfDay === minute);

  it('goes if one waits for it, and says how long', () => {
    expect(atMinute(480)).toMatchObject({
      verdict: 'go-if',
      delayMinutes: 40,
      limiting: { ruleId: 'open-hours', level: 'condition', remedy: 'start-later', amount: 40 },
    });
    expect(atMinute(540)).toMatchObject({ verdict: 'go', delayMinutes: 0 });
    expect(atMinute(420)?.verdict).toBe('wait');
  });

  it('is really judged to go', () => {
    const cell = atMinute(480);
    const detail = cellDetail(
      {
        ...circumstances(control, { vehicle: VEHICLE }),
        place: late,
        methodId: 'garage-rinseless',
        control,
        roadAhead: null,
      },
      (cell?.startMs ?? 0) + 40 * 60_000,
    );
    expect(detail.judgement.standing).toBe('go');
  });
});

describe('members asked one start at a time', () => {
  it('say the same as the whole grid', () => {
    const colder: WeatherSpan = {
      ...control,
      hours: hours.map((hour) => ({ ...hour, airTempC: hour.airTempC - 5, dewPointC: hour.dewPointC - 5 })),
    };
    const request: GridRequest = {
      ...circumstances(control, { vehicle: VEHICLE }),
      sites: placeSites([BAY], { control, members: [control, colder] }),
      startsMs: everyHour(FROM, 48),
      withMembers: true,
    };
    const ask = memberAsker(request);
    const { cells } = bandOf(verdictGrid(request), 'bay', 'bay-touch-free');
    const asked = cells.filter(
      ({ blockedFraction, delayMinutes }) => blockedFraction !== null && delayMinutes === 0,
    );
    expect(asked.length).toBeGreaterThan(10);
    expect(new Set(asked.map(({ blockedFraction }) => blockedFraction)).size).toBeGreaterThan(1);
    for (const cell of asked) {
      const answer = ask({ placeId: 'bay', methodId: 'bay-touch-free', startMs: cell.startMs });
      expect(answer?.blockedFraction).toBe(cell.blockedFraction);
      expect(answer?.limiting).toEqual(cell.limiting);
    }
  });
});

describe('members that do not reach so far', () => {
  /** Known for a day from the start of the grid, as a short forecast with members is. */
  const short: WeatherSpan = {
    ...control,
    hours: hours.map((hour) => (hour.atMs < FROM + 24 * MS_PER_HOUR ? hour : null)),
  };
  const ask = (members: readonly WeatherSpan[]) =>
    memberAsker({
      ...circumstances(control, { vehicle: VEHICLE }),
      sites: placeSites([GARAGE], { control, members }),
    });
  const at = (hour: number) => ({
    placeId: GARAGE.id,
    methodId: 'garage-rinseless',
    startMs: FROM + hour * MS_PER_HOUR,
  });

  it('are not counted, and do not make a start fail', () => {
    expect(ask([control, short])(at(10))?.failures?.memberCount).toBe(2);
    expect(ask([control, short])(at(50))?.failures?.memberCount).toBe(1);
    expect(ask([control, short])(at(50))?.blockedFraction).toBe(ask([control])(at(50))?.blockedFraction);
  });

  it('are not needed to judge a start with its work of the season', () => {
    const work = SEASON_JOBS.filter(({ id }) => id === 'polish');
    const alone = ask([])({ ...at(10), work });
    expect(alone).toMatchObject({ blockedFraction: null, failures: null });
    const judged = cellDetail(
      {
        ...circumstances(control, { vehicle: VEHICLE }),
        place: GARAGE,
        methodId: 'garage-rinseless',
        control,
        roadAhead: null,
        work,
      },
      at(10).startMs,
    );
    expect([alone?.standing, alone?.wayId]).toEqual([judged.judgement.standing, judged.wayId]);
    expect(ask([])(at(10))).toBeNull();
  });

  it('leave a start unasked where none of them reaches it', () => {
    expect(ask([short, short])(at(10))).not.toBeNull();
    expect(ask([short, short])(at(50))).toBeNull();
    const cells = bandOf(gridOf(control, [GARAGE], [short, short]), GARAGE.id, 'garage-rinseless').cells;
    const plain = bandOf(gridOf(control, [GARAGE]), GARAGE.id, 'garage-rinseless').cells;
    expect(cells.slice(48).map(({ verdict }) => verdict)).toEqual(
      plain.slice(48).map(({ verdict }) => verdict),
    );
  });
});

describe('the road and the night ahead', () => {
  const road = (states: readonly RoadState[]): RoadAhead =>
    new RoadAhead(
      FROM,
      states.map((state, i) => ({
        atMs: FROM + i * MS_PER_HOUR,
        state,
        surfaceTempC: 0,
        waterMm: 0,
        snowMm: 0,
        saltGramsPerM2: { NaCl: 0, MgCl2: 0, CaCl2: 0 },
      })),
    );

  it('counts dry hours until the road is wet', () => {
    const ahead = road(['dry', 'damp', 'dry', 'wet', 'dry', 'dry']);
    expect(ahead.dryHours(FROM)).toBe(3);
    expect(ahead.dryHours(FROM + 3 * MS_PER_HOUR)).toBe(0);
    expect(ahead.dryHours(FROM + 4.5 * MS_PER_HOUR)).toBe(2);
    expect(ahead.dryHours(FROM - MS_PER_HOUR)).toBeNull();
    expect(ahead.dryHours(FROM + 6 * MS_PER_HOUR)).toBeNull();
  });

  it('finds the coldest hour of the night in the street, none in a heated place, and does not guess', () => {
    const street = new NightAir(null, control);
    const coldest = Math.min(...hours.slice(24, 38).map(({ airTempC }) => airTempC));
    expect(street.coldestAfterC(FROM)).toBeCloseTo(coldest, 9);
    expect(new NightAir({ climate: { kind: 'heated', setpointC: 14 } }, control).coldestAfterC(FROM)).toBe(
      14,
    );
    expect(street.coldestAfterC(FROM + 5 * 24 * MS_PER_HOUR)).toBeNull();
  });
});

describe('missing weather', () => {
  it('is unknown, never clear, in every hour that a wash touches', () => {
    const gap = 40;
    const holed = { ...control, hours: hours.map((hour, i) => (i === 24 + gap ? null : hour)) };
    const { cells } = bandOf(gridOf(holed, [DRIVE]), 'drive', 'drive-hose');
    // The hose takes 90 minutes: the start in the hole and the one before it.
    for (const i of [gap - 1, gap]) expect(['unknown', 'no', 'wait']).toContain(cells[i]?.verdict);
    expect(
      [cells[gap - 1], cells[gap]].some((cell) => cell?.verdict === 'go' || cell?.verdict === 'go-if'),
    ).toBe(false);
  });
});

describe('the ensemble', () => {
  const warmer = (byK: number): WeatherSpan => ({
    ...control,
    hours: hours.map((hour): WeatherHour => ({
      ...hour,
      airTempC: hour.airTempC + byK,
      dewPointC: hour.dewPointC + byK,
    })),
  });

  it('fails in none of the members that are the control itself, and in those that freeze', () => {
    const mild = warmer(14);
    const same = bandOf(gridOf(mild, [DRIVE], [mild, mild]), 'drive', 'drive-hose');
    const split = bandOf(gridOf(mild, [DRIVE], [mild, warmer(-20)]), 'drive', 'drive-hose');
    const going = same.cells.filter(({ verdict }) => verdict === 'go');
    expect(going.length).toBeGreaterThan(0);
    for (const cell of going) {
      expect(cell.blockedFraction).toBe(0);
      const doubted = split.cells.find(({ startMs }) => startMs === cell.startMs);
      expect(doubted).toMatchObject({
        blockedFraction: 0.5,
        verdict: 'go-if',
        limiting: { ruleId: 'forecast-agrees' },
      });
    }
  });
});

describe('waits', () => {
  const cell = (startMs: number, standing: 'go' | 'no' | 'unknown') => ({
    startMs,
    delayMinutes: 0,
    wayId: 'whole' as const,
    placeC: null,
    standing,
    blockedFraction: null,
    limiting: { ruleId: 'spots', level: 'clear', margin: null, unit: 'none', comfort: 1 } as const,
  });

  it('turns a no into a wait only where something later goes', () => {
    expect(
      withWaits([cell(0, 'no'), cell(1, 'go'), cell(2, 'no')]).map(({ verdict, untilMs }) => [
        verdict,
        untilMs,
      ]),
    ).toEqual([
      ['wait', 1],
      ['go', null],
      ['no', null],
    ]);
  });

  it('leaves unknown unknown', () => {
    expect(withWaits([cell(0, 'unknown'), cell(1, 'go')])[0]?.verdict).toBe('unknown');
  });
});

describe('clock changes', () => {
  it.each([
    { day: '2026-03-08', hoursOfDay: 23, why: 'spring forward' },
    { day: '2026-11-01', hoursOfDay: 25, why: 'fall back' },
    { day: '2026-01-14', hoursOfDay: 24, why: 'a plain day' },
  ])('open hours hold on $day: $why', ({ day, hoursOfDay }) => {
    const calendar = new PlaceCalendar({
      ...GARAGE,
      openHours: GARAGE.openHours.map(() => ({ openMinute: 0, closeMinute: 1439 })),
    });
    const midnight = Date.parse(
      `${day}T00:00:00${day > '2026-03-08' && day <= '2026-11-01' ? '-04:00' : '-05:00'}`,
    );
    const starts = Array.from({ length: 26 }, (_, i) => midnight + i * MS_PER_HOUR);
    const sameDay = starts.filter(
      (startMs) =>
        localTime(startMs, 'America/Toronto').weekday === localTime(midnight, 'America/Toronto').weekday,
    );
    expect(sameDay).toHaveLength(hoursOfDay);
    expect(sameDay.every((startMs) => calendar.open(startMs).kind === 'open')).toBe(true);
    const late = calendar.open(midnight + (hoursOfDay - 1) * MS_PER_HOUR);
    expect(late).toEqual({ kind: 'open', minutesLeft: 59 });
  });
});
