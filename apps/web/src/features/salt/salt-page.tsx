import type { SaltAnswer, VehicleRecord } from '@keen/core';
import { SegmentedControl, Slider } from '@mantine/core';
import { lazy, Suspense, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useClock, useVehicles } from '../../api/queries.js';
import { useSalt } from '../../api/verdict-queries.js';
import { useFormat } from '../../format/use-format.js';
import { Page } from '../../parts/page.js';
import { Failed, Loading, NoVehicles } from '../../parts/states.js';
import { UnfoldedCar } from '../../parts/unfolded-car.js';
import { VehiclePicker } from '../../parts/vehicle-picker.js';
import { ZONE_NAMES } from '../../words/car-names.js';
import { methodName } from '../../words/names.js';
import { Drives } from './drives.js';
import { Roads } from './roads.js';
import { dayAt, saltLayer, type SaltLayerKind, washDays } from './salt-view.js';
import classes from './salt.module.css';
import { Swabs } from './swabs.js';

const SeasonChart = lazy(async () => ({ default: (await import('./season-chart.js')).SeasonChart }));

/** How much salt is on each zone, and for how long it has been eating; and what that rests on. */
export function SaltPage() {
  const { vehicleId: fromPath } = useParams();
  const navigate = useNavigate();
  const { data: vehicles } = useVehicles();
  const { data: clock } = useClock();
  const vehicleId = fromPath ?? vehicles?.[0]?.id ?? '';
  const { data: salt, error, refetch } = useSalt(vehicleId);
  const vehicle = vehicles?.find(({ id }) => id === vehicleId);
  return (
    <Page
      title="Salt"
      lead={vehicle ? `${vehicle.name}: what is on it, and how long it has been eating.` : undefined}
      actions={
        <VehiclePicker
          vehicles={vehicles}
          value={vehicleId}
          onChoose={(id) => void navigate(`/salt/${id}`)}
        />
      }
    >
      {vehicles?.length === 0 && <NoVehicles>Add a vehicle first; its ledger stands here.</NoVehicles>}
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && !salt && vehicleId !== '' && <Loading what="Running the ledger" />}
      {salt && vehicle && (
        <>
          <Ledger key={vehicle.id} salt={salt} vehicle={vehicle} />
          {clock && (
            <>
              <div className={classes.grid}>
                <Swabs vehicle={vehicle} salt={salt} nowMs={clock.nowMs} />
                <Drives vehicle={vehicle} nowMs={clock.nowMs} />
              </div>
              <Roads nowMs={clock.nowMs} />
            </>
          )}
        </>
      )}
    </Page>
  );
}

function Ledger({ salt, vehicle }: { readonly salt: SaltAnswer; readonly vehicle: VehicleRecord }) {
  const format = useFormat();
  const [kind, setKind] = useState<SaltLayerKind>('load');
  const last = salt.days.length;
  const [index, setIndex] = useState(last);
  const day = dayAt(salt, index);
  const fastest = Math.max(1, ...salt.now.zones.map(({ activeHours }) => activeHours));
  const when = day.atMs === null ? 'now' : format.dayShort(day.atMs);
  return (
    <>
      <div className={classes.car}>
        <section className={classes.box}>
          <div className={classes.head}>
            <h2>On the car {day.atMs === null ? 'now' : `on ${when}`} (estimated)</h2>
            <SegmentedControl
              aria-label="What the drawing shows"
              data={[
                { value: 'load', label: 'Load, g/m²' },
                { value: 'clock', label: 'Clock, active hours' },
              ]}
              value={kind}
              onChange={(value) => setKind(value === 'clock' ? 'clock' : 'load')}
            />
          </div>
          <UnfoldedCar
            bodyClass={vehicle.bodyClass}
            layer={saltLayer(day.zones, kind, fastest)}
            label={kind === 'load' ? 'Salt load in grams a square metre' : 'Clock in active hours'}
          />
          {last > 0 && (
            <Slider
              className={classes.days}
              min={0}
              max={last}
              value={index}
              onChange={setIndex}
              label={(value) => (salt.days[value] ? format.dayShort(salt.days[value].atMs) : 'now')}
              thumbLabel="Day of the season"
              thumbValueText={when}
              marks={washDays(salt.days, salt.washesMs).map((value) => ({ value }))}
            />
          )}
          <p className="muted">
            Drag through the season; dots are washes. An active hour is an hour at {format.temp(10)} in which
            the salt is wet and fully at work; cold, dry and a light load slow the clock. From drives,
            bulletins and measured weather; factors are judgement
            {salt.pickUp.count > 0 ? ', corrected by your swabs' : ''}.
          </p>
        </section>
        <Answers salt={salt} />
      </div>
      <section className={classes.box}>
        <h2>The season</h2>
        <Suspense fallback={<Loading what="Drawing" />}>
          <SeasonChart salt={salt} />
        </Suspense>
        <details>
          <summary>As a table</summary>
          <SeasonTable salt={salt} />
        </details>
      </section>
    </>
  );
}

