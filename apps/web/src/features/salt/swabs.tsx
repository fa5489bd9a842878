import { Group, Select, TextInput } from '@mantine/core';
import { CAR_ZONE_IDS, type CarZone, swab } from '@keen/core';
import { useState } from 'react';
import { useAddSwab, useBringBack, useSwabs, useTakeAway } from '../../api/queries.js';
import type { SaltView, VehicleRecord } from '../../api/types.js';
import { fromLocalInput, toLocalInput } from '../../format/local-input.js';
import { useFormat } from '../../format/use-format.js';
import { useDraft } from '../../parts/drafts.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
import { NumberField } from '../../parts/number-field.js';
import { TakeAway } from '../../parts/take-away.js';
import { ZONE_NAMES } from '../../words/names.js';
import { faultsOf, NoteForm } from '../../parts/note-form.js';
import classes from './salt.module.css';

interface SwabsProps {
  readonly vehicle: VehicleRecord;
  readonly salt: SaltView;
  readonly nowMs: number;
}

interface SwabDraft {
  readonly at: string;
  readonly zone: CarZone;
  readonly delta: number | null;
  readonly volumeMl: number | null;
  readonly areaMm2: number | null;
}

/** Readings of the patch: each corrects its zone, and together they say how much this car picks up. */
export function Swabs({ vehicle, salt, nowMs }: SwabsProps) {
  const format = useFormat();
  const { data: swabs = [] } = useSwabs(vehicle.id);
  const { mutate: takeAway } = useTakeAway('swabs');
  const { mutate: bringBack } = useBringBack('swabs');
  const { pickUp } = salt;
  const forget = (id: string): void => {
    const path = `vehicles/${vehicle.id}/swabs/${id}`;
    takeAway(path, {
      onSuccess: () => noticeWithUndo('The reading is taken away.', () => bringBack(path)),
      onError: noticeOfFailure,
    });
  };
  return (
    <section className={classes.box}>
      <h2>Swabs</h2>
      <p>
        {pickUp.count === 0
          ? 'No readings yet: this car is taken to pick up what is usual.'
          : `This car picks up ${pickUp.factor.toFixed(2)} times the usual, from ${pickUp.count} ${pickUp.count === 1 ? 'reading' : 'readings'}; the usual counts as one more.`}
      </p>
      {swabs.length > 0 && (
        <div className={classes.scroll} tabIndex={0} role="region" aria-label="Readings">
          <table className={classes.table}>
            <thead>
              <tr>
                <th scope="col">Taken</th>
                <th scope="col">Zone</th>
                <th scope="col">Found, g/m²</th>
                <th scope="col">Expected, g/m²</th>
                <th scope="col">
                  <span className={classes.hidden}>Take away</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {[...swabs].reverse().map(({ id, atMs, zone, gramsPerM2 }) => {
                const check = pickUp.checks.find((entry) => entry.atMs === atMs && entry.zone === zone);
                return (
                  <tr key={id}>
                    <th scope="row">{format.dayShort(atMs)}</th>
                    <td>{ZONE_NAMES[zone]}</td>
                    <td className="figure">{gramsPerM2.toFixed(2)}</td>
                    <td className="figure">{check ? check.expectedGramsPerM2.toFixed(2) : 'not known'}</td>
                    <td>
                      <TakeAway what={`the reading of ${format.dayShort(atMs)}`} onClick={() => forget(id)} />
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
      <SwabForm vehicleId={vehicle.id} nowMs={nowMs} />
    </section>
  );
}

function SwabForm({ vehicleId, nowMs }: { readonly vehicleId: string; readonly nowMs: number }) {
  const format = useFormat();
  const add = useAddSwab(vehicleId);
  const {
    value: draft,
    set,
    forget,
  } = useDraft<SwabDraft>(`swab-${vehicleId}`, {
    at: toLocalInput(nowMs, format.timeZone),
    zone: 'lower-left',
    delta: null,
    volumeMl: 15,
    areaMm2: 1250,
  });
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const { delta, volumeMl, areaMm2 } = draft;
  const load =
    delta !== null && delta >= 0 && volumeMl !== null && volumeMl > 0 && areaMm2 !== null && areaMm2 > 0
      ? swab({ deltaMicroSiemensPerCm: delta, volumeMl, areaMm2 }).mgPerM2 / 1000
      : null;
  const submit = (): void => {
    const atMs = fromLocalInput(draft.at, format.timeZone);
    const found: Record<string, string> = {};
    if (atMs === null) found.atMs = 'Give a date and a time.';
    if (delta === null || delta < 0) found.deltaMicroSiemensPerCm = 'From 0 µS/cm.';
    if (volumeMl === null || volumeMl <= 0) found.volumeMl = 'Above 0 mL.';
    if (areaMm2 === null || areaMm2 <= 0) found.areaMm2 = 'Above 0 mm².';
    setErrors(found);
    if (
      atMs === null ||
      delta === null ||
      volumeMl === null ||
      areaMm2 === null ||
      Object.keys(found).length > 0
    )
      return;
    add.mutate(
      { atMs, zone: draft.zone, deltaMicroSiemensPerCm: delta, volumeMl, areaMm2 },
      {
        onSuccess: forget,
        onError: (error) => setErrors(faultsOf(error, 'atMs')),
      },
    );
  };
  return (
    <NoteForm
      submitLabel="Keep the reading"
      isSaving={add.isPending}
      onSubmit={submit}
      said={
        <span className="figure" aria-live="polite">
          {load === null ? '' : `${load.toFixed(2)} g/m²`}
        </span>
      }
    >
      <Group grow align="start">
        <TextInput
          type="datetime-local"
          label="Taken"
          value={draft.at}
          onChange={(event) => set({ at: event.currentTarget.value })}
          error={errors.atMs}
        />
        <Select
          label="Zone"
          data={CAR_ZONE_IDS.map((zone) => ({ value: zone, label: ZONE_NAMES[zone] }))}
          value={draft.zone}
          onChange={(zone) => zone && set({ zone })}
          allowDeselect={false}
        />
      </Group>
      <Group grow align="start">
        <NumberField
          label="Rise"
          unit="µS/cm"
          value={delta}
          onChange={(value) => set({ delta: value })}
          error={errors.deltaMicroSiemensPerCm}
        />
        <NumberField
          label="Water"
          unit="mL"
          value={volumeMl}
          onChange={(value) => set({ volumeMl: value })}
          error={errors.volumeMl}
        />
        <NumberField
          label="Patch"
          unit="mm²"
          value={areaMm2}
          onChange={(value) => set({ areaMm2: value })}
          error={errors.areaMm2}
        />
      </Group>
    </NoteForm>
  );
}
