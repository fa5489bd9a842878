import type { RunState } from '@keen/core';
import { runPhotoUrl } from '../../api/run-queries.js';
import { useFormat } from '../../format/use-format.js';
import type { RunLog } from './run-log.js';
import classes from './live.module.css';

/** Notes and photographs of this run so far. */
export function NotesList({ state, log }: { readonly state: RunState; readonly log: RunLog }) {
  const format = useFormat();
  if (state.notes.length === 0) return null;
  return (
    <section className={classes.notes} aria-label="Notes">
      <h2>Notes</h2>
      <ul>
        {state.notes.map(({ id, atMs, text, photoId }) => (
          <li key={id}>
            <span className="figure">{format.time(atMs)}</span> {text}
            {photoId !== null && (
              <>
                {text && ' '}
                <a href={runPhotoUrl(log.washId, photoId)} target="_blank" rel="noreferrer">
                  photograph
                </a>
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
