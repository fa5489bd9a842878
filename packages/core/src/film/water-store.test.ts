import { describe, expect, it } from '@jest/globals';
import { brineOf } from '../brine/index.js';
import { brineStore, pureWaterStore } from './water-store.js';

// Standard tables near 0 °C: liquid water 4.19 kJ/(kg K), ice 2.1 kJ/(kg K), fusion 333.6 kJ/kg.
const PANEL_J = 3000;
const WATER_KG = 0.2;

describe('plain water on a panel as one store of heat', () => {
  const store = pureWaterStore(PANEL_J);

  it.each([
    { tempC: 20, joules: (PANEL_J + 0.2 * 4190) * 20 },
    { tempC: 0, joules: 0 },
    { tempC: -10, joules: -(PANEL_J + 0.2 * 2100) * 10 - 0.2 * 333_600 },
  ])('holds the heat of the tables at $tempC °C', ({ tempC, joules }) => {
    expect(store.enthalpy(WATER_KG, tempC)).toBeGreaterThanOrEqual(joules - 0.005 * Math.abs(joules));
    expect(store.enthalpy(WATER_KG, tempC)).toBeLessThanOrEqual(joules + 0.005 * Math.abs(joules));
  });

  it('is half ice at 0 °C when half the heat of fusion is gone', () => {
    const { tempC, iceKgPerM2 } = store.phases(WATER_KG, -333_600 * 0.1);
    expect(tempC).toBe(0);
    expect(iceKgPerM2).toBeCloseTo(0.1, 3);
  });

  it('is all ice at 0 °C when all of it is gone, and colder from there on', () => {
    const allIce = store.enthalpy(WATER_KG, 0) - 334_000 * WATER_KG;
    expect(store.phases(WATER_KG, allIce)).toEqual({ tempC: 0, iceKgPerM2: expect.closeTo(WATER_KG, 9) });
    const { tempC, iceKgPerM2 } = store.phases(WATER_KG, allIce - (PANEL_J + WATER_KG * 2100) * 4);
    expect(tempC).toBeCloseTo(-4, 6);
    expect(iceKgPerM2).toBe(WATER_KG);
  });

  it.each([-25, -0.4, 0.3, 18])('tells %s °C again from its heat', (tempC) => {
    expect(store.phases(WATER_KG, store.enthalpy(WATER_KG, tempC)).tempC).toBeCloseTo(tempC, 9);
  });
});

describe('brine on a panel', () => {
  const SALT_KG = 0.01;
  const salt = brineOf('NaCl');
  const store = brineStore(PANEL_J, salt, SALT_KG);
  const heat = (ice: number, tempC: number): number =>
    (PANEL_J + (WATER_KG - ice) * 4186 + ice * 2100) * tempC - 334_000 * ice;

  it('freezes out until what stays liquid is as strong as the phase diagram has it', () => {
    // Rock salt beside ice at −10 °C: 14.0 % by mass (phase diagram of sodium chloride and water).
    const { tempC, iceKgPerM2 } = store.phases(WATER_KG, store.enthalpy(WATER_KG, -10));
    expect(tempC).toBeCloseTo(-10, 4);
    const liquidKg = WATER_KG - iceKgPerM2;
    expect((100 * SALT_KG) / (SALT_KG + liquidKg)).toBeGreaterThan(13.6);
    expect((100 * SALT_KG) / (SALT_KG + liquidKg)).toBeLessThan(14.4);
  });

  it('keeps its heat in temperature and ice, whatever the heat', () => {
    for (const tempC of [15, -2, -5, -15, -20, -30]) {
      const joules = store.enthalpy(WATER_KG, tempC);
      const found = store.phases(WATER_KG, joules);
      expect(found.tempC).toBeCloseTo(tempC, 4);
      expect(heat(found.iceKgPerM2, found.tempC)).toBeCloseTo(joules, -1);
    }
  });

  it('turns solid at the eutectic bit by bit, as its heat goes', () => {
    const justAbove = heat(WATER_KG * 0.85, salt.eutecticC);
    const solid = heat(WATER_KG, salt.eutecticC);
    const middle = (justAbove + solid) / 2;
    const { tempC, iceKgPerM2 } = store.phases(WATER_KG, middle);
    expect(tempC).toBeCloseTo(salt.eutecticC, 4);
    expect(iceKgPerM2).toBeLessThan(WATER_KG);
    expect(heat(iceKgPerM2, tempC)).toBeCloseTo(middle, -1);
  });

  it('is all liquid above its freezing point, which falls with its strength', () => {
    expect(store.phases(WATER_KG, heat(0, 2)).iceKgPerM2).toBe(0);
    expect(store.freezingPointC(0.05)).toBeLessThan(store.freezingPointC(WATER_KG));
    // 4.8 % by mass of rock salt: −2.9 °C (the same diagram).
    expect(Math.abs(store.freezingPointC(WATER_KG) + 2.9)).toBeLessThan(0.1);
  });
});
