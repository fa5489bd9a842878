import {
  type RunDeed,
  type RunMoment,
  type RunPack,
  type RunState,
  SPOTS_FOUND,
  type WashRecord,
  workedSeconds,
} from '@keen/core';
import { useState } from 'react';
import { useFormat } from '../../format/use-format.js';
import { Dialog } from '../../parts/dialog.js';
import { useDraft } from '../../parts/drafts.js';
import { SPOTS_NAMES } from '../../words/car-names.js';
import { closeDeed, closeDraft, type CloseDraft, closeErrors, type CloseErrors } from './close-form.js';
import { ExtrasDone, PanelsFound, UsedFields } from './close-fields.js';
import shared from './live.module.css';
import body from './more-sheet.module.css';
import classes from './close-sheet.module.css';

interface CloseSheetProps {
  readonly pack: RunPack;
  readonly state: RunState;
  readonly moment: RunMoment;
  readonly wash: WashRecord;
  readonly act: (...deeds: readonly RunDeed[]) => void;
  readonly nowMs: number;
  readonly onClose: () => void;
}

/** A run that was much shorter than its sheet was perhaps closed by mistake, or begun late. */
const SHORT_FRACTION = 0.25;

function ShortRun({
  pack,
  state,
  nowMs,
}: {
  readonly pack: RunPack;
  readonly state: RunState;
  readonly nowMs: number;
}) {
  const format = useFormat();
  if (state.startedMs === null) return null;
  const minutes = workedSeconds(state, { fromMs: state.startedMs, toMs: null }, nowMs) / 60;
  if (minutes >= SHORT_FRACTION * pack.sheet.minutes) return null;
  return (
    <p className={shared.caution} role="alert">
      Begun {format.minutes(minutes)} ago; the sheet has {format.minutes(pack.sheet.minutes)}. Steps that were
      not tapped count as not done.
    </p>
  );
}

/** What was found and used; nothing has to be typed where all went well. */
export function CloseSheet({ pack, state, moment, wash, nowMs, act, onClose }: CloseSheetProps) {
  const format = useFormat();
  // What nobody touched follows the run: the meter may still be on.
  const {
    value: draft,
    set,
    forget,
  } = useDraft<CloseDraft>(
    `run-close-${pack.washId}`,
    closeDraft(pack, state, { moment, extras: wash.extras }),
  );
  const [errors, setErrors] = useState<CloseErrors>({});
  const left = moment.drift ? moment.drift.leftMinutes : 0;
  const save = (): void => {
    const faults = closeErrors(draft);
    setErrors(faults);
    if (Object.keys(faults).length > 0) return;
    act(closeDeed(draft));
    forget();
    onClose();
  };
  const closing = (
    <button type="button" className={shared.press} onClick={save}>
      Close the run
    </button>
  );
  return (
    <Dialog title="Close the run" onClose={onClose} closeLabel="Back to the run">
      <div className={body.more}>
        <ShortRun pack={pack} state={state} nowMs={nowMs} />
        {moment.next && (
          <p className={shared.caution}>
            Not all steps are done; what waits is logged as skipped ({format.minutes(left)} by the sheet).
          </p>
        )}
        <section>
          <h3 id="close-spots">Spots</h3>
          <div className={classes.three} role="group" aria-labelledby="close-spots">
            {SPOTS_FOUND.map((spots) => (
              <button
                key={spots}
                type="button"
                aria-pressed={draft.spots === spots}
                onClick={() => set({ spots })}
              >
                {SPOTS_NAMES[spots]}
              </button>
            ))}
          </div>
        </section>
        {closing}
        <PanelsFound draft={draft} set={set} pack={pack} />
        <ExtrasDone draft={draft} set={set} planned={wash.extras} />
        <UsedFields draft={draft} set={set} errors={errors} />
      </div>
    </Dialog>
  );
}
