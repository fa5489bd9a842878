import { type CadenceTarget, EVEN_WEEK, SEASON_JOB_IDS, type VehicleRecord } from '@keen/core';

type Fields = Omit<
  VehicleRecord,
  'id' | 'knownSinceMs' | 'driving' | 'weekShares' | 'cadenceDays' | 'target' | 'protections'
>;

/** What is typed into the form of a vehicle. */
export interface VehicleDraft extends Fields {
  readonly mainRoadKm: number | null;
  readonly townKm: number | null;
  readonly bridgeKm: number | null;
  /** Usual days' driving by weekday, Monday first. */
  readonly weekShares: readonly (number | null)[];
  readonly cadenceDays: number | null;
  readonly targetKind: CadenceTarget['kind'];
  /** Salt days or active hours, where the target is of that kind. */
  readonly targetMost: number | null;
}

export const NEW_VEHICLE: VehicleDraft = {
  name: '',
  colourName: '',
  keeper: '',
  notes: '',
  bodyClass: 'saloon',
  paintTone: 'mid',
  bodyMaterial: 'steel',
  protection: 'bare',
  waterBehaviour: 'flat',
  delicateWheels: false,
  hasChargePort: false,
  weekShares: EVEN_WEEK,
  standsAtPlaceId: null,
  mainRoadKm: 20,
  townKm: 10,
  bridgeKm: 0,
  cadenceDays: 14,
  targetKind: 'days',
  targetMost: 10,
  seasonJobs: SEASON_JOB_IDS,
  customerId: null,
  washedBefore: null,
};

/** Protections are kept on the car's condition; this form leaves them alone. */
export function draftOf({
  id: _id,
  knownSinceMs: _since,
  protections: _protections,
  driving,
  target,
  ...fields
}: VehicleRecord): VehicleDraft {
  return {
    ...fields,
    ...driving,
    targetKind: target.kind,
    targetMost: target.kind === 'days' ? 10 : target.most,
  };
}

export type VehicleErrors = Partial<Record<keyof VehicleDraft, string>>;

const outside = (value: number | null, low: number, high: number): boolean =>
  value === null || value < low || value > high;

/** The form's faults by field. */
export function vehicleErrors(draft: VehicleDraft): VehicleErrors {
  const errors: VehicleErrors = {};
  if (draft.name.trim() === '') errors.name = 'Give it a name: colour and shape will do.';
  for (const field of ['mainRoadKm', 'townKm', 'bridgeKm'] as const) {
    if (outside(draft[field], 0, 1500)) errors[field] = 'From 0 to 1500 km a day.';
  }
  if (draft.weekShares.some((share) => outside(share, 0, 10)))
    errors.weekShares = 'Each from 0 (stays at home) to 10 times a usual day.';
  // Only what is shown is judged: days count where the target is days.
  if (draft.targetKind === 'days' && outside(draft.cadenceDays, 1, 365))
    errors.cadenceDays = 'From 1 to 365 days.';
  if (draft.targetKind !== 'days' && outside(draft.targetMost, 1, 1000))
    errors.targetMost = 'From 1 to 1000.';
  return errors;
}

/** The form as the server takes it. Only for a form without faults. */
export function vehicleFrom(draft: VehicleDraft): Omit<VehicleRecord, 'id' | 'knownSinceMs' | 'protections'> {
  const { mainRoadKm, townKm, bridgeKm, weekShares, cadenceDays, targetKind, targetMost, ...fields } = draft;
  return {
    ...fields,
    name: fields.name.trim(),
    driving: { mainRoadKm: mainRoadKm ?? 0, townKm: townKm ?? 0, bridgeKm: bridgeKm ?? 0 },
    weekShares: weekShares.map((share) => share ?? 1),
    cadenceDays: outside(cadenceDays, 1, 365) ? 14 : (cadenceDays ?? 14),
    target: targetKind === 'days' ? { kind: 'days' } : { kind: targetKind, most: targetMost ?? 1 },
  };
}
