import { Button, Checkbox, Group, Select, TextInput } from '@mantine/core';
import {
  type CarZone,
  CLAIMED_LIFE_DAYS,
  type Protection,
  type WaterBehaviour,
  type ZoneProtection,
  type ConditionView,
  type VehicleRecord,
} from '@keen/core';
import { useState } from 'react';
import { useSaveVehicle } from '../../api/queries.js';
import { ApiError } from '../../api/client.js';
import { fromLocalInput, toLocalInput } from '../../format/local-input.js';
import { useFormat } from '../../format/use-format.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
import { NumberField } from '../../parts/number-field.js';
import {
  BEHAVIOUR_NAMES,
  optionsOf,
  PROTECTION_NAMES,
  STANDING_NAMES,
  ZONE_NAMES,
} from '../../words/names.js';
import { ClogTest } from './clog-test.js';
import { likeZones, protectionRow, withRows } from './condition-view.js';
import classes from './condition.module.css';

interface ProtectionPanelProps {
  readonly vehicle: VehicleRecord;
  readonly condition: ConditionView;
  readonly zone: CarZone;
  readonly nowMs: number;
}

/** What lies on the chosen zone, what is left of it, what was seen, and the test whether it is clogged or gone. */
export function ProtectionPanel({ vehicle, condition, zone, nowMs }: ProtectionPanelProps) {
  const save = useSaveVehicle();
  const keep = (changed: readonly ZoneProtection[], said: string, onFault?: (error: Error) => void): void => {
    const before = vehicle.protections;
    save.mutate(
      { id: vehicle.id, protections: withRows(before, changed), was: { protections: before } },
      {
        onSuccess: () => noticeWithUndo(said, () => save.mutate({ id: vehicle.id, protections: before })),
        onError: onFault ?? noticeOfFailure,
      },
    );
  };
  const row = protectionRow(vehicle, zone);
  const see = (behaviour: WaterBehaviour): void =>
    keep(
      [{ ...row, observed: { behaviour, atMs: nowMs } }],
      `${ZONE_NAMES[zone]}: water ${BEHAVIOUR_NAMES[behaviour].toLowerCase()}.`,
    );
  return (
    <section className={classes.box} aria-label={`Protection of ${ZONE_NAMES[zone].toLowerCase()}`}>
      <h2>{ZONE_NAMES[zone]}</h2>
      <State condition={condition} zone={zone} />
      <div>
        <span className={classes.label} id="water-seen">
          Water, as you see it now
        </span>
        <Group gap={6} role="group" aria-labelledby="water-seen">
          {optionsOf(BEHAVIOUR_NAMES).map(({ value, label }) => (
            <Button
              key={value}
              variant={row.observed?.behaviour === value ? 'filled' : 'default'}
              aria-pressed={row.observed?.behaviour === value}
              onClick={() => see(value)}
              loading={save.isPending}
            >
              {label}
            </Button>
          ))}
        </Group>
      </div>
      <ClogTest
        key={`test-${zone}`}
        before={row.observed?.behaviour ?? vehicle.waterBehaviour}
        onFound={see}
      />
      <RowForm key={`${zone} ${row.kind} ${row.appliedMs}`} row={row} nowMs={nowMs} onKeep={keep} />
    </section>
  );
}

function State({ condition, zone }: Pick<ProtectionPanelProps, 'condition' | 'zone'>) {
  const format = useFormat();
  const state = condition.protections.find((entry) => entry.zone === zone);
  if (!state || state.standing === 'none') return <p className={classes.standing}>Bare.</p>;
  const left = state.leftFraction === null ? null : format.share(state.leftFraction);
  return (
    <>
      <p className={classes.standing}>
        {PROTECTION_NAMES[state.kind]}: {STANDING_NAMES[state.standing]}
        {state.observed ? ' (seen)' : left === null ? '' : ' (estimated)'}
      </p>
      <dl className={classes.facts}>
        <div>
          <dt>Left by the sums</dt>
          <dd className="figure">{left ?? 'not known'}</dd>
        </div>
        <div>
          <dt>Age of life</dt>
          <dd className="figure">
            {state.ageDays === null ? 'no date' : `${state.ageDays.toFixed(0)} of ${state.lifeDays} days`}
          </dd>
        </div>
        <div>
          <dt>Washes beyond its pH</dt>
          <dd className="figure">{state.strongWashes}</dd>
        </div>
        <div>
          <dt>Days under salt</dt>
          <dd className="figure">{state.saltDays}</dd>
        </div>
      </dl>
    </>
  );
}

