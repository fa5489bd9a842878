import type { Product, StageId, TrialFault } from '@keen/core';
import { ActionIcon, Button, TextInput } from '@mantine/core';
import { IconArrowDown, IconArrowUp } from '@tabler/icons-react';
import { useState } from 'react';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { TypedNumber } from '../../parts/typed-number.js';
import { faultText } from '../../words/mix-words.js';
import { RUN_STEP_NAMES } from '../../words/run-words.js';
import { fixText } from '../../words/trial-words.js';
import { OwnStepDetails } from './own-step-details.js';
import { hasOwnDetails, type OwnStep } from './own-way.js';
import type { StepErrors } from './own-way-errors.js';
import classes from './own-way.module.css';

interface OwnStepRowProps {
  readonly step: OwnStep;
  readonly isFirst: boolean;
  readonly isLast: boolean;
  readonly errors: StepErrors;
  readonly faults: readonly TrialFault[];
  readonly bottles: readonly Product[];
  /** The places by their names; null: it is done in one. */
  readonly stages: Readonly<Record<StageId, string>> | null;
  readonly onChange: (change: Partial<OwnStep>) => void;
  readonly onMove: (by: 1 | -1) => void;
  readonly onLeaveOut: () => void;
  readonly onFix: (fix: NonNullable<TrialFault['fix']>) => void;
}

function Faults({
  faults,
  onFix,
  format,
}: Pick<OwnStepRowProps, 'faults' | 'onFix'> & { readonly format: Format }) {
  return (
    <ul className={classes.faults}>
      {faults.map(({ fault, fix }, i) => (
        <li key={`${fault.kind} ${i}`}>
          <span>{faultText(fault, format)}</span>
          {fix && (
            <Button size="compact-sm" variant="default" onClick={() => onFix(fix)}>
              {fixText(fix)}
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}

/** One step in the editor: its place, minutes and note, its details on request, and what is wrong with it. */
export function OwnStepRow(props: OwnStepRowProps) {
  const { step, isFirst, isLast, errors, faults, bottles, stages, onChange, onMove, onLeaveOut, onFix } =
    props;
  const format = useFormat();
  const [isOpen, setOpen] = useState(false);
  const name = RUN_STEP_NAMES[step.id];
  const { minutes: ofMinutes, ...ofDetails } = errors;
  const showsDetails = !step.isLeftOut && (isOpen || Object.keys(ofDetails).length > 0);
  return (
    <li data-out={step.isLeftOut || undefined}>
      <div className={classes.row}>
        <ActionIcon
          variant="default"
          size="lg"
          aria-label={`${name} sooner`}
          disabled={isFirst}
          onClick={() => onMove(-1)}
        >
          <IconArrowUp size={18} />
        </ActionIcon>
        <ActionIcon
          variant="default"
          size="lg"
          aria-label={`${name} later`}
          disabled={isLast}
          onClick={() => onMove(1)}
        >
          <IconArrowDown size={18} />
        </ActionIcon>
        <strong>{name}</strong>
        <TypedNumber
          aria-label={`Minutes of ${name}`}
          suffix=" min"
          value={step.minutes}
          onChange={(minutes) => onChange({ minutes })}
          decimalScale={1}
          error={ofMinutes}
          disabled={step.isLeftOut}
          w={105}
        />
        <TextInput
          aria-label={`Note to ${name}`}
          placeholder="Note"
          value={step.note}
          maxLength={200}
          onChange={(event) => onChange({ note: event.currentTarget.value })}
          disabled={step.isLeftOut}
        />
        <Button
          size="compact-md"
          variant="default"
          aria-expanded={showsDetails}
          aria-label={`Details of ${name}`}
          disabled={step.isLeftOut}
          onClick={() => setOpen(!isOpen)}
        >
          {hasOwnDetails(step) ? 'Details, changed' : 'Details'}
        </Button>
        <Button
          size="compact-md"
          variant="default"
          aria-label={step.isLeftOut ? `Do ${name} again` : `Leave out ${name}`}
          onClick={onLeaveOut}
        >
          {step.isLeftOut ? 'Do it again' : 'Leave out'}
        </Button>
      </div>
      {showsDetails && (
        <OwnStepDetails
          step={step}
          errors={ofDetails}
          bottles={bottles}
          stages={stages}
          onChange={(change) => onChange({ own: { ...step.own, ...change } })}
        />
      )}
      {faults.length > 0 && <Faults faults={faults} onFix={onFix} format={format} />}
    </li>
  );
}
