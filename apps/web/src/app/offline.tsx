import { notifications } from '@mantine/notifications';
import { Button } from '@mantine/core';
import { registerSW } from 'virtual:pwa-register';

/** Keeps the program on this device, so that it opens with no signal; a new version is offered, never forced. */
export function keepOffline(): void {
  const renew = registerSW({
    onNeedRefresh() {
      notifications.show({
        id: 'new-version',
        autoClose: false,
        withBorder: true,
        closeButtonProps: { 'aria-label': 'Close this notice' },
        message: (
          <Button size="compact-sm" variant="default" onClick={() => void renew(true)}>
            Open the new version
          </Button>
        ),
      });
    },
  });
}
