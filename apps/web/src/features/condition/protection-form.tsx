import { Button, Checkbox, Group, Select, TextInput } from '@mantine/core';
import { CLAIMED_LIFE_DAYS, type Protection, type ZoneProtection } from '@keen/core';
import { useState } from 'react';
import { ApiError } from '../../api/client.js';
import { fromLocalInput, toLocalInput } from '../../format/local-input.js';
import { useFormat } from '../../format/use-format.js';
import { NumberField } from '../../parts/number-field.js';
import { PROTECTION_NAMES, ZONE_NAMES } from '../../words/car-names.js';
import { optionsOf } from '../../words/names.js';
import { likeZones } from './condition-view.js';
import classes from './condition.module.css';

interface ProtectionFormProps {
  readonly row: ZoneProtection;
  readonly nowMs: number;
  readonly onKeep: (
    changed: readonly ZoneProtection[],
    said: string,
    onFault: (error: Error) => void,
  ) => void;
}

/** What was put on, when, and how long the maker says it lasts; on this zone or on all like it. */
export function ProtectionForm({ row, nowMs, onKeep }: ProtectionFormProps) {
  const format = useFormat();
  const dayOf = (atMs: number): string => toLocalInput(atMs, format.timeZone).slice(0, 10);
  const [kind, setKind] = useState<Protection>(row.kind);
  const [day, setDay] = useState(row.appliedMs === null ? '' : dayOf(row.appliedMs));
  const [productName, setProductName] = useState(row.productName ?? '');
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
      productName: kind === 'bare' ? null : productName.trim() || null,
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
          day: error instanceof ApiError ? error.message : 'Not saved; the server is not responding.',
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
        <TextInput
          label="Product"
          placeholder="As on its bottle"
          maxLength={80}
          value={productName}
          onChange={(event) => setProductName(event.currentTarget.value)}
        />
      )}
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
