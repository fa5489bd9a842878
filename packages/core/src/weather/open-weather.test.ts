import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  correctedCourse,
  membersAround,
  likelyPrecipKind,
  mergedHours,
  NEEDED_FIELDS,
  readingsByMember,
  readingsOf,
  relHumidityFraction,
  requireSight,
  requireWeatherColumns,
  type Sight,
  WEATHER_COLUMNS,
  type WeatherHour,
  type WeatherReading,
  weatherRows,
} from './index.js';

const FROM = Date.UTC(2026, 0, 14, 12);
const at = (hours: number): string => new Date(FROM + hours * MS_PER_HOUR).toISOString();
const SPAN = { fromMs: FROM, toMs: FROM + 240 * MS_PER_HOUR };
const HOUR: WeatherHour = {
  atMs: FROM,
  airTempC: -6,
  dewPointC: -9,
  windMetresPerSecond: 4,
  gustMetresPerSecond: 7,
  windFromDeg: 290,
  cloudFraction: 0.5,
  precipMm: 0,
  precipKind: 'none',
  snowDepthCm: 20,
  pressureHpa: 1010,
};
const course = (hourCount: number, over: Partial<WeatherHour> = {}): WeatherHour[] =>
  Array.from({ length: hourCount }, (_, i) => ({ ...HOUR, ...over, atMs: FROM + i * MS_PER_HOUR }));
const rowsOf = (...cells: Record<string, unknown>[]) => cells.map((row, i) => ({ line: i + 2, cells: row }));
const read = (...cells: Record<string, unknown>[]) => weatherRows(rowsOf(...cells), SPAN);

describe('columns of hourly weather', () => {
  it.each([
    { names: ['airTempC'], field: 'at', why: 'no instant' },
    { names: ['at'], field: 'at', why: 'nothing to read' },
    { names: ['at', 'temp'], field: 'temp', why: 'an unknown column' },
    { names: ['at', 'airTempC', 'airTempF'], field: 'airTempF', why: 'the same in two units' },
    { names: ['at', 'windKmh', 'windKnots'], field: 'windKnots', why: 'the same in two units' },
    {
      names: ['at', 'dewPointC', 'relHumidityPercent'],
      field: 'relHumidityPercent',
      why: 'the same told twice',
    },
  ])('are refused with $why, naming $field', ({ names, field }) => {
    expect(() => requireWeatherColumns(names)).toThrow(expect.objectContaining({ field }));
  });

  it('are each read in their own unit', () => {
    expect(() =>
      requireWeatherColumns(['at', 'member', 'airTempF', 'relHumidityPercent', 'precipKind']),
    ).not.toThrow();
  });

  it('turn into the field’s unit by the definitions of the units', () => {
    const { hours } = read({
      at: at(0),
      airTempF: '14',
      windKnots: '10',
      cloudOktas: '4',
      precipInches: '0.1',
      snowDepthInches: '10',
      pressureInHg: '29.92',
    });
    const reading = hours[0]?.reading;
    expect(reading?.airTempC).toBeCloseTo(-10, 9);
    expect(reading?.windMetresPerSecond).toBeCloseTo(5.1444, 4);
    expect(reading?.cloudFraction).toBe(0.5);
    expect(reading?.precipMm).toBeCloseTo(2.54, 9);
    expect(reading?.snowDepthCm).toBeCloseTo(25.4, 9);
    expect(reading?.pressureHpa).toBeCloseTo(1013.2, 1);
  });

  it('have ranges that hold the same span in every unit of a quantity', () => {
    for (const { quantity, min, max, scale, offset } of WEATHER_COLUMNS) {
      const first = WEATHER_COLUMNS.find((column) => column.quantity === quantity && column.scale === 1);
      if (!first) continue;
      const slack = 0.02 * (first.max - first.min);
      expect(Math.abs(min * scale + offset - first.min)).toBeLessThan(slack);
      expect(Math.abs(max * scale + offset - first.max)).toBeLessThan(slack);
    }
  });

  it('take a humidity over liquid water with the air', () => {
    const { hours } = read({ at: at(0), airTempC: -8, relHumidityPercent: 80 });
    const { airTempC = NaN, dewPointC = NaN } = hours[0]?.reading ?? {};
    expect(relHumidityFraction({ airTempC, dewPointC })).toBeCloseTo(0.8, 6);
  });
});

