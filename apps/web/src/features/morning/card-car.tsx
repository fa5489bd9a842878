import type { VehicleRecord, ZoneSalt } from '@keen/core';
import { saltThumbnail } from '../../parts/salt-layer.js';
import { UnfoldedCar } from '../../parts/unfolded-car.js';
import classes from './morning.module.css';

interface CardCarProps {
  /** Absent: it is not read yet; its room is kept. */
  readonly vehicle: VehicleRecord | undefined;
  readonly zones: readonly ZoneSalt[] | undefined;
}

/** The car of a card, with the salt on it. */
export function CardCar({ vehicle, zones = [] }: CardCarProps) {
  return (
    <div className={classes.car}>
      {vehicle && (
        <UnfoldedCar
          bodyClass={vehicle.bodyClass}
          layer={saltThumbnail(zones)}
          label={`Salt on ${vehicle.name}`}
          isThumbnail
        />
      )}
    </div>
  );
}
