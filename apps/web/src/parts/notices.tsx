import { Button, Group } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { ApiError } from '../api/client.js';

const UNDO_MS = 12_000;

/** Says what was done and offers to take it back. */
export function noticeWithUndo(message: string, undo: () => void): void {
  const id = `undo-${message}`;
  const takeBack = (): void => {
    notifications.hide(id);
    undo();
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
