import { Button, Group } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { ApiError } from '../api/client.js';

const UNDO_MS = 12_000;

/** Says what was done and offers to undo it; says why where undoing fails. */
export function noticeWithUndo(message: string, undo: () => Promise<unknown>): void {
  const id = `undo-${message}`;
  const takeBack = (): void => {
    notifications.hide(id);
    undo().catch(noticeOfFailure);
  };
  notifications.show({
    id,
    autoClose: UNDO_MS,
    withBorder: true,
    closeButtonProps: { 'aria-label': 'Close this notice' },
    message: (
      <Group justify="space-between" wrap="nowrap">
        <span>{message}</span>
        <Button size="compact-sm" variant="default" onClick={takeBack}>
          Undo
        </Button>
      </Group>
    ),
  });
}

/**
 * Says what a change did and offers to undo it, or says why it failed. Nothing of that hangs on what asked for the change: a row is often
 * gone from the page, or the page left, before the answer is there.
 *
 * @returns whether it was done
 */
export const sayWithUndo = <T,>(
  change: Promise<T>,
  message: string | ((answer: T) => string),
  undo: (answer: T) => Promise<unknown>,
): Promise<boolean> =>
  change.then(
    (answer) => {
      noticeWithUndo(typeof message === 'string' ? message : message(answer), () => undo(answer));
      return true;
    },
    (error: Error) => {
      noticeOfFailure(error);
      return false;
    },
  );

/** Says what went wrong with an action. */
export function noticeOfFailure(error: Error): void {
  const message =
    error instanceof ApiError
      ? error.message
      : 'The server is not responding; nothing was changed. Try again.';
  notifications.show({
    color: 'lamp',
    title: 'That did not work',
    message,
    withBorder: true,
    closeButtonProps: { 'aria-label': 'Close this notice' },
  });
}

/** Says that this phone could not keep what was done. */
export function noticeNotKept(): void {
  notifications.show({
    color: 'lamp',
    title: 'Not kept',
    message: 'This phone could not keep that; is it full? Nothing was changed. Make room and do it again.',
    withBorder: true,
    closeButtonProps: { 'aria-label': 'Close this notice' },
  });
}
