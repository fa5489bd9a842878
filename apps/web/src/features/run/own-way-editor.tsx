import type { CellQuery, RunAnswer, Settings, Variant } from '@keen/core';
import { Button, Group, Select } from '@mantine/core';
import { useDebouncedValue, useStateHistory } from '@mantine/hooks';
import { useKit } from '../../api/kit-queries.js';
import { useSettings } from '../../api/queries.js';
import { useTrial } from '../../api/verdict-queries.js';
import { methodName } from '../../words/names.js';
import { RUN_STEP_NAMES } from '../../words/run-words.js';
import { NamedWays } from './named-ways.js';
import { OwnStepRow } from './own-step-row.js';
import { addable, AS_IT_SHIPS, movedBy, ownSteps, type OwnStep, variantFrom, withExtra } from './own-way.js';
import { useStageNames } from './use-stage-names.js';
import { stepErrors } from './own-way-errors.js';
import { withFix } from './own-way-fix.js';
import { TrialLine } from './trial-line.js';
import { type KeepOrder, messageOf, useKeepOrder } from './use-keep-order.js';
import classes from './own-way.module.css';
import shared from './run.module.css';

/** So long nothing is typed before the steps are worked through again. */
const STILL_MS = 250;

interface OwnWayEditorProps {
  readonly answer: Pick<RunAnswer, 'wash' | 'pack'>;
  /** What it takes is settled: only the washes after it can be changed. */
  readonly isBegun: boolean;
  readonly onClose: () => void;
}

const queryOf = ({ wash }: OwnWayEditorProps['answer']): CellQuery => ({
  vehicleId: wash.vehicleId,
  placeId: wash.placeId,
  methodId: wash.methodId,
  startMs: wash.startMs,
  extras: wash.extras,
  products: wash.predicted?.products,
  // A way that somebody chose is the one that is done.
  wayId: wash.predicted?.isOwnWay ? wash.predicted.wayId : undefined,
});

/** The steps of a method in the shop's own way: order, minutes, zones, water, dwell, bottles and strength, with the verdict beside them. */
export function OwnWayEditor({ answer, isBegun, onClose }: OwnWayEditorProps) {
  const { data: settings } = useSettings();
  if (!settings) return null;
  return <Editor answer={answer} isBegun={isBegun} onClose={onClose} settings={settings} />;
}

interface KeepButtonsProps {
  readonly keep: KeepOrder;
  /** As typed; null: something is wrong with it. */
  readonly variant: Variant | null;
  readonly isBegun: boolean;
}

/** For which washes the steps are kept. */
function KeepButtons({ keep, variant, isBegun }: KeepButtonsProps) {
  const { once, always, isSaving, keepAlways, keepOnce } = keep;
  return (
    <>
      <Button
        color="lamp.3"
        loading={isSaving}
        disabled={!variant}
        onClick={() => variant && keepAlways(variant, 'Kept for every wash by this method.')}
      >
        Keep for every wash
      </Button>
      {!isBegun && (
        <Button
          variant="default"
          disabled={!variant || isSaving}
          onClick={() => variant && keepOnce(variant, 'Kept for this wash only.')}
        >
          This wash only
        </Button>
      )}
      {once && !isBegun && (
        <Button variant="default" disabled={isSaving} onClick={() => keepOnce(null, 'As in every wash.')}>
          As in every wash
        </Button>
      )}
      {always && (
        <Button
          variant="default"
          disabled={isSaving}
          onClick={() => keepAlways(null, 'Back to the method as it ships.')}
        >
          As it ships
        </Button>
      )}
    </>
  );
}

type EditorProps = OwnWayEditorProps & { readonly settings: Settings };

function Editor({ answer, isBegun, onClose, settings }: EditorProps) {
  const { house, namedWays } = settings;
  const { methodId } = answer.wash;
  const car = answer.pack.vehicle;
  const names = useStageNames(answer.wash.placeId);
  const keep = useKeepOrder(answer, { isBegun, onClose });
  const [steps, { set: setSteps, back }, { current }] = useStateHistory<readonly OwnStep[]>(
    ownSteps(methodId, { house, chosen: keep.once ?? undefined }, car),
  );
  const { data: kit } = useKit();
  const isDriven =
    answer.pack.method.steps.some(({ isElsewhere }) => isElsewhere) || steps.some(({ own }) => own.stage);
  const stages = isDriven ? names : null;
  const errors = stepErrors(steps);
  const isSound = Object.keys(errors).length === 0;
  const variant = isSound ? variantFrom(steps) : null;
  const [still] = useDebouncedValue(variant ? JSON.stringify(variant) : null, STILL_MS);
  const query = queryOf(answer);
  const {
    data: tried,
    error,
    isPlaceholderData,
  } = useTrial(still === null ? null : { ...query, variant: JSON.parse(still) as Variant });
  const { data: shipped } = useTrial({ ...query, variant: AS_IT_SHIPS });
  const extras = addable(methodId, house, car);
  const change = (key: string, part: Partial<OwnStep>): void =>
    setSteps(steps.map((step) => (step.key === key ? { ...step, ...part } : step)));
  const leaveOut = ({ key, isExtra, isLeftOut }: OwnStep): void =>
    isExtra ? setSteps(steps.filter((step) => step.key !== key)) : change(key, { isLeftOut: !isLeftOut });
  return (
    <section className={`${shared.box} no-print`}>
      <h2 className={classes.title}>The steps of {methodName(methodId)}</h2>
      <TrialLine
        tried={tried}
        shipped={shipped}
        isStale={isPlaceholderData || !isSound}
        failure={isSound ? messageOf(error) : 'Correct the marked fields to see the verdict.'}
      />
      <p className="muted">
        Minutes and water are those of a saloon; other bodies take more or less by their surface (a house
        rule).
        {isBegun && ' This wash is under way and stays as it was started.'}
      </p>
      <ol className={classes.steps}>
        {steps.map((step, i) => (
          <OwnStepRow
            key={step.key}
            step={step}
            isFirst={i === 0}
            isLast={i === steps.length - 1}
            errors={errors[step.key] ?? {}}
            faults={step.isLeftOut ? [] : (tried?.faults.filter(({ key }) => key === step.key) ?? [])}
            bottles={kit?.products ?? []}
            stages={stages}
            onChange={(part) => change(step.key, part)}
            onMove={(by) => setSteps(movedBy(steps, step.key, by))}
            onLeaveOut={() => leaveOut(step)}
            onFix={(fix) => setSteps(withFix(steps, { key: step.key, fix }, extras))}
          />
        ))}
      </ol>
      <NamedWays
        methodId={methodId}
        named={namedWays}
        variant={variant}
        onBegin={(from) => setSteps(ownSteps(methodId, { house, chosen: from }, car))}
      />
      {keep.failure && (
        <p role="alert" className={classes.error}>
          {keep.failure}
        </p>
      )}
      <Group mt="md">
        <Select
          aria-label="Add a step"
          placeholder="Add a step"
          searchable
          data={extras.map(({ id }) => ({ value: id, label: RUN_STEP_NAMES[id] }))}
          value={null}
          onChange={(id) => {
            const extra = extras.find((step) => step.id === id);
            if (extra) setSteps(withExtra(steps, extra));
          }}
        />
        <Button variant="default" disabled={current === 0} onClick={() => back()}>
          Undo the last change
        </Button>
        <KeepButtons keep={keep} variant={variant} isBegun={isBegun} />
        <Button variant="default" onClick={onClose}>
          Cancel
        </Button>
      </Group>
    </section>
  );
}
