import { Button, Group } from '@mantine/core';
import {
  type CarZone,
  type WaterBehaviour,
  type ZoneProtection,
  type ConditionView,
  type VehicleRecord,
} from '@keen/core';
import { useSaveVehicle } from '../../api/queries.js';
import { useFormat } from '../../format/use-format.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
import { BEHAVIOUR_NAMES, STANDING_NAMES, ZONE_NAMES } from '../../words/car-names.js';
import { optionsOf } from '../../words/names.js';
import { coatName } from '../../words/coat-words.js';
import { ClogTest } from './clog-test.js';
import { protectionRow, withRows } from './condition-view.js';
import classes from './condition.module.css';
import { ProtectionForm } from './protection-form.js';

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
    save
      .mutateAsync({ id: vehicle.id, protections: withRows(before, changed), was: { protections: before } })
      .then(
        () => noticeWithUndo(said, () => save.mutateAsync({ id: vehicle.id, protections: before })),
        onFault ?? noticeOfFailure,
      );
  };
  const noted = protectionRow(vehicle, zone);
  const row = rowNow(noted, condition);
  const see = (behaviour: WaterBehaviour): void =>
    keep(
      [{ ...noted, observed: { behaviour, atMs: nowMs } }],
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
        saltDays={condition.protections.find((one) => one.zone === zone)?.saltDays ?? 0}
        onFound={see}
      />
      <ProtectionForm key={`${zone} ${row.kind} ${row.appliedMs}`} row={row} nowMs={nowMs} onKeep={keep} />
    </section>
  );
}

/** What lies there after the washes since, as it would be kept. */
function rowNow(noted: ZoneProtection, { protections }: ConditionView): ZoneProtection {
  const now = protections.find(({ zone }) => zone === noted.zone);
  if (!now) return noted;
  const { kind, productName, appliedMs, claimedLifeDays, observed } = now;
  return { ...noted, kind, productName, appliedMs, claimedLifeDays, observed };
}

function State({ condition, zone }: Pick<ProtectionPanelProps, 'condition' | 'zone'>) {
  const format = useFormat();
  const state = condition.protections.find((entry) => entry.zone === zone);
  if (!state || state.standing === 'none') return <p className={classes.standing}>Bare.</p>;
  const left = state.leftFraction === null ? null : format.share(state.leftFraction);
  return (
    <>
      <p className={classes.standing}>
        {coatName(state)}: {STANDING_NAMES[state.standing]}
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
