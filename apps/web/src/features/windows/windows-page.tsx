import { SegmentedControl } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import {
  type ForecastHour,
  type PlaceRecord,
  type VehicleRecord,
  type WindowsView,
  type NearWay,
  MS_PER_MINUTE,
} from '@keen/core';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useClock, usePlaces, useRemove, useVehicles, useWeather } from '../../api/queries.js';
import { usePlanWash } from '../../api/wash-queries.js';
import { useStop } from '../../api/change.js';
import { useWindows } from '../../api/verdict-queries.js';
import { useProgress } from '../../api/use-progress.js';
import { useFormat } from '../../format/use-format.js';
import { sayWithUndo } from '../../parts/notices.js';
import { Page } from '../../parts/page.js';
import { Empty, Failed, Loading, NoVehicles, Stopped } from '../../parts/states.js';
import { VehiclePicker } from '../../parts/vehicle-picker.js';
import { Refused } from './refused.js';
import { Reasons } from './reasons.js';
import { firstChoice, type Point, pointOf, startAt } from './chosen-start.js';
import { CELL_WIDTHS, openBands, type Zoom } from './ribbon-view.js';
import { Ribbon } from './ribbon.js';
import { everGoes, weekText } from './week-view.js';
import classes from './ribbon.module.css';
import { FoldButton, Legend } from './below-ribbon.js';

/** When, where and how for one vehicle over the week. */
export function WindowsPage() {
  const { vehicleId: fromPath } = useParams();
  const navigate = useNavigate();
  const { data: vehicles } = useVehicles();
  const vehicleId = fromPath ?? vehicles?.[0]?.id ?? '';
  const { data: view, error, isPending, fetchStatus, refetch } = useWindows(vehicleId);
  const stop = useStop(['verdicts', 'windows', vehicleId]);
  const isStopped = isPending && fetchStatus === 'idle' && vehicleId !== '';
  const { data: places } = usePlaces();
  const { data: weather } = useWeather();
  const { data: clock } = useClock();
  const progress = useProgress(isPending);
  const vehicle = vehicles?.find(({ id }) => id === vehicleId);
  const ready = view && places && weather && clock;
  return (
    <Page
      title="Windows"
      lead={vehicle ? `${vehicle.name}: when, where and how, hour by hour.` : undefined}
      actions={
        <VehiclePicker
          vehicles={vehicles}
          value={vehicleId}
          onChoose={(id) => void navigate(`/windows/${id}`)}
        />
      }
    >
      {vehicles?.length === 0 && <NoVehicles>Add a vehicle first; its windows are shown here.</NoVehicles>}
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && !ready && !isStopped && vehicleId !== '' && (
        <Loading what="Working out the week" progress={progress} onStop={stop} />
      )}
      {!error && isStopped && <Stopped onGoOn={() => void refetch()} />}
      {ready && vehicle && (
        <Week
          key={vehicleId}
          view={view}
          vehicle={vehicle}
          places={places}
          hours={weather.ahead}
          nowMs={clock.nowMs}
        />
      )}
    </Page>
  );
}

interface WeekProps {
  readonly view: WindowsView;
  readonly vehicle: VehicleRecord;
  readonly places: readonly PlaceRecord[];
  readonly hours: readonly ForecastHour[];
  readonly nowMs: number;
}

function Week({ view, vehicle, places, hours, nowMs }: WeekProps) {
  const format = useFormat();
  const open = useMemo(() => openBands(view), [view]);
  const [isAllShown, setAllShown] = useState(() => !open.some(everGoes));
  const bands = useMemo(() => (isAllShown ? open : open.filter(everGoes)), [open, isAllShown]);
  const [start, setStart] = useState(() => startAt(bands, firstChoice(bands, nowMs)));
  const chosen = pointOf(bands, start);
  const choose = (point: Point): void => setStart(startAt(bands, point));
  const isPhone = useMediaQuery('(max-width: 48em)', false, { getInitialValueInEffect: false });
  const [zoom, setZoom] = useState<Zoom>(isPhone ? 'days' : 'week');
  const plan = usePlanWash();
  const { mutateAsync: unplan } = useRemove('washes');
  const band = bands[chosen.bandIndex];
  const cell = band?.cells[chosen.hourIndex];
  const shown = hours.filter(({ atMs }) => atMs >= view.fromMs).slice(0, view.hourCount);
  if (!band || !cell)
    return <Empty title="No place can wash this vehicle">Add a place, or a method to a place.</Empty>;

  const show = ({ placeId, methodId, startMs }: NearWay): void => {
    // What never goes may be folded away.
    setAllShown(true);
    setStart({ placeId, methodId, startMs });
  };
  const planCell = (): void => {
    const { placeId, methodId } = band;
    const startMs = Math.max(cell.startMs + cell.delayMinutes * MS_PER_MINUTE, nowMs);
    void sayWithUndo(
      plan.mutateAsync({ vehicleId: vehicle.id, placeId, methodId, startMs }),
      (wash) => `${vehicle.name} planned for ${format.dayTime(wash.startMs)}.`,
      (wash) => unplan(wash.id),
    );
  };
  return (
    <>
      <p className={classes.summary}>{weekText(open, { nowMs, places, format })}</p>
      <div>
        <Ribbon
          view={view}
          bands={bands}
          hours={shown}
          places={places}
          cellWidth={CELL_WIDTHS[zoom]}
          chosen={chosen}
          onChoose={choose}
          onPlan={planCell}
          format={format}
        />
        <div className={classes.below}>
          <Legend />
          <FoldButton bands={open} isAllShown={isAllShown} onFold={() => setAllShown(!isAllShown)} />
          <SegmentedControl
            aria-label="How much of the week is shown"
            data={[
              { value: 'week', label: 'Week' },
              { value: 'days', label: 'Days' },
            ]}
            value={zoom}
            onChange={(value) => setZoom(value === 'days' ? 'days' : 'week')}
          />
        </div>
      </div>
      <Reasons
        vehicleId={vehicle.id}
        vehicleName={vehicle.name}
        band={band}
        hourIndex={chosen.hourIndex}
        bands={bands}
        places={places}
        onChooseBand={(bandIndex) => choose({ ...chosen, bandIndex })}
        onShow={show}
        place={places.find(({ id }) => id === band.placeId)}
        format={format}
        onPlan={planCell}
        isPlanning={plan.isPending}
      />
      <Refused bands={view.bands} places={places} />
    </>
  );
}
