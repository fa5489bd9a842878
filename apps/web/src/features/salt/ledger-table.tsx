import type { SaltAnswer, VehicleRecord } from '@keen/core';
import { SegmentedControl, Slider } from '@mantine/core';
import { Suspense, useState, lazy } from 'react';
import { useFormat } from '../../format/use-format.js';
import { Loading } from '../../parts/states.js';
import { UnfoldedCar } from '../../parts/unfolded-car.js';
import { saltLayer, type SaltLayerKind } from '../../parts/salt-layer.js';
import { dayAt, washDays } from './salt-view.js';
import classes from './salt.module.css';
import { SeasonTable } from './season-table.js';
import { methodName } from '../../words/names.js';

export function Ledger({ salt, vehicle }: { readonly salt: SaltAnswer; readonly vehicle: VehicleRecord }) {
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
                { value: 'clock', label: 'Hours of salt at work' },
              ]}
              value={kind}
              onChange={(value) => setKind(value === 'clock' ? 'clock' : 'load')}
            />
          </div>
          <UnfoldedCar
            bodyClass={vehicle.bodyClass}
            layer={saltLayer(day.zones, kind, fastest)}
            label={kind === 'load' ? 'Salt load in grams a square metre' : 'Hours of salt at work'}
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
            Drag through the season; the marks on the bar are washes. An active hour is an hour at{' '}
            {format.temp(10)} in which the salt is wet and fully at work; cold, dry and a light load slow the
            clock. From drives, bulletins and measured weather; factors are judgement
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

export const SeasonChart = lazy(async () => ({ default: (await import('./season-chart.js')).SeasonChart }));

export function Answers({ salt }: { readonly salt: SaltAnswer }) {
  const format = useFormat();
  const { here, street, heated } = salt.parked;
  const { past, ahead } = salt.unknownHours;
  const days = (salt.forecastHours / 24).toFixed(0);
  const saved = [...salt.savedNow].sort((a, b) => b.activeHours - a.activeHours);
  return (
    <section className={classes.box}>
      <h2>Hours of salt at work (estimated)</h2>
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
