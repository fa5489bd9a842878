import { QUICK_LOOKS, type QuickLook, type VehicleRecord } from '@keen/core';
import { useChangeLooks, useQuickLook } from '../../api/looks-queries.js';
import { sayWithUndo } from '../../parts/notices.js';
import { QUICK_LOOK_NAMES } from '../../words/look-words.js';
import classes from './quick-look.module.css';

interface QuickLookBoxProps {
  readonly vehicle: Pick<VehicleRecord, 'id' | 'name' | 'paintTone'>;
}

/** One tap for the whole car: film and grit of every zone replace the estimate; single zones are corrected afterwards. */
export function QuickLookBox({ vehicle }: QuickLookBoxProps) {
  const quick = useQuickLook();
  const { mutateAsync: change } = useChangeLooks(vehicle.id);
  const say = (look: QuickLook): void =>
    void sayWithUndo(
      quick.mutateAsync({ vehicleId: vehicle.id, look }),
      `${vehicle.name}: ${QUICK_LOOK_NAMES[look].toLowerCase()}.`,
      (looks) => change({ ids: looks.map(({ id }) => id), isDeleted: true }),
    );
  return (
    <section className={classes.box} aria-label="The whole car at a glance">
      <h2>How dirty is it, by eye?</h2>
      <div className={classes.choices} role="group" aria-label="The whole car looks">
        {QUICK_LOOKS.map((look) => (
          <button key={look} type="button" onClick={() => say(look)} disabled={quick.isPending}>
            {QUICK_LOOK_NAMES[look]}
          </button>
        ))}
      </div>
      <p className="muted">
        Grades film and grit of every zone, and replaces the estimate. Tap a zone below to correct it.
        {vehicle.paintTone === 'white' &&
          ' White paint hides film: look at it under a roof, with a light from the side.'}
      </p>
    </section>
  );
}
