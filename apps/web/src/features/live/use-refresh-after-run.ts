import type { RunState } from '@keen/core';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { refresh } from '../../api/change.js';

/** Once the server has a start, a close or its undo, all that depends on it is asked for again. */
export function useRefreshAfterRun(phase: RunState['phase'], keptCount: number): void {
  const client = useQueryClient();
  const told = useRef(phase);
  useEffect(() => {
    if (keptCount > 0 || told.current === phase) return;
    told.current = phase;
    void refresh(client, 'runs');
  }, [client, phase, keptCount]);
}
