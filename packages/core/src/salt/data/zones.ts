import { CAR_ZONES, type CarZone, type ZoneGroup } from '../../vehicle/index.js';

export interface SaltZoneRow {
  readonly zone: CarZone;
  readonly group: ZoneGroup;
  readonly side: 'left' | 'right' | null;
  /** Relative to the underbody. */
  readonly pickUp: number;
  /** Share washed off by a millimetre of rain. */
  readonly rainLossPerMm: number;
  /** In the sum of active hours over the car. */
  readonly weight: number;
}

/**
 * Pick-up relative to the underbody, loss to rain, and weight in the clock over the car. Judgement: underbody and arches 1,
 * lower body and rear about 0.4, upper body about 0.08; weights under 0.5, lower 0.35, upper 0.15.
 */
const FACTORS: Readonly<Record<CarZone, { pickUp: number; rainLossPerMm: number; weight: number }>> = {
  roof: { pickUp: 0.05, rainLossPerMm: 0.25, weight: 0.02 },
  bonnet: { pickUp: 0.1, rainLossPerMm: 0.25, weight: 0.03 },
  boot: { pickUp: 0.08, rainLossPerMm: 0.2, weight: 0.02 },
  glass: { pickUp: 0.06, rainLossPerMm: 0.25, weight: 0 },
  'upper-left': { pickUp: 0.08, rainLossPerMm: 0.15, weight: 0.04 },
  'upper-right': { pickUp: 0.08, rainLossPerMm: 0.15, weight: 0.04 },
  trim: { pickUp: 0.2, rainLossPerMm: 0.1, weight: 0 },
  front: { pickUp: 0.3, rainLossPerMm: 0.08, weight: 0.03 },
  rear: { pickUp: 0.4, rainLossPerMm: 0.08, weight: 0.08 },
  'lower-left': { pickUp: 0.4, rainLossPerMm: 0.06, weight: 0.09 },
  'lower-right': { pickUp: 0.4, rainLossPerMm: 0.06, weight: 0.09 },
  'wheels-left': { pickUp: 0.6, rainLossPerMm: 0.04, weight: 0.03 },
  'wheels-right': { pickUp: 0.6, rainLossPerMm: 0.04, weight: 0.03 },
  'arches-left': { pickUp: 1, rainLossPerMm: 0.01, weight: 0.125 },
  'arches-right': { pickUp: 1, rainLossPerMm: 0.01, weight: 0.125 },
  underbody: { pickUp: 1, rainLossPerMm: 0, weight: 0.25 },
};

/** Zones of the car in the salt ledger; factors are judgement, scaled per vehicle by swab readings. */
export const SALT_ZONES: readonly SaltZoneRow[] = CAR_ZONES.map(({ zone, group, side }) => ({
  zone,
  group,
  side,
  ...FACTORS[zone],
}));

/** The flank towards passing lorries picks up this much more (judgement). */
export const TRAFFIC_SIDE_FACTOR = 1.3;
