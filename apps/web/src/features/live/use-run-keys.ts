import type { RunDeed, RunMoment } from '@keen/core';
import { useHotkeys } from '@mantine/hooks';

interface RunKeys {
  readonly press: () => void;
  readonly undo: () => void;
  readonly act: (...deeds: readonly RunDeed[]) => void;
  readonly moment: RunMoment;
  readonly isOpen: boolean;
  readonly onMore: () => void;
}

/** Space: the large button. U: undo. P: pause. N: note, reading, order. They rest while a sheet is open. */
export function useRunKeys({ press, undo, act, moment, isOpen, onMore }: RunKeys): void {
  const whenFree = (work: () => void) => (event: KeyboardEvent) => {
    if (isOpen || event.repeat) return;
    event.preventDefault();
    work();
  };
  // A focused button takes the space bar for itself.
  const pressUnlessOnButton = (event: KeyboardEvent): void => {
    if (!(event.target instanceof HTMLButtonElement)) whenFree(press)(event);
  };
  useHotkeys([
    ['space', pressUnlessOnButton],
    ['u', whenFree(undo)],
    ['p', whenFree(() => act({ kind: moment.isPaused ? 'resume' : 'pause' }))],
    ['n', whenFree(onMore)],
  ]);
}
