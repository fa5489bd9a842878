import { FREEZE_CARE, type FreezeCareRow } from './data/freeze-care.js';

export type FreezeCareId = FreezeCareRow['id'];

export interface FreezeCare {
  readonly id: FreezeCareId;
  /** How far the night is below where it begins to matter, K; positive. */
  readonly beyondK: number;
}

/**
 * What has to be seen to after the wash, so that nothing freezes fast tonight?
 *
 * @param overnightC coldest air where the car will stand, °C; null: not known
 * @returns the items that this night needs, each with how far beyond; every one of them where the night is not known (beyondK 0)
 * @example freezeCare(-1.5).map(({ id }) => id) // seals, locks, handles, flap, wipers
 */
export function freezeCare(overnightC: number | null): FreezeCare[] {
  if (overnightC === null) return FREEZE_CARE.map(({ id }) => ({ id, beyondK: 0 }));
  return FREEZE_CARE.filter(({ belowC }) => overnightC < belowC).map(({ id, belowC }) => ({
    id,
    beyondK: belowC - overnightC,
  }));
}
