import { saturationOverIcePa, saturationOverWaterPa } from '../air/index.js';
import { bisect, FieldError, interpolateLinear, monotoneCubic, requireInRange } from '../quantity/index.js';
import { BRINE_AGENTS, type BrineRow, type SaltAgent } from './data/agents.js';

/** What one salt does to water; built once from its table row. */
export interface Brine {
  readonly agent: SaltAgent;
  readonly eutecticC: number;
  readonly eutecticMassPercent: number;
  /** Where ice starts in a brine of this strength; held at the eutectic beyond it. */
  freezingPointC(massPercent: number): number;
  /** Strength of the brine that is in balance with ice at this temperature (eutectic to 0 °C, clamped). */
  massPercentBesideIce(tempC: number): number;
  /** Humidity over liquid water above which the dry salt takes up water; null below the eutectic. */
  deliquescenceFraction(tempC: number): number | null;
  /** Vapour pressure over the brine as a share of that over pure water. */
  waterActivity(massPercent: number, tempC: number): number;
}

const iceToWaterRatio = (tempC: number): number => saturationOverIcePa(tempC) / saturationOverWaterPa(tempC);

function buildBrine(row: BrineRow): Brine {
  const { agent, eutecticC, eutecticMassPercent } = row;
  const curve = monotoneCubic(
    row.freezing.map(({ massPercent, freezingPointC }) => ({ x: massPercent, y: freezingPointC })),
  );
  const freezingPointC = (massPercent: number): number => curve(Math.min(massPercent, eutecticMassPercent));
  const inverse = Array.from({ length: 201 }, (_, i) => {
    const tempC = (eutecticC * (200 - i)) / 200;
    const massPercent = bisect((x) => freezingPointC(x) - tempC, { low: 0, high: eutecticMassPercent });
    return { x: tempC, y: massPercent };
  });
  const damp = [
    { x: eutecticC, y: iceToWaterRatio(eutecticC) },
    ...row.deliquescence.map(({ tempC, relHumidityFraction }) => ({ x: tempC, y: relHumidityFraction })),
  ];
  const deliquescenceFraction = (tempC: number): number | null =>
    tempC < eutecticC ? null : interpolateLinear(damp, tempC);
  const eutecticActivity = iceToWaterRatio(eutecticC);
  return {
    agent,
    eutecticC,
    eutecticMassPercent,
    freezingPointC,
    massPercentBesideIce: (tempC) => interpolateLinear(inverse, tempC),
    deliquescenceFraction,
    waterActivity(massPercent, tempC) {
      const belowEutectic =
        massPercent <= eutecticMassPercent
          ? iceToWaterRatio(freezingPointC(massPercent))
          : 1 - ((1 - eutecticActivity) * massPercent) / eutecticMassPercent;
      return Math.max(belowEutectic, deliquescenceFraction(tempC) ?? eutecticActivity);
    },
  };
}

const BRINES: ReadonlyMap<string, Brine> = new Map(BRINE_AGENTS.map((row) => [row.agent, buildBrine(row)]));

/**
 * The brine of one road salt.
 *
 * @param agent NaCl, MgCl2 or CaCl2
 * Source: tables in data/agents.ts, monotone interpolation; water activity from the balance with ice at the freezing
 * point, never under the humidity of the saturated solution.
 * @throws FieldError `unknown-name` for another agent
 * @example brineOf('NaCl').freezingPointC(10) // -6.6
 */
export function brineOf(agent: string): Brine {
  const brine = BRINES.get(agent);
  if (!brine) {
    throw new FieldError(
      'unknown-name',
      'agent',
      `brineOf: agent is ${agent}; allowed is ${[...BRINES.keys()].join(', ')}`,
    );
  }
  return brine;
}

export type BrineFreezing = {
  readonly freezingPointC: number | null;
  readonly eutecticC: number;
  readonly eutecticMassPercent: number;
  readonly reason?: string;
};

/**
 * When does this brine start to freeze?
 *
 * @param input agent; massPercent 0…100 of the anhydrous salt in the brine
 * @returns °C; null with a reason beyond the eutectic, where salt falls out instead of ice
 * @throws FieldError naming the field
 * @example brineFreezing({ agent: 'NaCl', massPercent: 23.3 }).freezingPointC // -21.1
 */
export function brineFreezing({ agent, massPercent }: { agent: string; massPercent: number }): BrineFreezing {
  requireInRange('brineFreezing', { massPercent }, { min: 0, max: 100, unit: '%' });
  const brine = brineOf(agent);
  const { eutecticC, eutecticMassPercent } = brine;
  if (massPercent > eutecticMassPercent) {
    const reason = `beyond the eutectic (${eutecticMassPercent} %) salt crystallises before ice forms`;
    return { freezingPointC: null, eutecticC, eutecticMassPercent, reason };
  }
  return { freezingPointC: brine.freezingPointC(massPercent), eutecticC, eutecticMassPercent };
}

export type Deliquescence =
  | { readonly relHumidityFraction: number }
  | { readonly relHumidityFraction: null; readonly reason: string };

/**
 * From which humidity is this salt wet, so that it can eat metal?
 *
 * @param input agent; tempC −60…60
 * @returns 0–1 over liquid water; null with a reason below the eutectic, where no brine is liquid
 * Model: table above 0 °C; below, straight to e_ice/e_water at the eutectic.
 * @throws FieldError naming the field
 * @example deliquescence({ agent: 'NaCl', tempC: 20 }) // { relHumidityFraction: 0.7547 }
 */
export function deliquescence({ agent, tempC }: { agent: string; tempC: number }): Deliquescence {
  requireInRange('deliquescence', { tempC }, { min: -60, max: 60, unit: '°C' });
  const brine = brineOf(agent);
  const relHumidityFraction = brine.deliquescenceFraction(tempC);
  return relHumidityFraction === null
    ? { relHumidityFraction, reason: `below the eutectic (${brine.eutecticC} °C) ${agent} brine is solid` }
    : { relHumidityFraction };
}
