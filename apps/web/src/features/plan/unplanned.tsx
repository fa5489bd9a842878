import type { PlanView, VehicleRecord } from '@keen/core';
import { Button } from '@mantine/core';
import type { Format } from '../../format/format.js';
import { nameOf } from '../../words/names.js';
import { unplannedText } from '../../words/plan-words.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import classes from './plan.module.css';

interface UnplannedProps {
  readonly view: PlanView;
  readonly vehicles: readonly VehicleRecord[];
  readonly format: Format;
  readonly takenId: string | null;
  readonly onTake: (vehicleId: string) => void;
}

const takeText = (isTaken: boolean): string => (isTaken ? 'Choose a start on the board' : 'Place by hand');

/** Washes that are wanted and stand in no plan: why, and from when it hurts. */
export function UnplannedList({ view, vehicles, format, takenId, onTake }: UnplannedProps) {
  if (view.unplanned.length === 0) return null;
  return (
    <section className={classes.unplanned}>
      <h2>Not in the plan</h2>
      <ul>
        {view.unplanned.map(({ vehicleId, period, reason, hurtsMs }) => (
          <li key={`${vehicleId} ${period.index}`}>
            <span>
              <strong>{nameOf(vehicles, vehicleId)}</strong>
              {period.index > 0 && <span className="muted"> · the wash after next</span>}
              {period.readyByMs !== null && <span> · booked for {format.dayTime(period.readyByMs)}</span>}
              <br />
              {unplannedText(reason, format)};{' '}
              {period.readyByMs !== null
                ? 'the booking would be missed'
                : hurtsMs <= view.nowMs
                  ? 'late already'
                  : `late from ${format.dayShort(hurtsMs)}`}
            </span>
            <OwnerOnly>
              <Button
                size="compact-sm"
                variant={takenId === vehicleId ? 'filled' : 'default'}
                aria-label={`${takeText(takenId === vehicleId)}: ${nameOf(vehicles, vehicleId)}`}
                onClick={() => onTake(vehicleId)}
              >
                {takeText(takenId === vehicleId)}
              </Button>
            </OwnerOnly>
          </li>
        ))}
      </ul>
    </section>
  );
}
