import type { PlaceRecord, VehicleRecord } from '@keen/core';
import { useState } from 'react';
import { useCadences } from '../../api/verdict-queries.js';
import { useDraft } from '../../parts/drafts.js';
import { Failed, Loading } from '../../parts/states.js';
import { type CadencePlan, usualPlans } from './balance-view.js';
import { CadenceTable } from './cadence-table.js';
import { OwnCadence } from './own-cadence.js';
import { NO_METHOD, type OwnPlan, ownParts } from './own-cadence-view.js';
import classes from './balance.module.css';

interface CadencesProps {
  readonly vehicle: VehicleRecord;
  readonly places: readonly PlaceRecord[];
}

/** What each cadence would have cost and saved on this car over the season so far. */
export function Cadences({ vehicle, places }: CadencesProps) {
  const offered = [...new Set(places.flatMap(({ methods }) => methods.map(({ methodId }) => methodId)))];
  const { value: own, set } = useDraft<OwnPlan>(`cadence-${vehicle.id}`, {
    first: offered[0] ?? NO_METHOD,
    firstDays: 10,
    second: NO_METHOD,
    secondDays: 30,
  });
  const [isOwnShown, setOwnShown] = useState(false);
  const parts = ownParts(own, offered);
  const plans: CadencePlan[] = [
    ...usualPlans(places),
    ...(isOwnShown && parts.length > 0 ? [{ name: 'Your own', parts }] : []),
  ];
  const { data, error } = useCadences(
    vehicle.id,
    plans.map((plan) => plan.parts),
  );
  const outcomes = data?.length === plans.length ? data : null;
  return (
    <section className={classes.box}>
      <h2>Cadences, over the season so far</h2>
      <p className="muted">
        Each is run through this car's own ledger since the season began: the same weather, roads and drives,
        washed by that cadence instead, against never washing. Not a forecast. Places are taken where it is
        cheapest.
      </p>
      {error && <Failed error={error} />}
      {!error && !outcomes && <Loading what="Running the season" />}
      {outcomes && <CadenceTable plans={plans} outcomes={outcomes} />}
      <OwnCadence
        offered={offered}
        own={own}
        onChange={set}
        isShown={isOwnShown}
        onShow={() => setOwnShown(true)}
      />
    </section>
  );
}
