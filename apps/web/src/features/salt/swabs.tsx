import { Group, Select, TextInput } from '@mantine/core';
import { CAR_ZONE_IDS, type SaltAnswer, type VehicleRecord } from '@keen/core';
import { useState } from 'react';
import { useAddSwab, useBringBack, useSwabs, useDelete } from '../../api/salt-queries.js';
import { fromLocalInput, toLocalInput } from '../../format/local-input.js';
import { useFormat } from '../../format/use-format.js';
import { useDraft } from '../../parts/drafts.js';
import { sayWithUndo } from '../../parts/notices.js';
import { NumberField } from '../../parts/number-field.js';
import { DeleteButton } from '../../parts/delete-button.js';
import { ZONE_NAMES } from '../../words/car-names.js';
import { readSwab, type SwabDraft } from './swab-form.js';
import { faultsOf, NoteForm } from '../../parts/note-form.js';
import classes from './salt.module.css';

interface SwabsProps {
  readonly vehicle: VehicleRecord;
  readonly salt: SaltAnswer;
  readonly nowMs: number;
}

/** Readings of the patch: each corrects its zone, and together they say how much this car picks up. */
export function Swabs({ vehicle, salt, nowMs }: SwabsProps) {
  const format = useFormat();
  const { data: swabs = [] } = useSwabs(vehicle.id);
  const { mutateAsync: remove } = useDelete('swabs');
  const { mutateAsync: bringBack } = useBringBack('swabs');
  const { pickUp } = salt;
  const forget = (id: string): void => {
    const path = `vehicles/${vehicle.id}/swabs/${id}`;
    void sayWithUndo(remove(path), 'The reading is deleted.', () => bringBack(path));
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
                  <span className={classes.hidden}>Delete</span>
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
                      <DeleteButton
                        what={`the reading of ${format.dayShort(atMs)}`}
                        onClick={() => forget(id)}
                      />
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
  const reading = readSwab(draft);
  // A figure that cannot be is said as it is typed; what is missing only once it is to be kept.
  const impossible = delta !== null && volumeMl !== null && areaMm2 !== null && reading.kind === 'faulty';
  const shown: Readonly<Record<string, string>> = impossible ? reading.errors : errors;
  const submit = (): void => {
    const atMs = fromLocalInput(draft.at, format.timeZone);
    setErrors({
      ...(reading.kind === 'faulty' ? reading.errors : {}),
      ...(atMs === null ? { atMs: 'Give a date and a time.' } : {}),
    });
    if (atMs === null || reading.kind === 'faulty') return;
    add.mutate(
      { atMs, zone: draft.zone, ...reading.input },
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
          {reading.kind === 'found' ? `${reading.gramsPerM2.toFixed(2)} g/m²` : ''}
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
          error={shown.deltaMicroSiemensPerCm}
        />
        <NumberField
          label="Water"
          unit="mL"
          value={volumeMl}
          onChange={(value) => set({ volumeMl: value })}
          error={shown.volumeMl}
        />
        <NumberField
          label="Patch"
          unit="mm²"
          value={areaMm2}
          onChange={(value) => set({ areaMm2: value })}
          error={shown.areaMm2}
        />
      </Group>
    </NoteForm>
  );
}
