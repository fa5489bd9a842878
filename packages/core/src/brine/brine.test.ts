import { describe, expect, it } from '@jest/globals';
import { BRINE_AGENTS, brineFreezing, brineOf, deliquescence } from './index.js';

describe('the tables', () => {
  it.each(BRINE_AGENTS.map((row) => [row.agent, row] as const))(
    '%s falls from 0 °C to its eutectic, strength rising',
    (_, row) => {
      const points = row.freezing;
      expect(points[0]).toEqual({ massPercent: 0, freezingPointC: 0 });
      expect(points.at(-1)).toEqual({ massPercent: row.eutecticMassPercent, freezingPointC: row.eutecticC });
      points.slice(1).forEach((point, i) => {
        expect(point.massPercent).toBeGreaterThan(points[i]?.massPercent ?? NaN);
        expect(point.freezingPointC).toBeLessThan(points[i]?.freezingPointC ?? NaN);
      });
    },
  );
});

describe('brineFreezing', () => {
  it.each([
    { agent: 'NaCl', massPercent: 10, freezingPointC: -6.6 },
    { agent: 'NaCl', massPercent: 23.3, freezingPointC: -21.1 },
    { agent: 'MgCl2', massPercent: 15, freezingPointC: -15.5 },
    { agent: 'CaCl2', massPercent: 25, freezingPointC: -29 },
    { agent: 'NaCl', massPercent: 0, freezingPointC: 0 },
  ])('$agent at $massPercent %', ({ agent, massPercent, freezingPointC }) => {
    expect(brineFreezing({ agent, massPercent }).freezingPointC).toBeCloseTo(freezingPointC, 6);
  });

  it('falls all the way between the points of the table', () => {
    for (let x = 0.5; x <= 23; x += 0.5) {
      const here = brineFreezing({ agent: 'NaCl', massPercent: x }).freezingPointC ?? NaN;
      const weaker = brineFreezing({ agent: 'NaCl', massPercent: x - 0.5 }).freezingPointC ?? NaN;
      expect(here).toBeLessThan(weaker);
    }
  });

  it('has no freezing point beyond the eutectic, and says why', () => {
    const answer = brineFreezing({ agent: 'NaCl', massPercent: 23.4 });
    expect(answer.freezingPointC).toBeNull();
    expect(answer.reason).toMatch(/eutectic/);
  });

  it('names an unknown salt', () => {
    expect(() => brineFreezing({ agent: 'KCl', massPercent: 5 })).toThrow(
      expect.objectContaining({ field: 'agent', code: 'unknown-name' }),
    );
  });
});

describe('deliquescence', () => {
  it.each([
    { agent: 'NaCl', tempC: 20, fraction: 0.755 },
    { agent: 'NaCl', tempC: 0, fraction: 0.755 },
    { agent: 'MgCl2', tempC: 20, fraction: 0.331 },
    { agent: 'NaCl', tempC: -21.1, fraction: 0.81 },
    { agent: 'MgCl2', tempC: -33.5, fraction: 0.72 },
  ])('$agent at $tempC °C', ({ agent, tempC, fraction }) => {
    expect(deliquescence({ agent, tempC }).relHumidityFraction).toBeCloseTo(fraction, 2);
  });

  it('is not defined below the eutectic', () => {
    expect(deliquescence({ agent: 'NaCl', tempC: -22 })).toMatchObject({ relHumidityFraction: null });
  });
});

describe('a brine beside ice', () => {
  it('turns the freezing curve round', () => {
    const brine = brineOf('NaCl');
    for (const massPercent of [2, 7, 12, 19]) {
      expect(brine.massPercentBesideIce(brine.freezingPointC(massPercent))).toBeCloseTo(massPercent, 1);
    }
  });

  it('holds its water harder the stronger it is', () => {
    const brine = brineOf('NaCl');
    expect(brine.waterActivity(1, 5)).toBeGreaterThan(brine.waterActivity(15, 5));
    expect(brine.waterActivity(60, 5)).toBeCloseTo(0.755, 1);
  });
});

describe('how dry a brine keeps', () => {
  it('is the balance with ice up to the eutectic, and goes straight on beyond it', () => {
    const salt = brineOf('NaCl');
    // 10 % freezes at −6.6 °C, where ice holds 93.8 % of the vapour of water.
    expect(salt.waterActivity(10, -6.6)).toBeCloseTo(0.938, 2);
    expect(salt.waterActivity(0, 0)).toBeCloseTo(1, 6);
    const atEutectic = salt.waterActivity(salt.eutecticMassPercent, -21.1);
    expect(atEutectic).toBeCloseTo(0.813, 2);
    const strong = brineOf('CaCl2');
    const below = strong.waterActivity(strong.eutecticMassPercent - 0.01, 20);
    const above = strong.waterActivity(strong.eutecticMassPercent + 0.01, 20);
    expect(above).toBeLessThan(below);
    expect(below - above).toBeLessThan(0.01);
    expect(strong.waterActivity(40, 20)).toBeLessThan(strong.waterActivity(35, 20));
  });

  it('is never drier than the salt itself would be', () => {
    for (const agent of ['NaCl', 'MgCl2', 'CaCl2']) {
      const salt = brineOf(agent);
      for (const tempC of [-5, 5, 20])
        expect(salt.waterActivity(99, tempC)).toBeCloseTo(salt.deliquescenceFraction(tempC) ?? NaN, 9);
    }
  });
});

describe('what cannot be', () => {
  it.each([-0.1, 100.1, NaN])('a strength of %p %%', (massPercent) => {
    expect(() => brineFreezing({ agent: 'NaCl', massPercent })).toThrow(
      expect.objectContaining({ field: 'massPercent' }),
    );
  });

  it.each([-60.1, 60.1])('a salt at %p °C', (tempC) => {
    expect(() => deliquescence({ agent: 'NaCl', tempC })).toThrow(
      expect.objectContaining({ field: 'tempC' }),
    );
  });

  it('says why there is no humidity below the eutectic, and only there', () => {
    expect(deliquescence({ agent: 'NaCl', tempC: -21.2 })).toEqual({
      relHumidityFraction: null,
      reason: expect.stringContaining('-21.1 °C'),
    });
    expect(deliquescence({ agent: 'NaCl', tempC: -21 })).not.toHaveProperty('reason');
  });

  it('names the salts that there are', () => {
    expect(() => brineOf('KCl')).toThrow('NaCl, MgCl2, CaCl2');
  });
});
