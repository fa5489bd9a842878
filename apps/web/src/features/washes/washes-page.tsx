import { MS_PER_HOUR } from '@keen/core';
import type { PlaceRecord, WashRecord } from '@keen/core';
import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  useClock,
  usePlaces,
  useRemove,
  useReopenWash,
  useRestore,
  useVehicles,
  useWashes,
} from '../../api/queries.js';
import { useFormat } from '../../format/use-format.js';
import { toLocalInput } from '../../format/local-input.js';
import { download } from '../../parts/download.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
import { Page } from '../../parts/page.js';
import { Empty, Failed, Loading } from '../../parts/states.js';
import { OwnFigures } from './own-figures.js';
import { DoneForm } from './done-form.js';
import { draftFor, type WashDraft } from './wash-form.js';
import { RowAction, WashTable } from './wash-table.js';
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

/** What is planned and what was done. */
export function WashesPage() {
  const format = useFormat();
  const washes = useWashes();
  const { data: vehicles = [] } = useVehicles();
  const { data: places = [] } = usePlaces();
  const { data: clock } = useClock();
  const [vehicleId, setVehicleId] = useState<string | null>(null);
  const [text, setText] = useState('');
  const [sort, setSort] = useState<WashSort>({ by: 'start', descending: true });
  const [open, setOpen] = useState<WashRecord | 'new' | null>(null);
  const reopen = useReopenWash();
  const remove = useRemove('washes');
  const restore = useRestore('washes');
  const nowMs = clock?.nowMs ?? 0;

  if (washes.isPending)
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
  const takeAway = ({ wash, vehicle }: WashRow): void =>
    remove.mutate(wash.id, {
      onSuccess: () => noticeWithUndo(`Wash of ${vehicle} taken away.`, () => restore.mutate(wash.id)),
      onError: noticeOfFailure,
    });
  const saved = (record: WashRecord): void => {
    setOpen(null);
    const undo = open === 'new' ? () => remove.mutate(record.id) : () => reopen.mutate(record.id);
    noticeWithUndo('Wash logged. The salt ledger has moved with it.', undo);
  };
  return (
    <Page
      title="Washes"
      lead={`${planned.length} planned, ${done.length} done${vehicleId || text ? ' (filtered)' : ''}.`}
      actions={
        <>
          <Select
            label="Vehicle"
            placeholder="All"
            clearable
            clearButtonProps={{ 'aria-label': 'All vehicles' }}
            data={vehicles.map(({ id, name }) => ({ value: id, label: name }))}
            value={vehicleId}
            onChange={setVehicleId}
            w={190}
          />
          <TextInput
            label="Find"
            value={text}
            onChange={(event) => setText(event.currentTarget.value)}
            w={160}
          />
          <Button
            variant="default"
            onClick={() => download('washes.csv', washesCsv(rows, format), 'text/csv')}
          >
            Export CSV
          </Button>
          <Button variant="default" onClick={() => window.print()}>
            Print
          </Button>
          <Button color="lamp.3" onClick={() => setOpen('new')}>
            Log a wash
          </Button>
        </>
      }
    >
      <OwnFigures washes={washes.data} />
      <section>
        <h2>Planned</h2>
        {planned.length === 0 ? (
          <Empty title="Nothing planned">
            <span>
              Plan a wash from <Link to="/">this morning</Link> or from the <Link to="/windows">windows</Link>
              .
            </span>
          </Empty>
        ) : (
          <WashTable
            caption="Planned washes"
            rows={planned}
            sort={sort}
            onSort={setSort}
            format={format}
            acts={(row) => (
              <>
                <Button size="compact-md" variant="default" component={Link} to={`/run/${row.wash.id}`}>
                  Run sheet
                </Button>
                <RowAction isMain label="Mark done" onClick={() => setOpen(row.wash)} />
                <RowAction label="Take away" onClick={() => takeAway(row)} />
              </>
            )}
          />
        )}
      </section>
      <section>
        <h2>Done</h2>
        {done.length === 0 ? (
          <Empty title={vehicleId || text ? 'Nothing matches' : 'Nothing logged yet'}>
            Log a wash to start the record; the salt ledger counts from it.
          </Empty>
        ) : (
          <WashTable
            caption="Done washes"
            rows={done}
            sort={sort}
            onSort={setSort}
            format={format}
            acts={(row) => (
              <>
                {row.wash.found?.run ? (
                  <Button
                    size="compact-md"
                    variant="default"
                    component={Link}
                    to={`/run/${row.wash.id}/live`}
                  >
                    Open its run
                  </Button>
                ) : (
                  <RowAction
                    label="Open again"
                    onClick={() => reopen.mutate(row.wash.id, { onError: noticeOfFailure })}
                  />
                )}
                <RowAction label="Take away" onClick={() => takeAway(row)} />
              </>
            )}
          />
        )}
      </section>
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