describe('rows of hourly weather', () => {
  it.each([
    { why: 'no instant', row: { at: '', airTempC: '1' }, field: 'at' },
    { why: 'no offset', row: { at: '2026-01-14T13:00', airTempC: '1' }, field: 'at' },
    { why: 'not a full hour', row: { at: '2026-01-14T13:20:00Z', airTempC: '1' }, field: 'at' },
    { why: 'before the span', row: { at: at(-1), airTempC: '1' }, field: 'at' },
    { why: 'behind the span', row: { at: at(240), airTempC: '1' }, field: 'at' },
    { why: 'the unit in the cell', row: { at: at(0), airTempC: '23F' }, field: 'airTempC' },
    { why: 'a decimal comma', row: { at: at(0), airTempC: '-3,5' }, field: 'airTempC' },
    { why: 'fahrenheit under celsius', row: { at: at(0), airTempC: '68' }, field: 'airTempC' },
    { why: 'a humidity without air', row: { at: at(0), relHumidityPercent: '80' }, field: 'airTempC' },
    { why: 'dew above the air', row: { at: at(0), airTempC: '1', dewPointC: '3' }, field: 'dewPointC' },
    { why: 'an odd kind of fall', row: { at: at(0), precipKind: 'frogs' }, field: 'precipKind' },
    { why: 'a member that is none', row: { at: at(0), airTempC: '1', member: '99' }, field: 'member' },
    { why: 'nothing but the instant', row: { at: at(0), airTempC: '' }, field: 'at' },
  ])('are turned down with $why, naming line and $field', ({ row, field }) => {
    expect(read(row)).toMatchObject({ hours: [], faults: [{ line: 2, field }] });
  });

  it('tell an hour once', () => {
    const { hours, faults } = read({ at: at(0), airTempC: 1 }, { at: at(0), airTempC: 2 });
    expect(hours).toHaveLength(1);
    expect(faults).toMatchObject([{ line: 3, field: 'at', message: expect.stringContaining('line 2') }]);
  });

  it('do not go back in time, unless the whole table does', () => {
    const hours = [0, 2, 1].map((hour) => ({ at: at(hour), airTempC: 1 }));
    expect(read(...hours).faults).toMatchObject([{ line: 4, field: 'at' }]);
    const backwards = [3, 2, 1].map((hour) => ({ at: at(hour), airTempC: hour }));
    expect(read(...backwards)).toMatchObject({ faults: [], hours: [{ line: 4 }, { line: 3 }, { line: 2 }] });
  });

  it('leave an empty cell unknown', () => {
    expect(read({ at: at(0), airTempC: '1', windKmh: '' }).hours[0]?.reading).toEqual({
      atMs: FROM,
      airTempC: 1,
    });
  });

  it('are sorted into members, the control first', () => {
    const { hours } = read(
      { at: at(0), airTempC: 1, member: 2 },
      { at: at(0), airTempC: 0 },
      { at: at(1), airTempC: 3, member: 2 },
    );
    expect(readingsByMember(hours).map((member) => member.map(({ airTempC }) => airTempC))).toEqual([
      [0],
      [1, 3],
    ]);
  });
});

