import { Button, Select } from '@mantine/core';
import { Link } from 'react-router';
import { useSettings } from '../../api/queries.js';
import { nameOf } from '../../words/names.js';
import { afterwardsMs, companions } from './visit-view.js';
import type { WashPanelProps } from './wash-panel-props.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import classes from './wash-panel.module.css';

/** Two cars under one pair of hands: planned together, prepared together, and taken apart again. */
export function OneVisit({ block, view, places, vehicles, format, onTogether, onApart }: WashPanelProps) {
  const { data: settings } = useSettings();
  const { wash } = block;
  if (!wash) return null;
  const { visit } = wash;
  const place = places.find(({ id }) => id === wash.placeId);
  const other = view.planned.find(({ id }) => id === visit?.withId);
  if (visit && other && place)
    return (
      <div className={classes.visit}>
        <p>
          In one visit with <strong>{nameOf(vehicles, other.vehicleId)}</strong>:{' '}
          <span className="figure">{format.minutes(visit.minutes)}</span> for both.{' '}
          <Link to={`/round?of=${wash.id},${other.id}`}>Prepare both, and see the order</Link>
        </p>
        <OwnerOnly>
          <Button
            className="no-print"
            size="compact-md"
            variant="default"
            onClick={() =>
              onApart(block, afterwardsMs(other, place, settings?.house.numbers.restMinutes ?? 0))
            }
          >
            Wash it by itself, after the other
          </Button>
        </OwnerOnly>
      </div>
    );
  const others = companions(wash, view, { places, format });
  if (others.length === 0) return null;
  return (
    <OwnerOnly>
      <Select
        className="no-print"
        label="In one visit with"
        description="One pair of hands for both cars, at the other’s hour"
        placeholder="By itself"
        data={others.map(({ id, vehicleId, startMs }) => ({
          value: id,
          label: `${nameOf(vehicles, vehicleId)}, ${format.time(startMs)}`,
        }))}
        value={null}
        onChange={(id) => {
          const chosen = others.find((one) => one.id === id);
          if (chosen) onTogether(block, chosen);
        }}
      />
    </OwnerOnly>
  );
}
