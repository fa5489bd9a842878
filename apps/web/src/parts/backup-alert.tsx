import { Link } from 'react-router';
import { useBackups } from '../api/backup-queries.js';
import classes from './backup-alert.module.css';

/** Says that the daily copy of the data could not be made; nothing where it could. */
export function BackupAlert() {
  const { data: view } = useBackups();
  if (!view || view.failure === null) return null;
  return (
    <p className={classes.alert} role="alert">
      Your data could not be copied: {view.failure} <Link to="/settings#backups">See the backups</Link>
    </p>
  );
}
