import type { LiveCopyView } from '@keen/core';
import { Button, Group } from '@mantine/core';
import { useBackups, useMakeBackup, useTryBackup } from '../../api/backup-queries.js';
import { useFormat } from '../../format/use-format.js';
import { noticeOfFailure } from '../../parts/notices.js';
import { Failed, Loading } from '../../parts/states.js';
import classes from './settings.module.css';

const BYTES_PER_MB = 1_000_000;
/** Older ones are counted, not listed. */
const MOST_LISTED = 5;

const gigabytes = (bytes: number): string => `${(bytes / 1_000_000_000).toFixed(1)} GB`;

/** A copy that follows every write: whether it does, and how far behind. */
function LiveCopy({ to, isRunning, lagSeconds, failure }: LiveCopyView) {
  if (failure !== null)
    return (
      <p role="alert">
        The live copy to {to} does not run: {failure}
      </p>
    );
  const behind = lagSeconds === null ? 'beginning' : `${Math.round(lagSeconds)} s behind`;
  return (
    <p>
      A live copy follows every write to {to}: <strong>{isRunning ? behind : 'not running'}</strong>. Another
      machine takes the shop over with npm run takeover -- and that address.
    </p>
  );
}

/** Opens the newest copy elsewhere and says what is in it: a copy that nobody ever opened is a hope. */
function TryNewest() {
  const format = useFormat();
  const trial = useTryBackup();
  const { data } = trial;
  return (
    <>
      <Button
        variant="default"
        loading={trial.isPending}
        onClick={() => void trial.mutateAsync().catch(noticeOfFailure)}
      >
        Try the newest copy
      </Button>
      {data && (
        <span role="status">
          It opens: {data.vehicles} {data.vehicles === 1 ? 'car' : 'cars'}, {data.washes} washes,{' '}
          {data.customers} customers, as of {format.dayTime(data.atMs)}. Your data was not touched.
        </span>
      )}
    </>
  );
}

/** Copies of the shop's data: which there are, when the next is made, and one button for one now. */
export function Backups() {
  const format = useFormat();
  const { data: view, error } = useBackups();
  const make = useMakeBackup();
  if (error) return <Failed error={error} />;
  if (!view) return <Loading what="Looking for backups" />;
  const { copies, isDaily, nextMs, failure, folder, secondFolder, freeBytes } = view;
  const older = copies.length - MOST_LISTED;
  return (
    <section className={classes.box} aria-label="Backups">
      <h2>Backups</h2>
      {failure !== null && (
        <p role="alert">
          The last copy could not be made: {failure} See that there is room, and that {folder} can be written
          to.
        </p>
      )}
      <p>
        {copies.length === 0
          ? 'No copy of your data yet.'
          : `The last copy is of ${format.dayTime(copies[0]?.atMs ?? 0)}.`}{' '}
        {isDaily && nextMs !== null
          ? `One is made each day, the next about ${format.dayTime(nextMs)}; a week of days, a month of weeks and a year of months are kept.`
          : 'Made-up data is not copied by itself.'}
      </p>
      <p className="muted">
        {freeBytes !== null && `${gigabytes(freeBytes)} free on the disk. `}
        {secondFolder === null
          ? 'Copies on the same disk are lost with it: give a second folder by KEEN_BACKUP_ALSO.'
          : `Each copy goes to ${secondFolder} as well.`}
      </p>
      {view.liveCopy && <LiveCopy {...view.liveCopy} />}
      {copies.length > 0 && (
        <ul>
          {copies.slice(0, MOST_LISTED).map(({ atMs, bytes }) => (
            <li key={atMs}>
              {format.dayTime(atMs)}, {(bytes / BYTES_PER_MB).toFixed(1)} MB
            </li>
          ))}
          {older > 0 && <li>{older} older</li>}
        </ul>
      )}
      <Group>
        <Button
          variant="default"
          loading={make.isPending}
          onClick={() => void make.mutateAsync().catch(noticeOfFailure)}
        >
          Make a copy now
        </Button>
        {copies.length > 0 && <TryNewest />}
      </Group>
      <p className="muted">
        In {folder}. To go back to one: stop the program, then npm run restore -- and the file; what was there
        is kept beside it.
      </p>
    </section>
  );
}
