import type { PlaceRecord, VehicleRecord } from '@keen/core';
import { Button, Group, Select } from '@mantine/core';
import { useState } from 'react';
import { useCadences } from '../../api/verdict-queries.js';
import { useFormat } from '../../format/use-format.js';
import { useDraft } from '../../parts/drafts.js';
import { NumberField } from '../../parts/number-field.js';
import { Failed, Loading } from '../../parts/states.js';
import { methodName } from '../../words/names.js';
import { type CadencePlan, priceOfHourMinor, usualPlans } from './balance-view.js';
import classes from './balance.module.css';

interface CadencesProps {
  readonly vehicle: VehicleRecord;
  readonly places: readonly PlaceRecord[];
}

interface OwnPlan {
  readonly first: string;
  readonly firstDays: number | null;
  readonly second: string;
  readonly secondDays: number | null;
}

const NO_METHOD = 'none';

/** What each cadence would have cost and saved on this car over the season so far. */
export function Cadences({ vehicle, places }: CadencesProps) {
  const format = useFormat();
  const offered = [...new Set(places.flatMap(({ methods }) => methods.map(({ methodId }) => methodId)))];
  const { value: own, set } = useDraft<OwnPlan>(`cadence-${vehicle.id}`, {
    first: offered[0] ?? NO_METHOD,
    firstDays: 10,
    second: NO_METHOD,
    secondDays: 30,
  });
  const [isOwnShown, setOwnShown] = useState(false);
  const ownParts = [
    { methodId: own.first, everyDays: own.firstDays },
    { methodId: own.second, everyDays: own.secondDays },
  ].flatMap(({ methodId, everyDays }) =>
    methodId !== NO_METHOD && offered.includes(methodId) && everyDays !== null
      ? [{ methodId, everyDays }]
      : [],
  );
  const plans: CadencePlan[] = [
    ...usualPlans(places),
    ...(isOwnShown && ownParts.length > 0 ? [{ name: 'Your own', parts: ownParts }] : []),
  ];
  const { data, error } = useCadences(
    vehicle.id,
    plans.map(({ parts }) => parts),
  );
  const outcomes = data?.length === plans.length ? data : null;
  const most = Math.max(1, ...(outcomes ?? []).map(({ activeHoursSaved }) => activeHoursSaved));
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
      {outcomes && (
        <div className={classes.scroll} tabIndex={0} role="region" aria-label="Cadences">
          <table className={classes.table}>
            <thead>
              <tr>
                <th scope="col">Cadence</th>
                <th scope="col">Washes</th>
                <th scope="col">Active hours saved</th>
                <th scope="col">Money</th>
                <th scope="col">For each hour saved</th>
                <th scope="col">Hours of work</th>
                <th scope="col">Water</th>
                <th scope="col">Worth in all</th>
              </tr>
            </thead>
            <tbody>
              {plans.map((plan, i) => {
                const outcome = outcomes[i];
                if (!outcome) return null;
                const price = priceOfHourMinor(outcome);
                return (
                  <tr key={plan.name}>
                    <th scope="row">
                      {plan.name}
                      <span className={classes.leaves}>
                        {plan.parts
                          .map(({ methodId, everyDays }) => `${methodName(methodId)} every ${everyDays} days`)
                          .join('; ')}
                      </span>
                    </th>
                    <td className="figure" data-label="Washes">
                      {outcome.washCount}
                    </td>
                    <td data-label="Active hours saved">
                      <span className={classes.wide} aria-hidden="true">
                        <span style={{ width: `${(outcome.activeHoursSaved / most) * 100}%` }} />
                      </span>
                      <span className="figure">
                        {outcome.activeHoursSaved.toFixed(0)} of{' '}
                        {(outcome.activeHours + outcome.activeHoursSaved).toFixed(0)}
                      </span>
                    </td>
                    <td className="figure" data-label="Money">
                      {format.money(outcome.moneyMinor)}
                    </td>
                    <td className="figure" data-label="For each hour saved">
                      {price === null ? 'nothing saved' : format.money(price)}
                    </td>
                    <td className="figure" data-label="Hours of work">
                      {(outcome.minutes / 60).toFixed(1)}
                    </td>
                    <td className="figure" data-label="Water">
                      {format.litres(outcome.litres)}
                    </td>
                    <td className="figure" data-label="Worth in all">
                      {format.money(outcome.worthMinor)}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
      <Group align="end" mt="sm" className="no-print">
        <Select
          label="Your own: wash"
          data={offered.map((methodId) => ({ value: methodId, label: methodName(methodId) }))}
          value={own.first}
          onChange={(first) => first && set({ first })}
          allowDeselect={false}
          w={230}
        />
        <NumberField
          label="every"
          unit="days"
          value={own.firstDays}
          onChange={(firstDays) => set({ firstDays })}
          min={1}
          max={180}
          decimals={0}
          error={ownError(own.firstDays)}
        />
        <Select
          label="and"
          data={[
            { value: NO_METHOD, label: 'nothing else' },
            ...offered.map((methodId) => ({ value: methodId, label: methodName(methodId) })),
          ]}
          value={own.second}
          onChange={(second) => second && set({ second })}
          allowDeselect={false}
          w={230}
        />
        {own.second !== NO_METHOD && (
          <NumberField
            label="every"
            unit="days"
            value={own.secondDays}
            onChange={(secondDays) => set({ secondDays })}
            min={1}
            max={180}
            decimals={0}
            error={ownError(own.secondDays)}
          />
        )}
        <Button variant="default" onClick={() => setOwnShown(true)} disabled={isOwnShown}>
          {isOwnShown ? 'Shown above' : 'Weigh it too'}
        </Button>
      </Group>
    </section>
  );
}

const ownError = (days: number | null): string | undefined =>
  days === null || days < 1 || days > 180 ? 'From 1 to 180 days.' : undefined;
