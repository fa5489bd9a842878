import { Link } from 'react-router';
import { useBackups } from '../api/backup-queries.js';
import classes from './backup-alert.module.css';

/** Says that the daily copy of the data could not be made, or that the disk fills up; nothing where all is well. */
export function BackupAlert() {
  const { data: view } = useBackups();
  if (!view) return null;
  const { failure, isRoomLow, freeBytes, liveCopy } = view;
  return (
    <>
      {failure !== null && (
        <p className={classes.alert} role="alert">
          Your data could not be copied: {failure} <Link to="/settings?about=backups">See the backups</Link>
        </p>
      )}
      {liveCopy?.failure != null && (
        <p className={classes.alert} role="alert">
          The live copy does not run: {liveCopy.failure}{' '}
          <Link to="/settings?about=backups">See the backups</Link>
        </p>
      )}
      {isRoomLow && (
        <p className={classes.alert} role="alert">
          {Math.round((freeBytes ?? 0) / 1_000_000)} MB are left on the disk of your data. When it is full
          nothing can be saved; make room soon.
        </p>
      )}
    </>
  );
}
