import { SegmentedControl, Select } from '@mantine/core';
import { lazy, Suspense, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useSalt, useVehicles } from '../../api/queries.js';
import type { SaltView, VehicleRecord } from '../../api/types.js';
import { useFormat } from '../../format/use-format.js';
import { Page } from '../../parts/page.js';
import { Empty, Failed, Loading } from '../../parts/states.js';
import { UnfoldedCar } from '../../parts/unfolded-car.js';
import { methodName, ZONE_NAMES } from '../../words/names.js';
import { saltLayer, type SaltLayerKind } from './salt-view.js';
import classes from './salt.module.css';

const SeasonChart = lazy(async () => ({ default: (await import('./season-chart.js')).SeasonChart }));

/** How much salt is on each zone, and for how long it has been eating. */
export function SaltPage() {
  const { vehicleId: fromPath } = useParams();
  const navigate = useNavigate();
  const { data: vehicles } = useVehicles();
  const vehicleId = fromPath ?? vehicles?.[0]?.id ?? '';
  const { data: salt, error, refetch } = useSalt(vehicleId);
  const vehicle = vehicles?.find(({ id }) => id === vehicleId);
  const picker = (
    <Select
      label="Vehicle"
      data={(vehicles ?? []).map(({ id, name }) => ({ value: id, label: name }))}
      value={vehicleId}
      onChange={(id) => id && void navigate(`/salt/${id}`)}
      allowDeselect={false}
      searchable
      w={230}
    />
  );
  return (
    <Page
      title="Salt"
      lead={vehicle ? `${vehicle.name}: what is on it, and how long it has been eating.` : undefined}
      actions={picker}
    >
      {vehicles?.length === 0 && (
        <Empty title="No vehicles yet">Add a vehicle first; its ledger stands here.</Empty>
      )}
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && !salt && vehicleId !== '' && <Loading what="Running the ledger" />}
      {salt && vehicle && <Ledger salt={salt} vehicle={vehicle} />}
    </Page>
  );
}

function Ledger({ salt, vehicle }: { readonly salt: SaltView; readonly vehicle: VehicleRecord }) {
  const [kind, setKind] = useState<SaltLayerKind>('load');
  return (
    <>
      <section className={classes.box}>
        <h2>On the car now (estimated)</h2>
        <SegmentedControl
          aria-label="What the drawing shows"
          data={[
            { value: 'load', label: 'Load, g/m²' },
            { value: 'clock', label: 'Clock, active hours' },
          ]}
          value={kind}
          onChange={(value) => setKind(value === 'clock' ? 'clock' : 'load')}
        />
        <UnfoldedCar
          bodyClass={vehicle.bodyClass}
          layer={saltLayer(salt.now.zones, kind)}
          label={kind === 'load' ? 'Salt load in grams a square metre' : 'Clock in active hours'}
        />
        <p className="muted">
          Left flank above, right flank below, tail and underbody beside them. An active hour is an hour at 10
          °C in which the salt is wet and fully at work; cold, dry and a light load slow the clock. From
          drives, estimated road treatment and measured weather; factors are judgement.
        </p>
      </section>
      <div className={classes.grid}>
        <Answers salt={salt} />
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
      </div>
    </>
  );
}

function Answers({ salt }: { readonly salt: SaltView }) {
  const format = useFormat();
  const { here, street, heated } = salt.parked;
  const days = (salt.forecastHours / 24).toFixed(0);
  return (
    <section className={classes.box}>
      <h2>What it says (active hours, estimated)</h2>
      <dl className={classes.answers}>
        <dt>
          {salt.savedByLast
            ? `The last wash, ${format.dayShort(salt.savedByLast.atMs)}, has saved so far`
            : 'The last wash has saved'}
        </dt>
        <dd className="figure">
          {salt.savedByLast ? salt.savedByLast.activeHours.toFixed(1) : 'none logged'}
        </dd>
        {salt.savedNow.map(({ methodId, activeHours }) => (
          <div key={methodId} style={{ display: 'contents' }}>
            <dt>
              A wash now would save over {days} days, {methodName(methodId)}
            </dt>
            <dd className="figure">{activeHours.toFixed(1)}</dd>
          </div>
        ))}
        <dt>The next {days} days unwashed, standing where it stands</dt>
        <dd className="figure">{here.toFixed(1)}</dd>
        <dt>Standing in the street</dt>
        <dd className="figure">{street.toFixed(1)}</dd>
        <dt>Standing in a heated place at {format.temp(14)}</dt>
        <dd className="figure">{heated.toFixed(1)}</dd>
      </dl>
      <p className="muted">
        {heated > street
          ? `Parking it warm with this salt on runs the clock ${(heated / Math.max(0.01, street)).toFixed(1)} times as fast as the street: wash it before it goes into the warm.`
          : 'In these days a dry heated place is kinder than the street.'}
      </p>
    </section>
  );
}

function SeasonTable({ salt }: { readonly salt: SaltView }) {
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
