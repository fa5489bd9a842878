import { lastTap, type RunDeed, type RunMoment } from '@keen/core';
import { useHotkeys } from '@mantine/hooks';
import type { RunView } from './run-log.js';

interface RunKeys {
  readonly press: () => void;
  readonly act: (...deeds: readonly RunDeed[]) => void;
  readonly view: RunView;
  readonly moment: RunMoment;
  readonly isOpen: boolean;
  readonly onMore: () => void;
}

/** Space: the large button. U: undo. P: pause. N: note, reading, order. They rest while a sheet is open. */
export function useRunKeys({ press, act, view, moment, isOpen, onMore }: RunKeys): void {
  const whenFree = (work: () => void) => (event: KeyboardEvent) => {
    // A focused button takes the space bar for itself.
    if (isOpen || event.target instanceof HTMLButtonElement) return;
    event.preventDefault();
    work();
  };
  useHotkeys([
    ['space', whenFree(press)],
    [
      'u',
      whenFree(() => {
        const last = lastTap(view.actions, view.deviceId);
        if (last) act({ kind: 'undo', tap: last.tap });
      }),
    ],
    ['p', whenFree(() => act({ kind: moment.isPaused ? 'resume' : 'pause' }))],
    ['n', whenFree(onMore)],
  ]);
}
