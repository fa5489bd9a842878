import { IconCloudOff } from '@tabler/icons-react';
import { useLastRead } from '../api/last-read.js';
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '@keen/core';
import classes from './no-signal.module.css';

const AGO = new Intl.RelativeTimeFormat('en', { numeric: 'always' });

/** "12 minutes ago", "3 hours ago"; by this device's own clock, which the shop's need not follow. */
export function agoText(ms: number): string {
  if (ms < MS_PER_MINUTE) return 'a moment ago';
  if (ms < 2 * MS_PER_HOUR) return AGO.format(-Math.round(ms / MS_PER_MINUTE), 'minute');
  if (ms < 2 * MS_PER_DAY) return AGO.format(-Math.round(ms / MS_PER_HOUR), 'hour');
  return AGO.format(-Math.round(ms / MS_PER_DAY), 'day');
}

/** Says that the server cannot be reached, and from when that is which stands below. */
export function NoSignal() {
  const { keptMs, ageMs } = useLastRead();
  if (keptMs === null) return null;
  return (
    <p className={`${classes.note} no-print`} role="status">
      <IconCloudOff size={18} aria-hidden />
      <span>
        No signal: this is how it was {agoText(ageMs)}. To change something, wait for the signal; a run goes
        on without it.
      </span>
    </p>
  );
}
