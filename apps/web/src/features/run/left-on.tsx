import { Button } from '@mantine/core';
import { type LeftOn, type RunAnswer } from '@keen/core';
import { useSettings, useVehicles } from '../../api/queries.js';
import { AMOUNT_NAMES, LEFTOVER_NAMES, ZONE_NAMES } from '../../words/car-names.js';
import { STEP_NAMES } from '../../words/step-names.js';
import { addable, ownSteps, variantFrom } from './own-way.js';
import { withCleaner } from './own-way-cleaner.js';
import { useKeepOrder } from './use-keep-order.js';
import classes from './left-on.module.css';

/** More zones than this are counted, not listed. */
const MOST_NAMED = 4;

/** "some bugs on the front and glass (2.5 of 5, estimated)". */
function leftText({ leftover, grade, zones, origin }: LeftOn): string {
  const amount = AMOUNT_NAMES[Math.round(grade)] ?? '';
  const where =
    zones.length > MOST_NAMED
      ? `${zones.length} zones`
      : `the ${new Intl.ListFormat('en').format(zones.map((zone) => ZONE_NAMES[zone].toLowerCase()))}`;
  const isPlace = !['film', 'bugs', 'tar', 'iron', 'scale'].includes(leftover);
  const figure = `${grade.toFixed(1)} of 5, ${origin === 'measured' ? 'seen' : 'estimated'}`;
  return isPlace
    ? `${LEFTOVER_NAMES[leftover]} (${figure})`
    : `${amount} ${LEFTOVER_NAMES[leftover]} on ${where} (${figure})`;
}

interface LeftOnBoxProps {
  readonly answer: RunAnswer;
  readonly isBegun: boolean;
}

/** What is on this car and stays on it in this wash, and the step that would take it off. */
export function LeftOnBox({ answer, isBegun }: LeftOnBoxProps) {
  const { wash, pack } = answer;
  const { data: settings } = useSettings();
  const { data: vehicles } = useVehicles();
  const vehicle = vehicles?.find(({ id }) => id === wash.vehicleId);
  const { keepOnce, isSaving, failure } = useKeepOrder(answer, { isBegun, onClose: () => undefined });
  const left = pack.leftOn ?? [];
  if (left.length === 0) return null;
  const add = (step: NonNullable<LeftOn['step']>): void => {
    if (!settings || !vehicle) return;
    const steps = ownSteps(
      wash.methodId,
      { house: settings.house, chosen: wash.predicted?.variant },
      vehicle,
    );
    const extras = addable(wash.methodId, settings.house, vehicle);
    keepOnce(variantFrom(withCleaner(steps, step, extras)), `${STEP_NAMES[step.id]} added to this wash.`);
  };
  return (
    <section className={classes.left} aria-label="What this wash leaves on it">
      <p>
        <strong>This wash leaves on it:</strong> {left.map(leftText).join(' · ')}
      </p>
      {!isBegun && wash.status === 'planned' && (
        <div className={`${classes.adds} no-print`}>
          {left.flatMap(({ step }) =>
            step ? (
              <Button
                key={step.id}
                size="sm"
                variant="default"
                loading={isSaving}
                disabled={!settings || !vehicle}
                onClick={() => add(step)}
              >
                Add {STEP_NAMES[step.id]} to this wash
              </Button>
            ) : (
              []
            ),
          )}
        </div>
      )}
      {failure && <p role="alert">{failure}</p>}
    </section>
  );
}
