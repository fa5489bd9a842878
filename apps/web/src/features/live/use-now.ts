import { useEffect, useState } from 'react';

const TICK_MS = 500;

/** The run's clock, twice a second; it is read again, never counted, so that sleep and throttling do not matter. */
export function useNow(read: () => number, isRunning: boolean): number {
  const [nowMs, setNowMs] = useState(read);
  useEffect(() => {
    const look = (): void => setNowMs(read());
    look();
    if (!isRunning) return;
    const timer = setInterval(look, TICK_MS);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, [read, isRunning]);
  return nowMs;
}
