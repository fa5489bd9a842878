import { useEffect } from 'react';
import { Link, useParams } from 'react-router';
import { useCurrentRun } from '../../parts/current-run.js';
import { Failed, Loading } from '../../parts/states.js';
import { LiveRunView, type LiveRunViewProps as OpenRun } from './live-run-view.js';
import { LiveHead } from './live-head.js';
import { phaseOf } from './live-view.js';
import { useLiveRun } from './use-live-run.js';
import { useRefreshAfterRun } from './use-refresh-after-run.js';
import { useRunLog } from './use-run-log.js';
import classes from './live-page.module.css';

function OneRun({ log, view, run }: Omit<OpenRun, 'live'>) {
  const live = useLiveRun(run.pack, log, view.actions);
  return <LiveRunView log={log} view={view} run={run} live={live} />;
}

/** A wash as it is done: opens from this phone, with or without a signal. */
export function LivePage() {
  const { washId = '' } = useParams();
  const { opened, failure } = useRunLog(washId);
  const run = opened?.view.run ?? null;
  const setCurrent = useCurrentRun((store) => store.set);
  const phase = phaseOf(opened?.view.actions ?? []);
  const vehicleName = run?.vehicleName ?? null;
  useRefreshAfterRun(phase, opened?.view.keptCount ?? 0);
  useEffect(() => {
    if (vehicleName === null) return;
    if (phase === 'running') setCurrent({ washId, vehicleName });
    else if (useCurrentRun.getState().run?.washId === washId) setCurrent(null);
  }, [phase, vehicleName, washId, setCurrent]);
  useEffect(() => {
    document.title = run ? `${run.vehicleName}, wash under way · Keen Rinse` : 'Run · Keen Rinse';
  }, [run]);
  if (opened && run)
    return (
      <div className={classes.page}>
        <LiveHead log={opened.log} view={opened.view} run={run} />
        <OneRun key={run.pack.id} log={opened.log} view={opened.view} run={run} />
      </div>
    );
  const error = opened?.view.error ?? null;
  if (failure)
    return (
      <main className={classes.blank}>
        <h1>Run</h1>
        <p role="alert">
          This browser keeps nothing ({failure.message}), so a run cannot be kept safe here. Leave private
          browsing, or make room; the sheet itself can be <Link to={`/run/${washId}`}>read and printed</Link>.
        </p>
      </main>
    );
  return (
    <main className={classes.blank}>
      <h1>Run</h1>
      {error ? (
        <>
          <Failed error={error} onRetry={() => void opened?.log.sync()} />
          <p>This phone has not opened this run before, so it needs a signal once.</p>
        </>
      ) : (
        <Loading what="Opening the run" />
      )}
      <Link to="/">To this morning</Link>
    </main>
  );
}
