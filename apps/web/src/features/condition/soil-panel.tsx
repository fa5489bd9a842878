import { SegmentedControl } from '@mantine/core';
import { type CarZone, SOIL_KINDS, type SoilKind, type ConditionView, type VehicleRecord } from '@keen/core';
import type { KeyboardEvent } from 'react';
import { useLookAtSoil } from '../../api/looks-queries.js';
import { useBringBack, useDelete } from '../../api/salt-queries.js';
import { useFormat } from '../../format/use-format.js';
import { sayWithUndo } from '../../parts/notices.js';
import { DeleteButton } from '../../parts/delete-button.js';
import { SOIL_NAMES, ZONE_NAMES } from '../../words/car-names.js';
import { gradeText, soilOn } from './condition-view.js';
import classes from './condition.module.css';

const GRADES = ['0', '1', '2', '3', '4', '5'];

interface SoilPanelProps {
  readonly vehicle: VehicleRecord;
  readonly condition: ConditionView;
  readonly zone: CarZone;
  readonly kind: SoilKind;
  readonly onKind: (kind: SoilKind) => void;
}

/** Grades of the chosen zone, kind by kind; a grade that is tapped goes before the estimate until the next wash. */
export function SoilPanel({ vehicle, condition, zone, kind, onKind }: SoilPanelProps) {
  const format = useFormat();
  const look = useLookAtSoil(vehicle.id);
  const { mutateAsync: remove } = useDelete('looks');
  const { mutateAsync: bringBack } = useBringBack('looks');
  const pathOf = (id: string): string => `vehicles/${vehicle.id}/soil/${id}`;
  const grade = (at: SoilKind, value: number): void =>
    void sayWithUndo(
      look.mutateAsync({ zone, kind: at, grade: value }),
      `${ZONE_NAMES[zone]}: ${SOIL_NAMES[at].toLowerCase()} ${gradeText(value, at)}.`,
      ({ id }) => remove(pathOf(id)),
    );
  const onKey = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey || !/^[0-5]$/.test(event.key)) return;
    event.preventDefault();
    grade(kind, Number(event.key));
  };
  const looks = condition.looks
    .filter((entry) => entry.zone === zone)
    .slice(-4)
    .reverse();
  const forget = (id: string): void =>
    void sayWithUndo(remove(pathOf(id)), 'That look is deleted.', () => bringBack(pathOf(id)));
  return (
    <section
      className={classes.box}
      aria-label={`Soil on ${ZONE_NAMES[zone].toLowerCase()}`}
      tabIndex={0}
      onKeyDown={onKey}
    >
      <h2>{ZONE_NAMES[zone]}</h2>
      {SOIL_KINDS.map((entry) => {
        const { grade: now, origin } = soilOn(condition.soil, zone, entry);
        return (
          <div key={entry} className={classes.kind} data-chosen={entry === kind}>
            <button type="button" className={classes.kindName} onClick={() => onKind(entry)}>
              {SOIL_NAMES[entry]}
              <span className="muted">
                {gradeText(now, entry)} ({origin === 'measured' ? 'seen' : 'estimated'})
              </span>
            </button>
            <SegmentedControl
              aria-label={`${SOIL_NAMES[entry]}, grade`}
              size="sm"
              data={GRADES}
              value={String(Math.round(now))}
              onChange={(value) => grade(entry, Number(value))}
              disabled={look.isPending}
            />
          </div>
        );
      })}
      <p className="muted">
        0 clean, 1 dust, 2 light film, 3 film with grit, 4 heavy, 5 caked. Keys 0 to 5 grade{' '}
        {SOIL_NAMES[kind].toLowerCase()} while this panel has the focus.
      </p>
      {looks.length > 0 && (
        <ul className={classes.looks}>
          {looks.map(({ id, atMs, kind: seenKind, grade: seen }) => (
            <li key={id}>
              {format.dayTime(atMs)}: {SOIL_NAMES[seenKind].toLowerCase()} {gradeText(seen, seenKind)}
              <DeleteButton what={`the look of ${format.dayTime(atMs)}`} onClick={() => forget(id)} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
