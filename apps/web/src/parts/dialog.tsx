import { Drawer, Modal } from '@mantine/core';
import type { ReactNode } from 'react';
import classes from './dialog.module.css';

interface DialogProps {
  readonly title: string;
  readonly opened?: boolean;
  readonly onClose: () => void;
  /** What closing does, for those who hear the page. */
  readonly closeLabel?: string;
  readonly children: ReactNode;
}

/** A dialog in the middle. The head is no page banner, so that the page keeps a single one. */
export function Dialog({ title, opened = true, onClose, closeLabel = 'Close', children }: DialogProps) {
  return (
    <Modal.Root opened={opened} onClose={onClose} size="lg">
      <Modal.Overlay />
      <Modal.Content>
        <div className={classes.head}>
          <Modal.Title className={classes.title}>{title}</Modal.Title>
          <Modal.CloseButton aria-label={closeLabel} />
        </div>
        <Modal.Body>{children}</Modal.Body>
      </Modal.Content>
    </Modal.Root>
  );
}

/** The same at the side, for long forms. */
export function SideDialog({ title, opened = true, onClose, closeLabel = 'Close', children }: DialogProps) {
  return (
    <Drawer.Root opened={opened} onClose={onClose} position="right" size="lg">
      <Drawer.Overlay />
      <Drawer.Content>
        <div className={classes.head}>
          <Drawer.Title className={classes.title}>{title}</Drawer.Title>
          <Drawer.CloseButton aria-label={closeLabel} />
        </div>
        <Drawer.Body>{children}</Drawer.Body>
      </Drawer.Content>
    </Drawer.Root>
  );
}
