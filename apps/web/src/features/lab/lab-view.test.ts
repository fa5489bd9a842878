import { describe, expect, it } from '@jest/globals';
import { type FilmInput, filmTrace } from '@keen/core';
import { filmOf, labPath } from '../../parts/lab-path.js';
import { drawnMinutes, edgeKind, minuteTicks, PLAIN_FILM, tempScaleOf, wipeMargin } from './lab-view.js';

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
});
