import { Button } from '@mantine/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { ApiError } from '../api/client.js';
import type { Progress } from '../api/use-progress.js';
import classes from './states.module.css';

/** Nothing is there yet, and what to do about it. */
export function Empty({ title, children }: { readonly title: string; readonly children?: ReactNode }) {
  return (
    <section className={`${classes.state} ${classes.empty}`}>
      <strong>{title}</strong>
      {children}
    </section>
  );
}

/** The shop has no vehicle yet; the children say what would stand here. */
export function NoVehicles({ children }: { readonly children: ReactNode }) {
  return (
    <Empty title="No vehicles yet">
      <span>{children}</span>
      <Button component={Link} to="/vehicles">
        Add a vehicle
      </Button>
    </Empty>
  );
}

/** Something is being worked out or fetched. */
export function Loading({
  what,
  progress,
  onStop,
}: {
  readonly what: string;
  readonly progress?: Progress | null;
  /** Offers to stop the work. */
  readonly onStop?: () => void;
}) {
  const percent = progress ? Math.round(progress.share * 100) : null;
  return (
    <section className={classes.state} aria-live="polite" aria-busy="true">
      <span>{percent === null ? `${what} …` : `${what} … ${percent} %`}</span>
      <div
        className={classes.bar}
        role="progressbar"
        aria-label={what}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={percent ?? undefined}
      >
        <span style={{ width: `${percent ?? 8}%` }} />
      </div>
      {onStop && (
        <Button variant="default" size="compact-md" onClick={onStop}>
          Stop
        </Button>
      )}
    </section>
  );
}

/** The work was stopped; nothing was lost. */
export function Stopped({ onGoOn }: { readonly onGoOn: () => void }) {
  return (
    <section className={classes.state}>
      <span>Stopped. What was worked out so far is kept.</span>
      <Button variant="default" onClick={onGoOn}>
        Go on
      </Button>
    </section>
  );
}

/** A request that reached nobody, in the words of the browsers; anything else is a fault of this view. */
const isUnreached = (error: Error): boolean =>
  error instanceof TypeError && /fetch|network|load failed/i.test(error.message);

const explain = (error: Error): string => {
  if (error instanceof ApiError) return error.message;
  return isUnreached(error)
    ? 'The server is not responding. What you typed is kept here; see that it is running.'
    : `This part of the page stopped working (${error.message}). What you typed is kept; the rest works.`;
};

/** Something went wrong: what, what was kept, and another try. */
export function Failed({ error, onRetry }: { readonly error: Error; readonly onRetry?: () => void }) {
  return (
    <section className={`${classes.state} ${classes.failed}`} role="alert">
      <strong>That did not work</strong>
      <span>{explain(error)}</span>
      {onRetry && (
        <Button variant="default" onClick={onRetry}>
          Try again
        </Button>
      )}
    </section>
  );
}
