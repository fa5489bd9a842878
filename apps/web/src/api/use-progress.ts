import { useEffect, useState } from 'react';

export interface Progress {
  readonly label: string;
  readonly share: number;
}

/** How far the engine has come, while there is something to wait for; null before it has said anything. */
export function useProgress(isWaiting: boolean): Progress | null {
  const [progress, setProgress] = useState<Progress | null>(null);
  useEffect(() => {
    if (!isWaiting) return undefined;
    const events = new EventSource('/api/verdicts/progress');
    events.onmessage = (event: MessageEvent<string>) => setProgress(JSON.parse(event.data) as Progress);
    return () => {
      events.close();
      setProgress(null);
    };
  }, [isWaiting]);
  return progress;
}
