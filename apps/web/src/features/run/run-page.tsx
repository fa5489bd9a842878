import { packHours, type PlaceRecord, type RunAnswer, type VehicleRecord, washPanels } from '@keen/core';
import { Button } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { usePlaces, useVehicles } from '../../api/queries.js';
import { useMayChange } from '../../api/access-queries.js';
import { useRun } from '../../api/run-queries.js';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { HowNear } from '../../parts/how-near.js';
import { Page } from '../../parts/page.js';
import { Failed, Loading } from '../../parts/states.js';
import { WashStrip } from '../../parts/wash-strip.js';
import { seasonJobsText } from '../../words/car-names.js';
import { methodName, nameOf } from '../../words/names.js';
import { findingText } from '../../words/finding-words.js';
import { bugsHomeText } from '../../words/run-words.js';
import { sunLineText } from '../../words/sun-words.js';
import { isSaidByWay, wayText } from '../../words/way-words.js';
import { Drying } from './drying.js';
import { EdgeBars } from './edge-bars.js';
import { FreezeCareBox } from './freeze-care-box.js';
import { LeftOnBox } from './left-on.js';
import { OwnWayEditor } from './own-way-editor.js';
import { Prepare } from './prepare.js';
import { SpotsOnCar } from './spots-on-car.js';
import { Steps } from './steps.js';
import { WayChoice } from './way-choice.js';
import classes from './run.module.css';

/** One planned wash: what to bring, in which order, how long, and what to see to after; fits on one printed page. */
export function RunPage() {
  const { washId = '' } = useParams();
  const { data: answer, error, refetch } = useRun(washId);
  const { data: vehicles } = useVehicles();
  const { data: places } = usePlaces();
  if (error)
    return (
      <Page title="Run sheet">
        <Failed error={error} onRetry={() => void refetch()} />
        <p>
          <Link to="/plan">Back to the plan</Link>
        </p>
      </Page>
    );
  if (!answer || !vehicles || !places)
    return (
      <Page title="Run sheet">
        <Loading what="Working out the sheet" />
      </Page>
    );
  return <Sheet answer={answer} vehicles={vehicles} places={places} />;
}

/** How it is worked, and all that it goes on condition of. */
function Conditions({
  conditions,
  way,
  format,
}: {
  readonly conditions: NonNullable<RunAnswer['pack']['conditions']>;
  readonly way: string | null;
  readonly format: Format;
}) {
  // What the line above says already is not said again.
  const others = way ? conditions.filter(({ remedy }) => !isSaidByWay(remedy)) : conditions;
  if (!way && others.length === 0) return null;
  return (
    <div className={classes.way} role="note">
      {way && <strong>{way}</strong>}
      {others.length > 0 && (
        <>
          <p>{way ? 'And it goes if' : <strong>It goes if</strong>}</p>
          <ul>
            {others.map((finding) => (
              <li key={finding.ruleId}>{findingText(finding, format)}</li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

interface SheetProps {
  readonly answer: RunAnswer;
  readonly vehicles: readonly VehicleRecord[];
  readonly places: readonly PlaceRecord[];
}

function Sheet({ answer, vehicles, places }: SheetProps) {
  const format = useFormat();
  const { wash, pack } = answer;
  const { sheet, startMs, source, issuedMs } = pack;
  const [isEditing, setEditing] = useState(false);
  const isBegun = answer.actions.length > 0;
  const mayChange = useMayChange();
  const hours = packHours(pack);
  const way = wayText(pack.method.wayId);
  const extras = wash.extras.length > 0 ? `, with ${seasonJobsText(wash.extras)}` : '';
  return (
    <Page
      title={`Run sheet: ${nameOf(vehicles, wash.vehicleId)}`}
      lead={`${format.dayTime(wash.startMs)}, ${answer.placeName}, ${methodName(wash.methodId)}${extras}, ${format.minutes(wash.minutes)}.`}
      actions={
        <>
          {mayChange && (
            <Button variant="default" onClick={() => setEditing(!isEditing)} aria-pressed={isEditing}>
              Change the steps
            </Button>
          )}
          <Button variant="default" onClick={() => window.print()}>
            Print
          </Button>
          <Button color="lamp.3" component={Link} to={`/run/${wash.id}/live`}>
            {isBegun ? 'Back to the run' : 'Go to the run'}
          </Button>
          {wash.visit && (
            <Button variant="default" component={Link} to={`/visit/${wash.id}/${wash.visit.withId}`}>
              Run both cars
            </Button>
          )}
        </>
      }
    >
      {isEditing && (
        <OwnWayEditor
          answer={answer}
          isBegun={isBegun || wash.status === 'done'}
          onClose={() => setEditing(false)}
        />
      )}
      <Conditions conditions={pack.conditions ?? []} way={way} format={format} />
      <HowNear limiting={pack.limiting} format={format} />
      <LeftOnBox answer={answer} isBegun={isBegun} />
      <SpotsOnCar vehicleId={wash.vehicleId} />
      {!isBegun && mayChange && <WayChoice wash={wash} wayId={pack.method.wayId ?? 'whole'} />}
      {pack.sunLine && (
        <p className={classes.sun}>
          {sunLineText({ ...pack.sunLine, dryingSpot: pack.place.dryingSpot }, startMs, format)}
        </p>
      )}
      {pack.bugsHomeC != null && <p className={classes.sun}>{bugsHomeText(pack.bugsHomeC, format)}</p>}
      <div className={classes.grid}>
        <div className={classes.column}>
          <Prepare
            wash={wash}
            isBegun={isBegun || wash.status === 'done'}
            sheet={sheet}
            place={places.find(({ id }) => id === wash.placeId)}
          />
          <EdgeBars sheet={sheet} />
        </div>
        <div className={classes.column}>
          <Steps sheet={sheet} wash={wash} bodyClass={pack.vehicle.bodyClass} />
          {hours && (
            <WashStrip
              panels={washPanels(pack, pack.limits, hours)}
              steps={sheet.steps}
              minutes={pack.method.minutes}
            />
          )}
          {sheet.drying && <Drying drying={sheet.drying} clean={sheet.preparation.clean.dryingTowels} />}
          <FreezeCareBox sheet={sheet} />
        </div>
      </div>
      <p className={`muted ${classes.foot}`}>
        For the weather of {format.dayTime(startMs)} ({source}, issued {format.dayTime(issuedMs)}). Minutes,
        dwell and amounts are judgement; data sheets, site rules and local rules go before them.
      </p>
    </Page>
  );
}
