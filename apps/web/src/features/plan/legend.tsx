import { IconLock } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import margins from './margins.module.css';
import classes from './legend.module.css';

interface KeyProps {
  readonly children: ReactNode;
  readonly drawn: ReactNode;
}

const Key = ({ drawn, children }: KeyProps) => (
  <li>
    <span className={classes.drawn} aria-hidden="true">
      {drawn}
    </span>
    {children}
  </li>
);

const Hours = ({ verdict }: { readonly verdict: string }) => (
  <span className={margins.margin} data-verdict={verdict} style={{ position: 'static', width: '100%' }} />
);

interface LegendProps {
  /** What folds and unfolds the board. */
  readonly children: ReactNode;
}

/** What the board's shapes mean. */
export function Legend({ children }: LegendProps) {
  return (
    <div className={`${classes.legend} no-print`}>
      <ul aria-label="What the board shows">
        <Key drawn={<span className={classes.bar} />}>planned</Key>
        <Key drawn={<span className={classes.bar} data-kind="proposed" />}>proposed</Key>
        <Key drawn={<IconLock size={14} />}>stays where it is</Key>
        <Key drawn={<span className={classes.bar} data-kind="if" />}>goes with a condition</Key>
        <Key drawn={<span className={classes.bar} data-kind="against" />}>does not go now</Key>
        <Key drawn={<span className={classes.line} />}>
          its minutes, filled as far as it is from its nearest limit
        </Key>
        <Key drawn={<Hours verdict="go" />}>
          under a lane: an hour that goes for the chosen car, faint near the limit
        </Key>
        <Key drawn={<Hours verdict="go-if" />}>with a condition</Key>
        <Key drawn={<Hours verdict="no" />}>does not go</Key>
      </ul>
      {children}
    </div>
  );
}
