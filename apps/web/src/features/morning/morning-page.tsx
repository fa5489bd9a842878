import type { VehicleAnswer, VehicleRecord } from '@keen/core';
import { Button } from '@mantine/core';
import type { ComponentProps } from 'react';
import { Link, Navigate } from 'react-router';
import { ApiError } from '../../api/client.js';
import { useClock, usePlaces, useRemove, useVehicles } from '../../api/queries.js';
import { usePlanWash, useWashes } from '../../api/wash-queries.js';
import { useMorning, useMorningSoFar } from '../../api/plan-queries.js';
import { useProgress } from '../../api/use-progress.js';
import { useFormat } from '../../format/use-format.js';
import { sayWithUndo } from '../../parts/notices.js';
import { CurrentRunLink, useCurrentRun } from '../../parts/current-run.js';
import { BackupAlert } from '../../parts/backup-alert.js';
import { KitWarningsBox } from '../../parts/kit-warnings.js';
import { Page } from '../../parts/page.js';
import { Failed } from '../../parts/states.js';
import { nameOf } from '../../words/names.js';
import { FirstDay } from './first-day/first-day.js';
import { AnswerCards } from './answer-card.js';
import classes from './morning.module.css';
import { type Group, groupAnswers, leadText, ofToday, plannedAhead, withoutPlanned } from './morning-view.js';
import { Meanwhile } from './meanwhile.js';
import { PlannedList } from './planned-list.js';
import { NotDue, Stuck } from './rest-lists.js';

type CardProps = Omit<ComponentProps<typeof AnswerCards>, 'answers'>;

/** What the plan would wash, day by day. */
function Days({ days, ...cards }: CardProps & { readonly days: readonly Group[] }) {
  return days.map(({ key, title, answers }) => (
    <section key={key} className={classes.group}>
      <h2>{title}</h2>
      <AnswerCards answers={answers} {...cards} />
    </section>
  ));
}

/** Plans a car's best start with one tap, and takes it back with another. */
function usePlanBest(vehicles: readonly VehicleRecord[] | undefined) {
  const format = useFormat();
  const plan = usePlanWash();
  const { mutateAsync: unplan } = useRemove('washes');
  const planBest = ({ vehicleId, best, workerId }: VehicleAnswer): void => {
    if (!best) return;
    const { placeId, methodId, startMs } = best;
    const worker = workerId === null ? {} : { workerId };
    void sayWithUndo(
      plan.mutateAsync({ vehicleId, placeId, methodId, startMs, ...worker }),
      `${nameOf(vehicles, vehicleId)} planned for ${format.dayTime(startMs)}.`,
      (wash) => unplan(wash.id),
    );
  };

  return { planBest, planningId: plan.isPending ? plan.variables.vehicleId : undefined };
}

/** Which car, where, when, how and why: answered without a click. */
export function MorningPage() {
  const format = useFormat();
  const { data: view, error, isPending, isFetching, refetch } = useMorning();
  const { data: vehicles } = useVehicles();
  const { data: places } = usePlaces();
  const { data: washes } = useWashes();
  const progress = useProgress(isFetching);
  const { data: soFar } = useMorningSoFar(isPending, progress?.label);
  const { data: clock } = useClock();
  const current = useCurrentRun((store) => store.run);
  const { planBest, planningId } = usePlanBest(vehicles);

  // With no signal there is no morning; a worker who is at a car goes on there.
  if (error && !(error instanceof ApiError) && current)
    return <Navigate to={`/run/${current.washId}/live`} replace />;
  if (isPending)
    return (
      <Page title="This morning">
        <CurrentRunLink />
        <Meanwhile
          soFar={soFar}
          progress={progress}
          vehicles={vehicles}
          places={places}
          washes={washes}
          nowMs={clock?.nowMs ?? 0}
        />
      </Page>
    );
  if (error)
    return (
      <Page title="This morning">
        <Failed error={error} onRetry={() => void refetch()} />
      </Page>
    );

  const { days, noWindow, notDue } = groupAnswers(withoutPlanned(view, washes ?? []), format);
  const planned = plannedAhead(washes ?? [], view.nowMs);
  const isToday = ({ startMs }: { readonly startMs: number }): boolean =>
    format.dayKey(startMs) === format.dayKey(view.nowMs);
  const today = ofToday(days, planned, { nowMs: view.nowMs, format });
  const names = { car: (id: string) => nameOf(vehicles, id), place: (id: string) => nameOf(places, id) };
  const list = { vehicles, places };
  const cards = {
    ...list,
    onPlan: planBest,
    planningId,
    firstId: days[0]?.answers[0]?.vehicleId,
  };
  const isFirstDay = vehicles && places && (vehicles.length === 0 || places.length === 0);
  const later = planned.filter((wash) => !isToday(wash));
  const [first] = days;
  const todays = first && isToday({ startMs: first.answers[0]?.best?.startMs ?? 0 }) ? [first] : [];
  return (
    <Page
      title="This morning"
      lead={isFirstDay ? undefined : leadText(today, names, format)}
      actions={
        <Button component={Link} to="/plan" variant="default">
          Whole plan
        </Button>
      }
    >
      <CurrentRunLink />
      {progress && (
        <p className={classes.again} role="status">
          As it was at {format.time(view.nowMs)}; being worked out again, {Math.round(progress.share * 100)}{' '}
          %.
        </p>
      )}
      <BackupAlert />
      {isFirstDay && <FirstDay vehicles={vehicles} places={places} />}
      <PlannedList
        title="Planned for today"
        washes={planned.filter(isToday)}
        answers={view.answers}
        {...list}
      />
      <Days days={todays} {...cards} />
      <PlannedList title="Planned for later" washes={later} answers={view.answers} {...list} />
      <Days days={days.filter((day) => !todays.includes(day))} {...cards} />
      <Stuck answers={noWindow} {...list} />
      <NotDue answers={notDue} {...list} />
      <KitWarningsBox isQuiet />
    </Page>
  );
}
