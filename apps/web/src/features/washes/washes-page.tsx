import { MS_PER_HOUR, type PlaceRecord, type VehicleRecord, type WashRecord } from '@keen/core';
import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useClock, usePlaces, useRemove, useRestore, useSettings, useVehicles } from '../../api/queries.js';
import { useKit } from '../../api/kit-queries.js';
import { useReopenWash, useWashes } from '../../api/wash-queries.js';
import { useFormat } from '../../format/use-format.js';
import { toLocalInput } from '../../format/local-input.js';
import { download } from '../../parts/download.js';
import { noticeOfFailure, noticeWithUndo, sayWithUndo } from '../../parts/notices.js';
import { Page } from '../../parts/page.js';
import { Failed, Loading } from '../../parts/states.js';
import { WashList } from './wash-list.js';
import { OwnFigures } from './own-figures.js';
import { DoneForm } from './done-form.js';
import { draftFor, type WashDraft } from './wash-form.js';
import { DoneWashes, PlannedWashes } from './wash-lists.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import { type WashRow, washRows, washesCsv, type WashSort } from './washes-view.js';

const emptyDraft = (nowMs: number, timeZone: string): WashDraft => ({
  vehicleId: '',
  placeId: '',
  methodId: '',
  start: toLocalInput(nowMs - MS_PER_HOUR, timeZone),
  startMs: null,
  minutes: 30,
  cost: '',
  icePanels: [],
  extras: [],
  spots: 'none',
  leftovers: '',
  note: '',
});

const priceAt = (places: readonly PlaceRecord[], wash: WashRecord): number | null =>
  places.find(({ id }) => id === wash.placeId)?.methods.find(({ methodId }) => methodId === wash.methodId)
    ?.priceMinor ?? null;

interface ListActionsProps {
  readonly vehicles: readonly VehicleRecord[];
  readonly vehicleId: string | null;
  readonly onVehicle: (id: string | null) => void;
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly onExport: () => void;
}

/** Finding among the washes, and taking them out. */
function ListActions({ vehicles, vehicleId, onVehicle, text, onText, onExport }: ListActionsProps) {
  return (
    <>
      <Select
        label="Vehicle"
        placeholder="All"
        clearable
        clearButtonProps={{ 'aria-label': 'All vehicles' }}
        data={vehicles.map(({ id, name }) => ({ value: id, label: name }))}
        value={vehicleId}
        onChange={onVehicle}
        w={190}
      />
      <TextInput label="Find" value={text} onChange={(event) => onText(event.currentTarget.value)} w={160} />
      <Button variant="default" onClick={onExport}>
        Export CSV
      </Button>
      <Button variant="default" onClick={() => window.print()}>
        Print
      </Button>
    </>
  );
}

/** What is planned and what was done. */
export function WashesPage() {
  const format = useFormat();
  const washes = useWashes();
  const vehiclesRead = useVehicles();
  const placesRead = usePlaces();
  const vehicles = vehiclesRead.data ?? [];
  const places = placesRead.data ?? [];
  const { data: clock } = useClock();
  const [vehicleId, setVehicleId] = useState<string | null>(null);
  const [text, setText] = useState('');
  const [sort, setSort] = useState<WashSort>({ by: 'start', descending: true });
  const [open, setOpen] = useState<WashRecord | 'new' | null>(null);
  const [isReading, setReading] = useState(false);
  const reopen = useReopenWash();
  const remove = useRemove('washes');
  const restore = useRestore('washes');
  const nowMs = clock?.nowMs ?? 0;
  const rest = [useKit().isPending, useSettings().isPending, placesRead.isPending, vehiclesRead.isPending];

  // Shown together: what comes later would move what is being read.
  if (washes.isPending || rest.some((isPending) => isPending))
    return (
      <Page title="Washes">
        <Loading what="Fetching the log" />
      </Page>
    );
  if (washes.error)
    return (
      <Page title="Washes">
        <Failed error={washes.error} onRetry={() => void washes.refetch()} />
      </Page>
    );

  const rows = washRows(washes.data, { vehicles, places }, { vehicleId, text, sort });
  const planned = rows
    .filter(({ wash }) => wash.status === 'planned')
    .sort((a, b) => a.wash.startMs - b.wash.startMs);
  const done = rows.filter(({ wash }) => wash.status === 'done');
  const deleteOne = ({ wash, vehicle }: WashRow): void =>
    void sayWithUndo(remove.mutateAsync(wash.id), `Wash of ${vehicle} deleted.`, () =>
      restore.mutateAsync(wash.id),
    );
  const list = { sort, onSort: setSort, format, onDelete: deleteOne };
  const saved = (record: WashRecord): void => {
    setOpen(null);
    const undo = open === 'new' ? () => remove.mutateAsync(record.id) : () => reopen.mutateAsync(record.id);
    noticeWithUndo('Wash logged. The salt ledger has moved with it.', undo);
  };
  return (
    <Page
      title="Washes"
      lead={`${planned.length} planned, ${done.length} done${vehicleId || text ? ' (filtered)' : ''}.`}
      actions={
        <>
          <ListActions
            vehicles={vehicles}
            vehicleId={vehicleId}
            onVehicle={setVehicleId}
            text={text}
            onText={setText}
            onExport={() => download('washes.csv', washesCsv(rows, format), 'text/csv')}
          />
          <OwnerOnly>
            <Button variant="default" onClick={() => setReading(true)}>
              Read a list
            </Button>
            <Button color="lamp.3" onClick={() => setOpen('new')}>
              Log a wash
            </Button>
          </OwnerOnly>
        </>
      }
    >
      {isReading && <WashList onClose={() => setReading(false)} />}
      <OwnFigures washes={washes.data} />
      <PlannedWashes {...list} rows={planned} onDone={setOpen} />
      <DoneWashes
        {...list}
        rows={done}
        isFiltered={vehicleId !== null || text !== ''}
        onReopen={({ id }) => void reopen.mutateAsync(id).catch(noticeOfFailure)}
      />
      {open !== null && (
        <DoneForm
          wash={open === 'new' ? null : open}
          initial={
            open === 'new'
              ? emptyDraft(nowMs, format.timeZone)
              : draftFor(open, { nowMs, timeZone: format.timeZone, priceMinor: priceAt(places, open) })
          }
          vehicles={vehicles}
          places={places}
          around={{ nowMs, timeZone: format.timeZone, currency: format.display.currency }}
          onClose={() => setOpen(null)}
          onSaved={saved}
        />
      )}
    </Page>
  );
}