function Answers({ salt }: { readonly salt: SaltAnswer }) {
  const format = useFormat();
  const { here, street, heated } = salt.parked;
  const { past, ahead } = salt.unknownHours;
  const days = (salt.forecastHours / 24).toFixed(0);
  const saved = [...salt.savedNow].sort((a, b) => b.activeHours - a.activeHours);
  return (
    <section className={classes.box}>
      <h2>Reading (active hours, estimated)</h2>
      <dl className={classes.answers}>
        <dt>
          {salt.savedByLast
            ? `The last wash, ${format.dayShort(salt.savedByLast.atMs)}, has saved so far`
            : 'The last wash has saved'}
        </dt>
        <dd className="figure">
          {salt.savedByLast ? salt.savedByLast.activeHours.toFixed(1) : 'none logged'}
        </dd>
        <dt className={classes.part}>A wash now would save over {days} days</dt>
        <dd />
        {saved.map(({ methodId, activeHours }) => (
          <div key={methodId} style={{ display: 'contents' }}>
            <dt className={classes.sub}>{methodName(methodId)}</dt>
            <dd className="figure">{activeHours.toFixed(1)}</dd>
          </div>
        ))}
        <dt className={classes.part}>The next {days} days unwashed</dt>
        <dd />
        <dt className={classes.sub}>standing where it stands</dt>
        <dd className="figure">{here.toFixed(1)}</dd>
        <dt className={classes.sub}>in the street</dt>
        <dd className="figure">{street.toFixed(1)}</dd>
        <dt className={classes.sub}>in a heated place at {format.temp(14)}</dt>
        <dd className="figure">{heated.toFixed(1)}</dd>
      </dl>
      {past + ahead > 0 && (
        <p role="note">
          Nobody knows the weather of {past} hours of the season and {ahead} to come: nothing is counted in
          them, so these are the least that they can be.
        </p>
      )}
      <p className="muted">
        {heated > street
          ? `Parking it warm with this salt on runs the clock ${(heated / Math.max(0.01, street)).toFixed(1)} times as fast as the street: wash it before it goes into the warm.`
          : 'In these days a dry heated place is kinder than the street.'}
      </p>
    </section>
  );
}

function SeasonTable({ salt }: { readonly salt: SaltAnswer }) {
  const format = useFormat();
  const weekly = salt.days.filter((_, i) => i % 7 === 0);
  const zones = salt.now.zones.map(({ zone }) => zone);
  return (
    <div style={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Season as a table">
      <table className={classes.table}>
        <thead>
          <tr>
            <th scope="col">Day</th>
            {zones.map((zone) => (
              <th key={zone} scope="col">
                {ZONE_NAMES[zone]}, g/m²
              </th>
            ))}
            <th scope="col">Clock, h</th>
          </tr>
        </thead>
        <tbody>
          {weekly.map((day) => (
            <tr key={day.atMs}>
              <th scope="row">{format.dayShort(day.atMs)}</th>
              {day.zones.map(({ zone, loadGramsPerM2 }) => (
                <td key={zone} className="figure">
                  {loadGramsPerM2.toFixed(1)}
                </td>
              ))}
              <td className="figure">{day.activeHours.toFixed(0)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
