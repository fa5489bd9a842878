import { describe, expect, it } from '@jest/globals';
import { type FilmInput, type FilmTrace, filmTrace } from '@keen/core';
import { filmOf, labPath } from '../../parts/lab-path.js';
import {
  drawnMinutes,
  edgeKind,
  linePath,
  minuteTicks,
  PLAIN_FILM,
  tempScaleOf,
  wipeMargin,
} from './lab-view.js';

describe('the lab', () => {
  it('keeps a film in its address', () => {
    const film: FilmInput = { ...PLAIN_FILM, airTempC: -7.25, brine: { agent: 'MgCl2', massPercent: 4 } };
    const query = new URLSearchParams(
      labPath(film, { panel: 'roof', place: 'North drive', startMs: 5 }).split('?')[1],
    );
    expect(filmOf(query, PLAIN_FILM)).toEqual(film);
    expect(query.get('place')).toBe('North drive');
  });

  it('takes a plain film where the address says nothing or nonsense', () => {
    expect(filmOf(new URLSearchParams(), PLAIN_FILM)).toEqual({ ...PLAIN_FILM, brine: undefined });
    const nonsense = new URLSearchParams({
      airTempC: 'warm',
      material: 'wood',
      agent: 'sugar',
      massPercent: '5',
    });
    expect(filmOf(nonsense, PLAIN_FILM)).toEqual({ ...PLAIN_FILM, brine: undefined });
  });

  const cold = filmTrace(PLAIN_FILM);
  const hot = filmTrace({ ...PLAIN_FILM, airTempC: 30, solarWm2: 800, skyTempC: 20, startTempC: 30 });

  it('says what ends the wet edge and how far that is from wiping', () => {
    expect(edgeKind(cold)).toBe('freezes');
    expect(edgeKind(hot)).toBe('dries');
    const { neededMinutes, marginMinutes } = wipeMargin(cold, 9, 0.33);
    expect(neededMinutes).toBeCloseTo(11.97, 9);
    expect(marginMinutes).toBeCloseTo((cold.wetEdgeMinutes ?? NaN) - 11.97, 9);
    const damp = filmTrace({
      ...PLAIN_FILM,
      airTempC: 6,
      relHumidityFraction: 1,
      skyTempC: 5,
      horizonMinutes: 15,
    });
    expect(edgeKind(damp)).toBe('neither');
    expect(wipeMargin(damp, 9, 0.33).marginMinutes).toBeNull();
  });

  it('draws to the end of the film and keeps 0 °C and the air in sight', () => {
    expect(drawnMinutes(cold, 60)).toBe(60);
    expect(drawnMinutes(hot, 60)).toBeLessThan(10);
    const scale = tempScaleOf(cold.points, -3);
    expect(scale.at(0)).toBeGreaterThan(0);
    expect(scale.at(scale.high)).toBe(1);
    expect(Math.abs(scale.low % 5)).toBe(0);
  });

  it.each([
    { minutes: 60, most: 7, ticks: [0, 10, 20, 30, 40, 50, 60] },
    { minutes: 60, most: 4, ticks: [0, 15, 30, 45, 60] },
    { minutes: 3, most: 7, ticks: [0, 0.5, 1, 1.5, 2, 2.5, 3] },
  ])('ticks $minutes min in at most $most steps', ({ minutes, most, ticks }) => {
    expect(minuteTicks(minutes, most)).toEqual(ticks);
  });

  const lasting = (change: Partial<FilmTrace>): FilmTrace => ({
    ...cold,
    firstIceMinutes: null,
    dryMinutes: null,
    ...change,
  });

  it.each([
    { firstIceMinutes: 5, dryMinutes: 5, is: 'freezes' },
    { firstIceMinutes: 5.1, dryMinutes: 5, is: 'dries' },
    { firstIceMinutes: null, dryMinutes: 5, is: 'dries' },
    { firstIceMinutes: 5, dryMinutes: null, is: 'freezes' },
    { firstIceMinutes: null, dryMinutes: null, is: 'neither' },
  ])(
    'is ended by what comes first: ice at $firstIceMinutes, dry at $dryMinutes: $is',
    ({ is, ...change }) => {
      expect(edgeKind(lasting(change))).toBe(is);
    },
  );

  it.each([
    { dryMinutes: 10, horizon: 60, drawn: 10.8 },
    { dryMinutes: 0.2, horizon: 60, drawn: 1 },
    { dryMinutes: 59, horizon: 60, drawn: 60 },
    { dryMinutes: null, horizon: 15, drawn: 15 },
  ])('draws $drawn min of a film that is dry after $dryMinutes', ({ dryMinutes, horizon, drawn }) => {
    expect(drawnMinutes(lasting({ dryMinutes }), horizon)).toBeCloseTo(drawn, 9);
  });

  const point = (minutes: number, tempC: number) =>
    ({ ...cold.points[0], minutes, tempC }) as FilmTrace['points'][number];

  it.each([
    { temps: [10, 3], airTempC: 5, low: -5, high: 15 },
    { temps: [10, -4], airTempC: -3, low: -5, high: 15 },
    { temps: [9, -4.5], airTempC: -3, low: -10, high: 10 },
    { temps: [9.5, 2], airTempC: 12, low: -5, high: 15 },
    { temps: [-2], airTempC: -14, low: -15, high: 5 },
  ])('scales $temps in air of $airTempC °C from $low to $high', ({ temps, airTempC, low, high }) => {
    const scale = tempScaleOf(
      temps.map((tempC, i) => point(i, tempC)),
      airTempC,
    );
    expect([scale.low, scale.high]).toEqual([low, high]);
    expect([scale.at(low), scale.at((low + high) / 2), scale.at(high)]).toEqual([0, 0.5, 1]);
  });

  it('draws a line from point to point', () => {
    const path = linePath([point(0, 4), point(2.04, -1)], ({ tempC }) => tempC, {
      x: (x) => x * 10,
      y: (y) => 50 - y,
    });
    expect(path).toBe('M0.0 46.0L20.4 51.0');
  });
});
