import {
  bottlesFor,
  goesByParts,
  type Product,
  SECTION_IDS,
  STAGE_IDS,
  type StageId,
  ZONE_GROUPS,
} from '@keen/core';
import { Chip, Group, Select } from '@mantine/core';
import { TypedNumber } from '../../parts/typed-number.js';
import { GROUP_NAMES, RUN_STEP_NAMES } from '../../words/run-words.js';
import { SECTION_NAMES } from '../../words/way-words.js';
import { litreScale } from '../../format/scales.js';
import { useFormat } from '../../format/use-format.js';
import { NumberField } from '../../parts/number-field.js';
import type { OwnDetails, OwnStep } from './own-way.js';
import type { StepErrors } from './own-way-errors.js';
import classes from './own-way.module.css';

interface OwnStepDetailsProps {
  readonly step: OwnStep;
  readonly errors: StepErrors;
  readonly bottles: readonly Product[];
  /** The places by their names; null: it is done in one. */
  readonly stages: Readonly<Record<StageId, string>> | null;
  readonly onChange: (change: Partial<OwnDetails>) => void;
}

const PROGRAM = 'program';
const BY_THE_WAY = 'way';

/** Zones, water, dwell, bottle and strength of one step. */
export function OwnStepDetails({ step, errors, bottles, stages, onChange }: OwnStepDetailsProps) {
  const { display } = useFormat();
  const { own } = step;
  const name = RUN_STEP_NAMES[step.id];
  const fitting = bottlesFor(step.id, bottles);
  return (
    <div className={classes.details} role="group" aria-label={`${name}: details`}>
      <Chip.Group multiple value={[...own.groups]} onChange={(groups) => onChange({ groups })}>
        <Group gap="xs">
          {ZONE_GROUPS.map((group) => (
            <Chip key={group} value={group} size="sm">
              {GROUP_NAMES[group]}
            </Chip>
          ))}
        </Group>
      </Chip.Group>
      {errors.groups && <p className={classes.error}>{errors.groups}</p>}
      <div className={classes.numbers}>
        <NumberField
          label="Water"
          unit={display.volume}
          scale={litreScale(display)}
          value={own.litres === '' ? null : Number(own.litres)}
          onChange={(litres) => onChange({ litres: litres ?? '' })}
          error={errors.litres}
        />
        <TypedNumber
          label="Dwell, at least"
          suffix=" min"
          value={own.dwellMin}
          onChange={(dwellMin) => onChange({ dwellMin })}
          decimalScale={1}
          error={errors.dwell}
        />
        <TypedNumber
          label="Dwell, at most"
          suffix=" min"
          value={own.dwellMax}
          onChange={(dwellMax) => onChange({ dwellMax })}
          decimalScale={1}
          error={errors.dwell !== undefined}
        />
        {goesByParts({ id: step.id, groups: own.groups }) && (
          <Select
            label="At a time"
            data={[
              { value: BY_THE_WAY, label: 'as usual' },
              ...SECTION_IDS.map((id) => ({ value: id, label: SECTION_NAMES[id] })),
            ]}
            value={own.section ?? BY_THE_WAY}
            onChange={(id) => onChange({ section: SECTION_IDS.find((one) => one === id) ?? null })}
            allowDeselect={false}
          />
        )}
        {stages && (
          <Select
            label="Done at"
            data={[
              { value: BY_THE_WAY, label: 'as usual' },
              { value: 'first', label: stages.first },
              { value: 'second', label: stages.second },
            ]}
            value={own.stage ?? BY_THE_WAY}
            onChange={(id) => onChange({ stage: STAGE_IDS.find((one) => one === id) ?? null })}
            allowDeselect={false}
          />
        )}
        {fitting.length > 0 && (
          <>
            <Select
              label="Bottle"
              data={[
                { value: PROGRAM, label: 'Picked automatically' },
                ...fitting.map((bottle) => ({ value: bottle.id, label: bottle.name })),
              ]}
              value={own.product ?? PROGRAM}
              onChange={(id) => onChange({ product: id === PROGRAM ? null : id })}
              allowDeselect={false}
            />
            <TypedNumber
              label="Strength: 1 to"
              placeholder="by the label"
              value={own.parts}
              onChange={(parts) => onChange({ parts })}
              decimalScale={1}
              error={errors.parts}
            />
          </>
        )}
      </div>
    </div>
  );
}
