import type { VehicleDraft, VehicleErrors } from '../../drafts/vehicle-form.js';

/** What a part of the form of a vehicle is given. */
export interface VehicleFieldsProps {
  readonly draft: VehicleDraft;
  readonly set: (change: Partial<VehicleDraft>) => void;
  readonly errors: VehicleErrors;
}
