import { Button, Group, Select, TextInput } from '@mantine/core';
import { FASTEST_KMH, type RoadClass, type Drive, type VehicleRecord, MS_PER_HOUR } from '@keen/core';
import { useState } from 'react';
import { useAddDrive, useBringBack, useDrives, useImportTrack, useDelete } from '../../api/salt-queries.js';
import { fromLocalInput, toLocalInput } from '../../format/local-input.js';
import { useFormat } from '../../format/use-format.js';
import { useDraft } from '../../parts/drafts.js';
import { ImportFile } from '../../parts/import-file.js';
import { sayWithUndo } from '../../parts/notices.js';
import { NumberField } from '../../parts/number-field.js';
import { unitOf } from '../../format/shown-unit.js';
import { DeleteButton } from '../../parts/delete-button.js';
import { optionsOf, ROAD_NAMES } from '../../words/names.js';
import { faultsOf, NoteForm } from '../../parts/note-form.js';
import classes from './salt.module.css';

interface DrivesProps {
  readonly vehicle: VehicleRecord;
  readonly nowMs: number;
}

interface DriveDraft {
  readonly at: string;
  readonly roadClass: RoadClass;
  readonly km: number | null;
  readonly meanKmh: number | null;
}

const SHOWN = 8;

/** What is known of a car's drives; days without follow its weekly habit. */
export function Drives({ vehicle, nowMs }: DrivesProps) {
  const format = useFormat();
  const { data: drives = [] } = useDrives(vehicle.id);
  const { mutateAsync: remove } = useDelete('drives');
  const { mutateAsync: bringBack } = useBringBack('drives');
  const [all, setAll] = useState(false);
  const load = useImportTrack(vehicle.id);
  const newestFirst = [...drives].reverse();
  const forget = (id: string): void => {
    const path = `vehicles/${vehicle.id}/drives/${id}`;
    void sayWithUndo(remove(path), 'The drive is deleted.', () => bringBack(path));
  };
  const line = ({ hourMs, roadClass, km, meanKmh }: Drive): string =>
    `${format.dayTime(hourMs)}: ${format.km(km)}, ${ROAD_NAMES[roadClass].toLowerCase()}${meanKmh === null ? '' : `, ${format.wind(meanKmh / 3.6)} mean`}`;
  return (
    <section className={classes.box}>
      <h2>Drives</h2>
      <p className="muted">
        A day with drives here counts as driven; other days follow the habit:{' '}
        {format.km(vehicle.driving.mainRoadKm)} main road, {format.km(vehicle.driving.townKm)} town,{' '}
        {format.km(vehicle.driving.bridgeKm)} bridge on a usual day.
      </p>
      {drives.length === 0 && <p>None kept: all days follow the habit.</p>}
      <ul className={classes.list}>
        {newestFirst.slice(0, all ? undefined : SHOWN).map((drive) => (
          <li key={drive.id}>
            <span>
              {line(drive)}
              {drive.origin === 'track' && <span className="muted"> (track)</span>}
            </span>
            <DeleteButton
              what={`the drive of ${format.dayTime(drive.hourMs)}`}
              onClick={() => forget(drive.id)}
            />
          </li>
        ))}
      </ul>
      {drives.length > SHOWN && (
        <Button variant="subtle" size="compact-md" onClick={() => setAll(!all)}>
          {all ? 'Show fewer' : `Show all ${drives.length}`}
        </Button>
      )}
      <DriveForm vehicleId={vehicle.id} nowMs={nowMs} />
      <ImportFile
        label="Read a recorded way (GPX)"
        accept=".gpx,application/gpx+xml,text/xml"
        onSend={(body) => load.mutateAsync(body)}
        describe={line}
        hint="Points need times. Speeds follow from them; main road or town by speed."
      />
    </section>
  );
}

function DriveForm({ vehicleId, nowMs }: { readonly vehicleId: string; readonly nowMs: number }) {
  const format = useFormat();
  const add = useAddDrive(vehicleId);
  const {
    value: draft,
    set,
    forget,
  } = useDraft<DriveDraft>(`drive-${vehicleId}`, {
    at: toLocalInput(nowMs - MS_PER_HOUR, format.timeZone),
    roadClass: 'main',
    km: null,
    meanKmh: null,
  });
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const submit = (): void => {
    const hourMs = fromLocalInput(draft.at, format.timeZone);
    const { km, meanKmh, roadClass } = draft;
    const found: Record<string, string> = {};
    if (hourMs === null) found.hourMs = 'Give a date and a time.';
    if (km === null || km < 0 || km > FASTEST_KMH)
      found.km = `From 0 to ${format.km(FASTEST_KMH)} within an hour; split a longer way over its hours.`;
    if (meanKmh !== null && (meanKmh < 1 || meanKmh > FASTEST_KMH))
      found.meanKmh = `From ${format.wind(1 / 3.6)} to ${format.wind(FASTEST_KMH / 3.6)}.`;
    setErrors(found);
    if (hourMs === null || km === null || Object.keys(found).length > 0) return;
    add.mutate(
      { hourMs, roadClass, km, meanKmh },
      {
        onSuccess: forget,
        onError: (error) => setErrors(faultsOf(error, 'hourMs')),
      },
    );
  };
  return (
    <NoteForm submitLabel="Keep the drive" isSaving={add.isPending} onSubmit={submit}>
      <Group grow align="start">
        <TextInput
          type="datetime-local"
          label="In the hour of"
          value={draft.at}
          onChange={(event) => set({ at: event.currentTarget.value })}
          error={errors.hourMs}
        />
        <Select
          label="Road"
          data={optionsOf(ROAD_NAMES)}
          value={draft.roadClass}
          onChange={(roadClass) => roadClass && set({ roadClass })}
          allowDeselect={false}
        />
      </Group>
      <Group grow align="start">
        <NumberField
          label="Driven"
          {...unitOf('km', format.display)}
          value={draft.km}
          onChange={(km) => set({ km })}
          error={errors.km}
        />
        <NumberField
          label="Mean speed"
          {...unitOf('km/h', format.display)}
          hint="Empty: usual for the road"
          value={draft.meanKmh}
          onChange={(meanKmh) => set({ meanKmh })}
          decimals={0}
          error={errors.meanKmh}
        />
      </Group>
    </NoteForm>
  );
}