describe('hours put together from several sources', () => {
  const lead: WeatherReading = { atMs: FROM, airTempC: -2, dewPointC: -4 };
  const next: WeatherReading = { ...HOUR };
  const merge = (...readings: WeatherReading[][]) =>
    mergedHours(
      readings.map((one, i) => readingsOf(`source ${i}`, one)),
      { fromMs: FROM, hourCount: 1 },
    )[0];

  it('take each field from the first that tells it', () => {
    const merged = merge([lead], [next]);
    expect(merged?.hour).toMatchObject({
      airTempC: -2,
      dewPointC: -4,
      windMetresPerSecond: 4,
      snowDepthCm: 20,
    });
    expect(merged?.source).toBe('source 0');
    expect(merge([next], [lead])?.hour?.airTempC).toBe(-6);
  });

  it('name the source of the air, not of the first wind', () => {
    expect(merge([{ atMs: FROM, windMetresPerSecond: 3 }], [next])?.source).toBe('source 1');
  });

  it.each(NEEDED_FIELDS)('are not known without %s', (field) => {
    const { [field]: _, ...rest } = HOUR;
    expect(merge([rest])).toMatchObject({ hour: null, missing: [field] });
  });

  it('are not known where nobody tells anything', () => {
    expect(merge([])).toEqual({ hour: null, source: null, missing: [...NEEDED_FIELDS] });
  });

  it('remembers the snow that an hour tells of, even where it lacks a figure that decides', () => {
    const { airTempC: _air, ...lacking } = HOUR;
    const { snowDepthCm: _snow, ...bare } = HOUR;
    const hours = mergedHours(
      [
        readingsOf('a', [
          { ...HOUR, snowDepthCm: 5 },
          { ...lacking, atMs: FROM + MS_PER_HOUR, snowDepthCm: 31 },
          { ...bare, atMs: FROM + 2 * MS_PER_HOUR },
        ]),
      ],
      { fromMs: FROM, hourCount: 3 },
    );
    expect(hours.map(({ hour }) => hour?.snowDepthCm ?? null)).toEqual([5, null, 31]);
  });

  it.each([
    { precipMm: 0, airTempC: -5, kind: 'none' },
    { precipMm: 0.01, airTempC: 0.49, kind: 'snow' },
    { precipMm: 1, airTempC: 0.5, kind: 'sleet' },
    { precipMm: 1, airTempC: 1.99, kind: 'sleet' },
    { precipMm: 1, airTempC: 2, kind: 'rain' },
  ])('take $precipMm mm at $airTempC °C for $kind where nobody says', ({ precipMm, airTempC, kind }) => {
    expect(likelyPrecipKind(precipMm, airTempC)).toBe(kind);
  });

  it('are possible and whole whatever is reported: dew below the air, gusts above the wind, nothing of a kind while nothing falls', () => {
    const odd = merge([{ ...HOUR, dewPointC: 3, gustMetresPerSecond: 1, precipMm: 0, precipKind: 'snow' }]);
    expect(odd).toMatchObject({
      missing: [],
      hour: { atMs: FROM, airTempC: -6, dewPointC: -6, gustMetresPerSecond: 4, precipKind: 'none' },
    });
    const { gustMetresPerSecond: _g, windFromDeg: _w, pressureHpa: _p, ...bare } = HOUR;
    expect(merge([{ ...bare, precipMm: 1, precipKind: 'rain' }])?.hour).toMatchObject({
      gustMetresPerSecond: 4,
      windFromDeg: 0,
      pressureHpa: 1013.25,
      precipKind: 'rain',
    });
    expect(merge([{ ...HOUR, gustMetresPerSecond: 9 }])?.hour?.gustMetresPerSecond).toBe(9);
  });

  it('carry the snow that lies on, and name what falls by the air where nobody does', () => {
    const { snowDepthCm: _, precipKind: __, ...bare } = HOUR;
    const falling = { ...bare, precipMm: 1 };
    const kinds = [-3, 1, 5].map(
      (airTempC) => merge([{ ...falling, airTempC, dewPointC: -9 }])?.hour?.precipKind,
    );
    expect(kinds).toEqual(['snow', 'sleet', 'rain']);
    const hours = mergedHours([readingsOf('a', [HOUR, { ...bare, atMs: FROM + MS_PER_HOUR }])], {
      fromMs: FROM,
      hourCount: 2,
    });
    expect(hours[1]?.hour?.snowDepthCm).toBe(20);
  });
});

describe('members round a course that leads', () => {
  const own = course(3);
  const member = course(3, { airTempC: -4, dewPointC: -8, windMetresPerSecond: 6 });

  it('stay as they are where their own control leads', () => {
    expect(membersAround(own, { control: own, members: [member] })).toEqual([member]);
  });

  it('keep their distance from their control', () => {
    const lead = course(3, { airTempC: 1, dewPointC: -1, windMetresPerSecond: 2 });
    const [moved] = membersAround(lead, { control: own, members: [member] });
    expect(moved?.[1]).toMatchObject({ airTempC: 3, dewPointC: 0, windMetresPerSecond: 4 });
  });

  it('are not known where the lead or their own source is not', () => {
    const holes = [null, ...own.slice(1)];
    expect(membersAround(holes, { control: own, members: [member] })[0]?.[0]).toBeNull();
    expect(membersAround(own, { control: holes, members: [member] })[0]?.[0]).toBeNull();
  });

  it('stay possible whatever leads', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -30, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (airTempC, windMetresPerSecond, cloudFraction, precipMm) => {
          const lead = course(1, {
            airTempC,
            dewPointC: airTempC - 0.2,
            windMetresPerSecond,
            cloudFraction,
            precipMm,
          });
          const wild = course(1, {
            airTempC: -1,
            dewPointC: -1,
            windMetresPerSecond: 0,
            cloudFraction: 1,
            precipMm: 2,
            precipKind: 'snow',
          });
          const hour = membersAround(lead, { control: course(1), members: [wild] })[0]?.[0];
          if (!hour) throw new Error('a member without an hour');
          expect(hour.dewPointC).toBeLessThanOrEqual(hour.airTempC);
          expect(hour.windMetresPerSecond).toBeGreaterThanOrEqual(0);
          expect(hour.gustMetresPerSecond).toBeGreaterThanOrEqual(hour.windMetresPerSecond);
          expect(hour.cloudFraction).toBeGreaterThanOrEqual(0);
          expect(hour.cloudFraction).toBeLessThanOrEqual(1);
          expect(hour.precipMm > 0).toBe(hour.precipKind !== 'none');
        },
      ),
    );
  });
});

