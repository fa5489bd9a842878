import { Textarea, TextInput } from '@mantine/core';
import { type PanelId, panelsOf, type RunPack, type SeasonJobId } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { TypedNumber } from '../../parts/typed-number.js';
import { BEHAVIOUR_NAMES, PANEL_NAMES, SEASON_JOB_NAMES } from '../../words/car-names.js';
import { type CloseDraft, type CloseErrors, nextBehaviour } from './close-form.js';
import shared from './live.module.css';
import classes from './close-sheet.module.css';

interface CloseFieldsProps {
  readonly draft: CloseDraft;
  readonly set: (change: Partial<CloseDraft>) => void;
}

/** Puts it among the others, or takes it out again. */
const toggled = <T,>(list: readonly T[], one: T): T[] =>
  list.includes(one) ? list.filter((other) => other !== one) : [...list, one];

/** On which panels water froze, and what it does on each now. */
export function PanelsFound({ draft, set, pack }: CloseFieldsProps & { readonly pack: RunPack }) {
  const panels = panelsOf(pack.vehicle.bodyClass);
  const toggleIce = (panel: PanelId): void => set({ icePanels: toggled(draft.icePanels, panel) });
  return (
    <>
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
    </>
  );
}

/** Which of the season's work that was planned was done. */
export function ExtrasDone({
  draft,
  set,
  planned,
}: CloseFieldsProps & { readonly planned: readonly SeasonJobId[] }) {
  if (planned.length === 0) return null;
  return (
    <section>
      <h3 id="close-extras">Season work that was done</h3>
      <div className={shared.choices} role="group" aria-labelledby="close-extras">
        {planned.map((id) => (
          <button
            key={id}
            type="button"
            aria-pressed={draft.extras.includes(id)}
            onClick={() => set({ extras: toggled(draft.extras, id) })}
          >
            {SEASON_JOB_NAMES[id]}
          </button>
        ))}
      </div>
    </section>
  );
}

/** What it cost, the towels, and what there is to say. */
export function UsedFields({ draft, set, errors }: CloseFieldsProps & { readonly errors: CloseErrors }) {
  const format = useFormat();
  return (
    <>
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
    </>
  );
}
