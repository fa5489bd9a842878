import { Button, Checkbox } from '@mantine/core';
import type { PlannedSlot, ExplainedChange, PlaceRecord, PlanView, VehicleRecord } from '@keen/core';
import { useState } from 'react';
import type { Format } from '../../format/format.js';
import { seasonJobsText } from '../../words/car-names.js';
import { methodName, nameOf } from '../../words/names.js';
import { verdictText } from '../../words/verdict-words.js';
import classes from './plan.module.css';
import { OwnerOnly } from '../../parts/owner-only.js';
import { changesText } from './plan-view.js';

interface ProposalProps {
  readonly view: PlanView;
  readonly places: readonly PlaceRecord[];
  readonly vehicles: readonly VehicleRecord[];
  readonly format: Format;
  readonly onAccept: (changeIds: readonly string[]) => void;
  readonly isBusy: boolean;
  readonly isNarrow: boolean;
}

type Told = Pick<ProposalProps, 'places' | 'vehicles' | 'format'>;

function slotText(
  slot: Pick<PlannedSlot, 'placeId' | 'methodId' | 'startMs' | 'extras'>,
  { places, format }: Told,
): string {
  const extras = slot.extras.length > 0 ? `, with ${seasonJobsText(slot.extras)}` : '';
  return `${format.dayTime(slot.startMs)}, ${nameOf(places, slot.placeId)}, ${methodName(slot.methodId)}${extras}`;
}

/** Why: what rules out the old start, or that the new one is worth more. */
function whyText(change: ExplainedChange, { format, vehicles }: Told): string {
  const { against, heldUpBy } = change;
  if (change.kind === 'add') return '';
  if (heldUpBy !== null) return `The wash of the ${nameOf(vehicles, heldUpBy)} runs late.`;
  if (against && (against.verdict === 'no' || against.verdict === 'wait' || against.verdict === 'unknown'))
    return verdictText(against.verdict, against.limiting, format);
  return change.kind === 'move' ? 'The new start is worth more.' : 'Other cars need the hours more.';
}

function ChangeText({ change, told }: { readonly change: ExplainedChange; readonly told: Told }) {
  const vehicleId = change.kind === 'drop' ? change.before.vehicleId : change.after.vehicleId;
  const why = whyText(change, told);
  return (
    <>
      <strong>{nameOf(told.vehicles, vehicleId)}</strong>:{' '}
      {change.kind === 'add' && <>add {slotText(change.after, told)}</>}
      {change.kind === 'drop' && <>drop {slotText(change.before, told)}</>}
      {change.kind === 'move' && (
        <>
          move from {slotText(change.before, told)} to {slotText(change.after, told)}
        </>
      )}
      {why !== '' && <span className="muted"> · {why}</span>}
    </>
  );
}

/** More changes than these are unfolded on demand, so that the plan under them is not far off. */
const SHOWN = { wide: 8, narrow: 4 };

/** What the program would change in the plan; all of it or some of it can be accepted. */
export function Proposal({ view, places, vehicles, format, onAccept, isBusy, isNarrow }: ProposalProps) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [isUnfolded, setUnfolded] = useState(false);
  const { changes } = view;
  if (changes.length === 0) return null;
  const shown = isUnfolded ? changes : changes.slice(0, isNarrow ? SHOWN.narrow : SHOWN.wide);
  const taken = changes.filter(({ id }) => !left.has(id));
  const toggle = (id: string): void => {
    const next = new Set(left);
    if (!next.delete(id)) next.add(id);
    setLeft(next);
  };
  return (
    <section className={`${classes.proposal} no-print`} aria-label="Proposed changes">
      <header>
        <h2>Proposed: {changesText(changes)}</h2>
        <OwnerOnly>
          <Button
            color="lamp.3"
            disabled={taken.length === 0}
            loading={isBusy}
            onClick={() => onAccept(taken.map(({ id }) => id))}
          >
            {taken.length === changes.length ? 'Accept all' : `Accept ${taken.length}`}
          </Button>
        </OwnerOnly>
      </header>
      <ul>
        {shown.map((change) => (
          <li key={change.id}>
            <Checkbox
              checked={!left.has(change.id)}
              onChange={() => toggle(change.id)}
              label={<ChangeText change={change} told={{ places, vehicles, format }} />}
            />
          </li>
        ))}
      </ul>
      {shown.length < changes.length && (
        <Button
          variant="default"
          size={isNarrow ? 'md' : 'compact-sm'}
          fullWidth={isNarrow}
          mt="xs"
          onClick={() => setUnfolded(true)}
        >
          Show {changes.length - shown.length} more
        </Button>
      )}
    </section>
  );
}
