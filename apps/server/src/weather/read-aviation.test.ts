import { describe, expect, it } from '@jest/globals';
import { readAviation } from './read-aviation.js';

const NOW = Date.parse('2026-01-14T11:55:00Z');
const at = (text: string): number => Date.parse(`2026-01-14T${text}:00Z`);
const read = (text: string, nowMs = NOW) => readAviation(text, nowMs).hours.map(({ reading }) => reading);
const metar = (time: string, weather: string, remarks = ''): string =>
  `METAR CKNA 14${time}Z 29012G22KT 3SM ${weather} OVC020 M07/M10 A2987${remarks && ` RMK ${remarks}`}=`;

describe('the hour of an observation', () => {
  it.each([
    { time: '1100', hour: '11:00', why: 'on the hour' },
    { time: '1029', hour: '10:00', why: 'just under half an hour after it' },
    { time: '1030', hour: '11:00', why: 'nearer to the next' },
    { time: '1053', hour: '11:00', why: 'the usual seven minutes before' },
    {
      time: '1153',
      hour: '11:00',
      why: 'two minutes old: the next hour has not come, so it counts for its own',
    },
  ])('$time: $why', ({ time, hour }) => {
    expect(read(metar(time, '-SN'))).toMatchObject([{ atMs: at(hour), airTempC: -7, dewPointC: -10 }]);
  });

  it('is the next one once that has come', () => {
    expect(read(metar('1153', '-SN'), at('12:00'))).toMatchObject([{ atMs: at('12:00') }]);
  });
});

describe('what falls', () => {
  it.each([
    { weather: '-SN', fall: { precipKind: 'snow', precipMm: 0.4 }, why: 'light snow' },
    {
      weather: 'BLSN',
      fall: { precipKind: 'none', precipMm: 0 },
      why: 'snow that the wind lifts does not fall',
    },
    { weather: 'DRSN', fall: { precipKind: 'none', precipMm: 0 }, why: 'nor what drives along the ground' },
    { weather: '-SN BLSN', fall: { precipKind: 'snow', precipMm: 0.4 }, why: 'light snow that is blown' },
    { weather: 'VCSH', fall: { precipKind: 'none', precipMm: 0 }, why: 'showers elsewhere' },
    { weather: '-DZ', fall: { precipKind: 'rain' }, why: 'drizzle is rain' },
    { weather: '-FZRA', fall: { precipKind: 'sleet' }, why: 'freezing rain' },
  ])('$weather: $why', ({ weather, fall }) => {
    expect(read(metar('1100', weather))).toMatchObject([fall]);
  });

  it('is what the station measured, where it says so', () => {
    expect(read(metar('1100', '-SN', 'P0012'))[0]).toMatchObject({
      precipKind: 'snow',
      precipMm: expect.closeTo(3.048, 3),
    });
    expect(read(metar('1100', '-SN', 'P0000'))[0]).toMatchObject({ precipKind: 'snow', precipMm: 0.1 });
  });

  it('is of no told kind where it fell before the look', () => {
    const [hour] = read(metar('1100', 'BR', 'P0004'));
    expect(hour?.precipMm).toBeCloseTo(1.016, 3);
    expect(hour?.precipKind).toBeUndefined();
  });
});
