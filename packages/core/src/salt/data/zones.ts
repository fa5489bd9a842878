/** Zones of the car in the salt ledger; shares and factors are judgement, scaled per vehicle by swab readings. */
export const SALT_ZONES = [
  { zone: 'underbody', group: 'under', pickUp: 1, rainLossPerMm: 0, weight: 0.25 },
  { zone: 'arches', group: 'under', pickUp: 1, rainLossPerMm: 0.01, weight: 0.25 },
  { zone: 'lower-left', group: 'lower', pickUp: 0.52, rainLossPerMm: 0.06, weight: 0.12 },
  { zone: 'lower-right', group: 'lower', pickUp: 0.4, rainLossPerMm: 0.06, weight: 0.12 },
  { zone: 'rear', group: 'lower', pickUp: 0.4, rainLossPerMm: 0.08, weight: 0.11 },
  { zone: 'upper', group: 'upper', pickUp: 0.08, rainLossPerMm: 0.2, weight: 0.15 },
] as const satisfies readonly {
  zone: string;
  group: 'under' | 'lower' | 'upper';
  /** Relative to the underbody; the left flank faces passing lorries where one drives on the right. */
  pickUp: number;
  /** Share washed off by a millimetre of rain. */
  rainLossPerMm: number;
  /** In the sum of active hours over the car. */
  weight: number;
}[];

export type SaltZone = (typeof SALT_ZONES)[number]['zone'];
