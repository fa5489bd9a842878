import { create } from 'zustand';

/** The service worker's room for what was read last, as its configuration names it. */
const ROOM = 'last-read';

interface LastRead {
  /** What is shown was read at this instant, since the server cannot be reached; null: it is the server's own answer. */
  readonly keptMs: number | null;
  /** How long ago that was when it was shown, ms. */
  readonly ageMs: number;
}

export const useLastRead = create<LastRead>()(() => ({ keptMs: null, ageMs: 0 }));

/** An answer came: the server's own, or one that was kept at an instant. The oldest that is shown counts. */
export function noteKept(text: string | null): void {
  const { keptMs } = useLastRead.getState();
  if (text === null) {
    if (keptMs !== null) useLastRead.setState({ keptMs: null });
    return;
  }
  const readMs = Number(text);
  if (keptMs === null || readMs < keptMs)
    useLastRead.setState({ keptMs: readMs, ageMs: Date.now() - readMs });
}

/** Nothing that one person read stays for the next. */
export const forgetLastRead = async (): Promise<void> => {
  useLastRead.setState({ keptMs: null });
  if ('caches' in globalThis) await caches.delete(ROOM);
};