describe('what was seen out of the door', () => {
  const ahead = course(24);
  const seen = (over: Partial<Sight>): Sight => ({
    atMs: FROM + 2_400_000,
    airTempC: null,
    windMetresPerSecond: null,
    cloudFraction: null,
    falling: null,
    ...over,
  });

  it('stands in its hour and fades back to the forecast', () => {
    const hours = correctedCourse(ahead, seen({ airTempC: -2 }));
    expect(hours[0]?.airTempC).toBe(-2);
    const off = hours.map(({ airTempC }) => airTempC + 6);
    expect(off.slice(0, 13).every((value, i) => i === 0 || value < (off[i - 1] ?? 0))).toBe(true);
    expect(off[6]).toBeCloseTo(4 / Math.E, 9);
    expect(hours[13]).toEqual(ahead[13]);
  });

  it('changes nothing of what nobody looked at, nor before its hour', () => {
    const windy = correctedCourse(ahead, seen({ atMs: FROM + 3 * MS_PER_HOUR, windMetresPerSecond: 9 }));
    expect(windy.slice(0, 3)).toEqual(ahead.slice(0, 3));
    expect(windy[3]?.windMetresPerSecond).toBe(9);
    expect(windy.map(({ airTempC, cloudFraction }) => [airTempC, cloudFraction])).toEqual(
      ahead.map(({ airTempC, cloudFraction }) => [airTempC, cloudFraction]),
    );
    // Three hours on a third of it is left.
    expect((windy[6]?.windMetresPerSecond ?? NaN) - (ahead[6]?.windMetresPerSecond ?? NaN)).toBeCloseTo(
      (9 - (ahead[3]?.windMetresPerSecond ?? NaN)) / Math.E,
      9,
    );
    const clear = correctedCourse(ahead, seen({ cloudFraction: 0 }));
    const off = (i: number): number => (clear[i]?.cloudFraction ?? NaN) - (ahead[i]?.cloudFraction ?? NaN);
    expect(off(4)).toBeCloseTo(off(0) / Math.E, 9);
  });

  it('carries the damp along with the air', () => {
    for (const hour of correctedCourse(ahead, seen({ airTempC: -12 })))
      expect(hour.airTempC - hour.dewPointC).toBeCloseTo(3, 9);
  });

  it('corrects what falls in its own hour only', () => {
    const snow = correctedCourse(ahead, seen({ falling: 'snow' }));
    expect(snow[0]).toMatchObject({ precipKind: 'snow', precipMm: 0.5 });
    expect(snow[1]).toMatchObject({ precipKind: 'none', precipMm: 0 });
    const stopped = correctedCourse(
      course(3, { precipMm: 1, precipKind: 'snow' }),
      seen({ falling: 'none' }),
    );
    expect(stopped.map(({ precipMm }) => precipMm)).toEqual([0, 1, 1]);
  });

  it('changes nothing where its hour is not known', () => {
    const holes = [null, ...ahead.slice(1)];
    expect(correctedCourse(holes, seen({ airTempC: 3 }))).toEqual(holes);
  });

  it('keeps wind and cloud possible', () => {
    const hours = correctedCourse(ahead, seen({ windMetresPerSecond: 0, cloudFraction: 1 }));
    expect(hours[0]).toMatchObject({ windMetresPerSecond: 0, cloudFraction: 1 });
    expect(hours.every(({ windMetresPerSecond }) => windMetresPerSecond >= 0)).toBe(true);
  });

  it.each([
    { why: 'nothing looked at', over: {}, field: 'airTempC' },
    { why: 'an odd temperature', over: { airTempC: 400 }, field: 'airTempC' },
    { why: 'more than all of the sky', over: { cloudFraction: 1.2 }, field: 'cloudFraction' },
    { why: 'wind against itself', over: { windMetresPerSecond: -1 }, field: 'windMetresPerSecond' },
  ])('is refused with $why', ({ over, field }) => {
    expect(() => requireSight(seen(over))).toThrow(expect.objectContaining({ field }));
  });
});
