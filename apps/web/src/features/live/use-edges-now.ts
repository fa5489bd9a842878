import { type EdgesNow, MS_PER_HOUR, type Reading, type RunPack } from '@keen/core';
import { type Remote, wrap } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { EdgesWorker } from './edges.worker.js';

/** How long water and product last by the readings taken, worked out in a worker; by the sheet until that has come. */
export function useEdgesNow(pack: RunPack, readings: readonly Reading[], nowMs: number): EdgesNow {
  const asMade = useMemo((): EdgesNow => ({ edges: pack.sheet.edges, latest: {} }), [pack]);
  const [answer, setAnswer] = useState<{ readonly pack: RunPack; readonly now: EdgesNow } | null>(null);
  const remote = useRef<Remote<EdgesWorker> | null>(null);
  useEffect(() => {
    const worker = new Worker(new URL('./edges.worker.ts', import.meta.url), { type: 'module' });
    remote.current = wrap<EdgesWorker>(worker);
    return () => {
      remote.current = null;
      worker.terminate();
    };
  }, []);
  // The weather of the pack goes by the hour.
  const hourMs = Math.floor(nowMs / MS_PER_HOUR) * MS_PER_HOUR;
  const told = JSON.stringify(readings);
  useEffect(() => {
    let isCurrent = true;
    void remote.current?.edges(pack, JSON.parse(told) as readonly Reading[], hourMs).then((now) => {
      if (isCurrent) setAnswer({ pack, now });
    });
    return () => {
      isCurrent = false;
    };
  }, [pack, told, hourMs]);
  return answer?.pack === pack ? answer.now : asMade;
}