interface RowFormProps {
  readonly row: ZoneProtection;
  readonly nowMs: number;
  readonly onKeep: (
    changed: readonly ZoneProtection[],
    said: string,
    onFault: (error: Error) => void,
  ) => void;
}

/** What was put on, when, and how long the maker says it lasts; on this zone or on all like it. */
function RowForm({ row, nowMs, onKeep }: RowFormProps) {
  const format = useFormat();
  const dayOf = (atMs: number): string => toLocalInput(atMs, format.timeZone).slice(0, 10);
  const [kind, setKind] = useState<Protection>(row.kind);
  const [day, setDay] = useState(row.appliedMs === null ? '' : dayOf(row.appliedMs));
  const [lifeDays, setLifeDays] = useState<number | null>(row.claimedLifeDays);
  const [onAll, setOnAll] = useState(false);
  const [faults, setFaults] = useState<{ day?: string; life?: string }>({});
  const zones = likeZones(row.zone);
  const submit = (): void => {
    const isSameDay = row.appliedMs !== null && day === dayOf(row.appliedMs);
    const appliedMs = isSameDay
      ? row.appliedMs
      : day === ''
        ? null
        : fromLocalInput(`${day}T12:00`, format.timeZone);
    const found = {
      day:
        appliedMs !== null && appliedMs > nowMs && day > dayOf(nowMs)
          ? 'That day is still to come; a protection is kept once it is on.'
          : undefined,
      life: lifeDays !== null && (lifeDays < 1 || lifeDays > 7300) ? 'From 1 to 7300 days.' : undefined,
    };
    setFaults(found);
    if (found.day || found.life) return;
    const changed = (onAll ? zones : [row.zone]).map((zone) => ({
      zone,
      kind,
      appliedMs: appliedMs === null ? null : Math.min(appliedMs, nowMs),
      claimedLifeDays: kind === 'bare' ? null : lifeDays,
      // A new coat has not been looked at yet.
      observed: appliedMs === row.appliedMs && kind === row.kind ? row.observed : null,
    }));
    onKeep(
      changed,
      `${PROTECTION_NAMES[kind]} kept on ${onAll ? `${zones.length} zones` : ZONE_NAMES[row.zone].toLowerCase()}.`,
      (error) =>
        setFaults({
          day: error instanceof ApiError ? error.message : 'Not saved; the program does not answer.',
        }),
    );
  };
  return (
    <form
      className={classes.form}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <Select
        label="Put on"
        data={optionsOf(PROTECTION_NAMES)}
        value={kind}
        onChange={(value) => value && setKind(value)}
        allowDeselect={false}
      />
      {kind !== 'bare' && (
        <Group grow align="start">
          <TextInput
            type="date"
            label="On"
            max={dayOf(nowMs)}
            value={day}
            onChange={(event) => setDay(event.currentTarget.value)}
            error={faults.day}
          />
          <NumberField
            label="Claimed life"
            unit="days"
            hint={`Empty: ${CLAIMED_LIFE_DAYS[kind]}, the most that makers claim`}
            value={lifeDays}
            onChange={setLifeDays}
            decimals={0}
            min={1}
            error={faults.life}
          />
        </Group>
      )}
      <Group justify="space-between">
        <Checkbox
          label={`On all ${zones.length} zones like it`}
          checked={onAll}
          onChange={(event) => setOnAll(event.currentTarget.checked)}
        />
        <Button type="submit" color="lamp.3">
          Keep
        </Button>
      </Group>
    </form>
  );
}
