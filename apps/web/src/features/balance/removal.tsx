import type { BalanceRow, BodyClass } from '@keen/core';
import { UnfoldedCar } from '../../parts/unfolded-car.js';
import { GROUP_NAMES } from '../../words/run-words.js';
import { removalLayer, removedMostAndLeast } from './balance-view.js';
import classes from './removal.module.css';

interface RemovalProps {
  readonly row: Pick<BalanceRow, 'removes'>;
  readonly bodyClass: BodyClass;
}

/** The car with what comes off it where, and the most and the least of it in figures. */
export function Removal({ row, bodyClass }: RemovalProps) {
  const { most, least } = removedMostAndLeast(row);
  return (
    <div className={classes.removal}>
      <span className={classes.car}>
        <UnfoldedCar
          bodyClass={bodyClass}
          layer={removalLayer(row)}
          label="Taken off"
          tone="brine"
          isThumbnail
        />
      </span>
      <span>
        {[most, least].map(({ group, share }) => (
          <span key={group} className={classes.share}>
            {Math.round(share * 100)} % {GROUP_NAMES[group]}
          </span>
        ))}
      </span>
    </div>
  );
}
