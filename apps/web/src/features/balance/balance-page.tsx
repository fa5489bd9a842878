import { MS_PER_HOUR, type PlaceRecord, type VehicleRecord } from '@keen/core';
import { ActionIcon, Button, Group, Select } from '@mantine/core';
import { IconChevronLeft, IconChevronRight } from '@tabler/icons-react';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { useClock, usePlaces, useVehicles } from '../../api/queries.js';
import { useStop } from '../../api/change.js';
import { useBalance } from '../../api/verdict-queries.js';
import { useProgress } from '../../api/use-progress.js';
import { useFormat } from '../../format/use-format.js';
import { download } from '../../parts/download.js';
import { Page } from '../../parts/page.js';
import { Empty, Failed, Loading, NoVehicles, Stopped } from '../../parts/states.js';
import { VehiclePicker } from '../../parts/vehicle-picker.js';
import { optionsOf } from '../../words/names.js';
import { BalanceTable } from './balance-table.js';
import { balanceCsv, hourOptions, type Sort, SORTS, sortRows } from './balance-view.js';
import { Cadences } from './cadences.js';
import classes from './balance.module.css';

const WEEK_HOURS = 168;

/** Methods side by side for one vehicle and hour, and what cadences have cost and saved. */
export function BalancePage() {
  const { vehicleId: fromPath } = useParams();
  const navigate = useNavigate();
  const { data: vehicles } = useVehicles();
  const { data: places } = usePlaces();
  const { data: clock } = useClock();
  const vehicleId = fromPath ?? vehicles?.[0]?.id ?? '';
  const vehicle = vehicles?.find(({ id }) => id === vehicleId);
  return (
    <Page
      title="Balance"
      lead={vehicle ? `${vehicle.name}: every way to wash, side by side.` : undefined}
      actions={
        <VehiclePicker
          vehicles={vehicles}
          value={vehicleId}
          onChoose={(id) => void navigate({ pathname: `/balance/${id}`, search: location.search })}
        />
      }
    >
      {vehicles?.length === 0 && <NoVehicles>Add a vehicle first; its methods are weighed here.</NoVehicles>}
      {vehicle && places && clock && (
        <>
          <Hour vehicle={vehicle} places={places} nowMs={clock.nowMs} />
          <Cadences key={vehicle.id} vehicle={vehicle} places={places} />
        </>
      )}
    </Page>
  );
}

interface HourProps {
  readonly vehicle: VehicleRecord;
  readonly places: readonly PlaceRecord[];
  readonly nowMs: number;
}

function Hour({ vehicle, places, nowMs }: HourProps) {
  const format = useFormat();
  const [query, setQuery] = useSearchParams();
  const [sort, setSort] = useState<Sort>('verdict');
  const firstMs = Math.floor(nowMs / MS_PER_HOUR) * MS_PER_HOUR;
  const lastMs = firstMs + (WEEK_HOURS - 1) * MS_PER_HOUR;
  const wanted = Number(query.get('at'));
  const atMs = wanted >= firstMs && wanted <= lastMs ? wanted : nextTenOClock(firstMs, format.hourOfDay);
  const { data, error, isPending, fetchStatus, isFetching, refetch } = useBalance(vehicle.id, atMs);
  const progress = useProgress(isFetching);
  const stop = useStop(['verdicts', 'balance', vehicle.id]);
  const choose = (ms: number): void =>
    setQuery({ at: String(Math.min(lastMs, Math.max(firstMs, ms))) }, { replace: true });
  const rows = sortRows(data?.rows ?? [], sort);
  return (
    <section className={classes.box} data-waiting={isPending || undefined}>
      <Group justify="space-between" align="end" className="no-print">
        <Group gap={6} align="end">
          <ActionIcon
            variant="default"
            size={36}
            aria-label="An hour earlier"
            onClick={() => choose(atMs - MS_PER_HOUR)}
          >
            <IconChevronLeft size={18} />
          </ActionIcon>
          <Select
            label="Hour"
            searchable
            w={230}
            data={hourOptions(firstMs, WEEK_HOURS).map((ms) => ({
              value: String(ms),
              label: format.dayTime(ms),
            }))}
            value={String(atMs)}
            onChange={(value) => value && choose(Number(value))}
            allowDeselect={false}
          />
          <ActionIcon
            variant="default"
            size={36}
            aria-label="An hour later"
            onClick={() => choose(atMs + MS_PER_HOUR)}
          >
            <IconChevronRight size={18} />
          </ActionIcon>
        </Group>
        <Group gap={8} align="end">
          <Select
            label="Order"
            w={190}
            data={optionsOf(SORTS)}
            value={sort}
            onChange={(value) => value && setSort(value)}
            allowDeselect={false}
          />
          <Button
            variant="default"
            disabled={rows.length === 0}
            onClick={() =>
              download(`balance-${vehicle.id}.csv`, balanceCsv(rows, places, format), 'text/csv')
            }
          >
            Export
          </Button>
        </Group>
      </Group>
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && isPending && fetchStatus === 'fetching' && (
        <Loading what="Weighing every method" progress={progress} onStop={stop} />
      )}
      {!error && isPending && fetchStatus === 'idle' && <Stopped onGoOn={() => void refetch()} />}
      {data && rows.length === 0 && (
        <Empty title="Nothing to weigh">No place offers a method yet; add one under Places.</Empty>
      )}
      {data && rows.length > 0 && (
        <>
          <BalanceTable rows={rows} bodyClass={vehicle.bodyClass} places={places} format={format} />
          <p className="muted">
            Weather {data.source}, forecast of {format.dayTime(data.issuedMs)}. Shares taken off are judgement
            by step; salt and active hours are estimated by the ledger over the forecast; prices are the
            places' own, time is priced in Settings.
          </p>
        </>
      )}
    </section>
  );
}

/** The next ten in the morning: a fair hour to begin with. */
function nextTenOClock(firstMs: number, hourOfDay: (atMs: number) => number): number {
  return hourOptions(firstMs, 24).find((ms) => hourOfDay(ms) === 10) ?? firstMs;
}
