import { useEffect } from 'react';

/** Keeps the screen on while a run is under way and to be seen; where the browser does not let it, nothing happens. */
export function useWakeLock(isWanted: boolean): void {
  useEffect(() => {
    if (!isWanted || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let isOver = false;
    const take = async (): Promise<void> => {
      if (document.visibilityState !== 'visible') return;
      const taken = await navigator.wakeLock.request('screen').catch(() => null);
      if (isOver) await taken?.release();
      else lock = taken;
    };
    const again = (): void => void take();
    void take();
    document.addEventListener('visibilitychange', again);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, [isWanted]);
}
