import { useEffect } from 'react';
import { Link, useParams } from 'react-router';
import { Failed, Loading } from '../../parts/states.js';
import { LiveRunView } from './live-run-view.js';
import { LiveHead } from './live-head.js';
import { useRunLog } from './use-run-log.js';
import classes from './live.module.css';

/** A wash as it is done: opens from this phone, with or without a signal. */
export function LivePage() {
  const { washId = '' } = useParams();
  const opened = useRunLog(washId);
  const run = opened?.view.run ?? null;
  useEffect(() => {
    document.title = run ? `${run.vehicleName}, wash under way · Keen Rinse` : 'Run · Keen Rinse';
  }, [run]);
  if (opened && run)
    return (
      <div className={classes.page}>
        <LiveHead log={opened.log} view={opened.view} run={run} />
        <LiveRunView key={run.pack.id} log={opened.log} view={opened.view} run={run} />
      </div>
    );
  const error = opened?.view.error ?? null;
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
