import { ActionIcon, Button, Group, Select, TextInput } from '@mantine/core';
import type { HouseRules, Variant, WashedCar } from '@keen/core';
import { IconArrowDown, IconArrowUp } from '@tabler/icons-react';
import { useState } from 'react';
import { ApiError } from '../../api/client.js';
import { useSaveSettings } from '../../api/queries.js';
import { noticeWithUndo } from '../../parts/notices.js';
import { methodName } from '../../words/names.js';
import { RUN_STEP_NAMES } from '../../words/run-words.js';
import { addable, minuteErrors, movedBy, ownSteps, type OwnStep, variantFrom, withExtra } from './own-way.js';
import { TypedNumber } from '../../parts/typed-number.js';
import classes from './run.module.css';

interface OwnWayEditorProps {
  readonly methodId: string;
  readonly house: HouseRules;
  readonly car: WashedCar;
  readonly onClose: () => void;
}

/** The shop's own order, minutes and notes of a method; kept for all its washes. */
export function OwnWayEditor({ methodId, house, car, onClose }: OwnWayEditorProps) {
  const [steps, setSteps] = useState<readonly OwnStep[]>(() => ownSteps(methodId, house, car));
  const [failure, setFailure] = useState<string | null>(null);
  const save = useSaveSettings();
  const errors = minuteErrors(steps);
  const extras = addable(methodId, house, car);
  const before = house.variants?.[methodId] ?? null;
  const change = (key: string, part: Partial<OwnStep>): void =>
    setSteps(steps.map((step) => (step.key === key ? { ...step, ...part } : step)));
  const keep = (variant: Variant | null, message: string): void =>
    save.mutate(
      { house: { variants: { [methodId]: variant } } },
      {
        onSuccess: () => {
          noticeWithUndo(message, () => save.mutate({ house: { variants: { [methodId]: before } } }));
          onClose();
        },
        onError: (error) =>
          setFailure(
            error instanceof ApiError
              ? error.message
              : 'The program does not answer. Your order is kept here; try again.',
          ),
      },
    );
  return (
    <section className={`${classes.box} no-print`}>
      <h2>The shop’s own way: {methodName(methodId)}</h2>
      <p className="muted">
        For all washes by this method; verdicts, plans and sums follow its minutes. Minutes are those of a
        saloon; other bodies take more or less by their surface (a house rule). A run that is under way stays
        as it was begun.
      </p>
      <ol className={classes.ownSteps}>
        {steps.map((step, i) => {
          const name = RUN_STEP_NAMES[step.id];
          return (
            <li key={step.key} data-out={step.isLeftOut || undefined}>
              <ActionIcon
                variant="default"
                size="lg"
                aria-label={`${name} sooner`}
                disabled={i === 0}
                onClick={() => setSteps(movedBy(steps, step.key, -1))}
              >
                <IconArrowUp size={18} />
              </ActionIcon>
              <ActionIcon
                variant="default"
                size="lg"
                aria-label={`${name} later`}
                disabled={i === steps.length - 1}
                onClick={() => setSteps(movedBy(steps, step.key, 1))}
              >
                <IconArrowDown size={18} />
              </ActionIcon>
              <strong>{name}</strong>
              <TypedNumber
                aria-label={`Minutes of ${name}`}
                suffix=" min"
                value={step.minutes}
                onChange={(minutes) => change(step.key, { minutes })}
                decimalScale={1}
                error={errors[step.key]}
                disabled={step.isLeftOut}
                w={105}
              />
              <TextInput
                aria-label={`Note to ${name}`}
                placeholder="Note"
                value={step.note}
                maxLength={200}
                onChange={(event) => change(step.key, { note: event.currentTarget.value })}
                disabled={step.isLeftOut}
              />
              <Button
                size="compact-md"
                variant="default"
                aria-label={step.isLeftOut ? `Do ${name} again` : `Leave out ${name}`}
                onClick={() =>
                  step.isExtra
                    ? setSteps(steps.filter(({ key }) => key !== step.key))
                    : change(step.key, { isLeftOut: !step.isLeftOut })
                }
              >
                {step.isLeftOut ? 'Do it again' : 'Leave out'}
              </Button>
            </li>
          );
        })}
      </ol>
      {failure && (
        <p role="alert" className={classes.warn}>
          {failure}
        </p>
      )}
      <Group>
        <Select
          aria-label="Add a step"
          placeholder="Add a step"
          data={extras.map(({ id }) => ({ value: id, label: RUN_STEP_NAMES[id] }))}
          value={null}
          onChange={(id) => {
            const extra = extras.find((step) => step.id === id);
            if (extra) setSteps(withExtra(steps, extra));
          }}
        />
        <Button
          color="lamp.3"
          loading={save.isPending}
          disabled={Object.keys(errors).length > 0}
          onClick={() => keep(variantFrom(steps), 'The shop’s own way is kept.')}
        >
          Keep it
        </Button>
        {before && (
          <Button variant="default" onClick={() => keep(null, 'Back to the method as it ships.')}>
            As it ships
          </Button>
        )}
        <Button variant="default" onClick={onClose}>
          Cancel
        </Button>
      </Group>
    </section>
  );
}
