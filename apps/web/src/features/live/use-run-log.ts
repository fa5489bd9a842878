import { useEffect, useState, useSyncExternalStore } from 'react';
import { askRun, askRunNews, sendRunActions, sendRunPhoto } from '../../api/run-queries.js';
import { openRunDb } from './run-db.js';
import { RunLog } from './run-log.js';
import { type RunServer, type RunView } from './run-view.js';

const POLL_MS = 3000;

const server: RunServer = {
  read: askRun,
  news: askRunNews,
  send: sendRunActions,
  sendPhoto: sendRunPhoto,
};

const noop = (): (() => void) => () => undefined;
const none = (): null => null;

interface OpenedRun {
  /** null until the phone's store is open. */
  readonly opened: { readonly log: RunLog; readonly view: RunView } | null;
  /** Why this phone cannot keep anything; null: it can. */
  readonly failure: Error | null;
}

/** The log of one run on this phone, kept in step with the server while the page is to be seen. */
export function useRunLog(washId: string): OpenedRun {
  const [log, setLog] = useState<RunLog | null>(null);
  const [failure, setFailure] = useState<Error | null>(null);
  useEffect(() => {
    let isOpen = true;
    const opened = openRunDb();
    opened
      .then((db) => {
        if (!isOpen) return undefined;
        const made = new RunLog(db, server, washId);
        setLog(made);
        return made.open();
      })
      .catch((error: unknown) => {
        if (isOpen) setFailure(error instanceof Error ? error : new Error('no store'));
      });
    return () => {
      isOpen = false;
      setLog(null);
      opened.then((db) => db.close()).catch(() => undefined);
    };
  }, [washId]);
  useEffect(() => {
    if (!log) return;
    const look = (): void => {
      if (document.visibilityState === 'visible') void log.sync();
    };
    const timer = setInterval(look, POLL_MS);
    document.addEventListener('visibilitychange', look);
    window.addEventListener('online', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
      window.removeEventListener('online', look);
    };
  }, [log]);
  const view = useSyncExternalStore<RunView | null>(log?.subscribe ?? noop, log?.snapshot ?? none);
  return { opened: log && view ? { log, view } : null, failure };
}
