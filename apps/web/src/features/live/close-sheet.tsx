import { Textarea, TextInput } from '@mantine/core';
import {
  type PanelId,
  panelsOf,
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
import { BEHAVIOUR_NAMES, PANEL_NAMES, SEASON_JOB_NAMES, SPOTS_NAMES } from '../../words/names.js';
import {
  closeDeed,
  closeDraft,
  type CloseDraft,
  closeErrors,
  type CloseErrors,
  nextBehaviour,
} from './close-form.js';
import { TypedNumber } from '../../parts/typed-number.js';
import shared from './live.module.css';
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
  const panels = panelsOf(pack.vehicle.bodyClass);
  const left = moment.drift ? moment.drift.leftMinutes : 0;
  const toggleIce = (panel: PanelId): void =>
    set({
      icePanels: draft.icePanels.includes(panel)
        ? draft.icePanels.filter((one) => one !== panel)
        : [...draft.icePanels, panel],
    });
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
      <div className={shared.more}>
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
        <section>
          <h3 id="close-ice">Where water froze</h3>
          <div className={shared.choices} role="group" aria-labelledby="close-ice">
            {panels.map(({ id }) => (
              <button
                key={id}
                type="button"
                aria-pressed={draft.icePanels.includes(id)}
                onClick={() => toggleIce(id)}
              >
                {PANEL_NAMES[id]}
              </button>
            ))}
          </div>
        </section>
        <section>
          <h3 id="close-water">What water does now</h3>
          {pack.method.leavesBare && (
            <p>
              It was stripped and left bare, so flat is what was wanted: a panel that beads still carries the
              old protection.
            </p>
          )}
          <div className={shared.choices} role="group" aria-labelledby="close-water">
            {panels.map(({ id }) => (
              <button
                key={id}
                type="button"
                data-set={draft.behaviour[id] !== undefined || undefined}
                onClick={() => set({ behaviour: nextBehaviour(draft.behaviour, id) })}
              >
                {PANEL_NAMES[id]}:{' '}
                {draft.behaviour[id] ? BEHAVIOUR_NAMES[draft.behaviour[id]] : 'not looked at'}
              </button>
            ))}
          </div>
        </section>
        {wash.extras.length > 0 && (
          <section>
            <h3 id="close-extras">Season work that was done</h3>
            <div className={shared.choices} role="group" aria-labelledby="close-extras">
              {wash.extras.map((id) => (
                <button
                  key={id}
                  type="button"
                  aria-pressed={draft.extras.includes(id)}
                  onClick={() =>
                    set({
                      extras: draft.extras.includes(id)
                        ? draft.extras.filter((one) => one !== id)
                        : [...draft.extras, id],
                    })
                  }
                >
                  {SEASON_JOB_NAMES[id]}
                </button>
              ))}
            </div>
          </section>
        )}
        <section>
          <h3>Used</h3>
          <div className={classes.usedRow}>
            <TypedNumber
              label={`Paid, ${format.display.currency}`}
              size="lg"
              value={draft.paid}
              onChange={(paid) => set({ paid })}
              min={0}
              decimalScale={2}
              error={errors.paid}
            />
            <TypedNumber
              label="Folded towels"
              size="lg"
              value={draft.foldedTowels}
              onChange={(foldedTowels) => set({ foldedTowels })}
              min={0}
              error={errors.foldedTowels}
            />
            <TypedNumber
              label="Drying towels"
              size="lg"
              value={draft.dryingTowels}
              onChange={(dryingTowels) => set({ dryingTowels })}
              min={0}
              error={errors.dryingTowels}
            />
          </div>
        </section>
        <section>
          <TextInput
            label="What stayed dirty"
            size="lg"
            value={draft.leftovers}
            maxLength={500}
            onChange={(event) => set({ leftovers: event.currentTarget.value })}
          />
          <Textarea
            label="Note"
            size="lg"
            value={draft.note}
            maxLength={2000}
            autosize
            onChange={(event) => set({ note: event.currentTarget.value })}
          />
        </section>
      </div>
    </Dialog>
  );
}
