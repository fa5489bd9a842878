import { Button } from '@mantine/core';
import { IconCloudCheck, IconCloudOff, IconCloudUp, IconAlertTriangle } from '@tabler/icons-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { methodName } from '../../words/names.js';
import type { KeptRun } from './run-db.js';
import type { RunLog } from './run-log.js';
import type { RunView } from './run-view.js';
import classes from './live-head.module.css';

interface LiveHeadProps {
  readonly log: RunLog;
  readonly view: RunView;
  readonly run: KeptRun;
}

function sendState({ keptCount, hasSignal, refused }: RunView) {
  if (refused !== null) return { icon: IconAlertTriangle, text: 'Not taken', tone: 'warn' } as const;
  if (!hasSignal)
    return {
      icon: IconCloudOff,
      text: keptCount > 0 ? `${keptCount} kept here, no signal` : 'No signal; all sent',
      tone: 'kept',
    } as const;
  return keptCount > 0
    ? ({ icon: IconCloudUp, text: `${keptCount} kept here, sending`, tone: 'kept' } as const)
    : ({ icon: IconCloudCheck, text: 'All sent', tone: 'sent' } as const);
}

/** Which car, where, how, and whether all of it has reached the shop. */
export function LiveHead({ log, view, run }: LiveHeadProps) {
  const { icon: Icon, text, tone } = sendState(view);
  return (
    <header className={classes.head}>
      <Link to={`/run/${run.washId}`} className={classes.back} aria-label="Back to the run sheet">
        ‹
      </Link>
      <div className={classes.who}>
        <h1>{run.vehicleName}</h1>
        <p>
          {run.placeName}, {methodName(run.pack.method.id)}
        </p>
      </div>
      <p className={classes.sent} data-tone={tone} role="status">
        <Icon size={18} aria-hidden /> {text}
      </p>
      {view.isSignedOut && (
        <p className={classes.refused} role="alert">
          This phone is signed out. What was done stays on it; <Link to="/">sign in again</Link> to send it.
        </p>
      )}
      {view.refused !== null && <Refused log={log} view={view} />}
    </header>
  );
}

/** Why something was not taken, and what can be done about it: send it again, or let go of a photograph. */
function Refused({ log, view: { refused, refusedPhotoCount } }: Pick<LiveHeadProps, 'log' | 'view'>) {
  const [isAsked, setAsked] = useState(false);
  const them = refusedPhotoCount === 1 ? 'the photograph' : `${refusedPhotoCount} photographs`;
  return (
    <div className={classes.refused} role="alert">
      <p>{refused} It stays on this phone.</p>
      <div className={classes.ways}>
        <Button variant="default" onClick={() => void log.retryRefused()}>
          Send again
        </Button>
        {refusedPhotoCount > 0 && !isAsked && (
          <Button variant="default" onClick={() => setAsked(true)}>
            Delete {them} here
          </Button>
        )}
        {isAsked && refusedPhotoCount > 0 && (
          <Button color="red.8" onClick={() => void log.dropRefusedPhotos().then(() => setAsked(false))}>
            Yes, delete {them} for good
          </Button>
        )}
      </div>
    </div>
  );
}
