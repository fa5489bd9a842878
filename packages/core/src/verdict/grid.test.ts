import { describe, expect, it } from '@jest/globals';
import { methodOf, METHODS } from '../method/index.js';
import { localTime, type Place } from '../place/index.js';
import { circumstances, DRIVE as SHADED, HEATED_UNIT, VEHICLE as PLAIN, WATER } from '../testing/shop.js';
import type { Vehicle } from '../vehicle/index.js';
import { COLD_LAKE_PORT, MS_PER_HOUR, simulateWeather, type WeatherHour } from '../weather/index.js';
import {
  type Band,
  cellDetail,
  filmInputFor,
  filmOutcome,
  PlaceCalendar,
  placeSites,
  PlaceWeather,
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
    fromMs: FROM,
    hourCount: 72,
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
    for (const cell of cells.filter((_, i) => i % 7 === 0)) {
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
      expect(cell.blockedShare).toBe(0);
      const doubted = split.cells.find(({ startMs }) => startMs === cell.startMs);
      expect(doubted).toMatchObject({
        blockedShare: 0.5,
        verdict: 'go-if',
        limiting: { ruleId: 'forecast-agrees' },
      });
    }
  });
});

describe('the film of a verdict', () => {
  const washCase = { vehicle: VEHICLE, place: DRIVE, method: methodOf('drive-hose') };
  const site = new PlaceWeather(new PlaceCalendar(DRIVE), control).siteHour(FROM + 12 * MS_PER_HOUR);
  if (!site) throw new Error('no weather');

  it('starts between the air and the water, nearer the water that ran over it', () => {
    const panel = { id: 'left', tiltDeg: 90, facesDeg: 270, material: 'body' } as const;
    const { startTempC } = filmInputFor(washCase, panel, site);
    expect(startTempC).toBeLessThan(WATER.tempC);
    expect(startTempC).toBeGreaterThan((WATER.tempC + site.air.airTempC) / 2);
  });

  it('is never worse on some panels than on all', () => {
    const all = filmOutcome(washCase, site);
    const some = filmOutcome(washCase, site, { only: new Set(['left', 'rear']) });
    expect(some.coldest.tempC).toBeGreaterThanOrEqual(all.coldest.tempC);
    expect(all.ice.minutes ?? Infinity).toBeLessThanOrEqual(some.ice.minutes ?? Infinity);
  });
});

describe('waits', () => {
  const cell = (startMs: number, standing: 'go' | 'no' | 'unknown') => ({
    startMs,
    standing,
    blockedShare: null,
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
      openHours: GARAGE.openHours.map(() => ({ openMinute: 0, closeMinute: 1440 })),
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
    expect(late).toEqual({ kind: 'open', minutesLeft: 60 });
  });
});
