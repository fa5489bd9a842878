import { Button, Menu } from '@mantine/core';
import type { ReactNode } from 'react';

interface MoreMenuProps {
  /** What it is more about, for those who hear the page. */
  readonly about: string;
  /** Of the button that opens it; the usual one where absent. */
  readonly size?: string;
  /** Items of a menu. */
  readonly children: ReactNode;
}

/**
 * What else can be done with something, behind one button.
 * It stays open where its button is carried out of sight, as by a list that an answer puts in another order.
 */
export function MoreMenu({ about, size, children }: MoreMenuProps) {
  return (
    <Menu position="bottom-end" withinPortal={false} hideDetached={false}>
      <Menu.Target>
        <Button variant="subtle" size={size} aria-label={`More about ${about}`}>
          More
        </Button>
      </Menu.Target>
      <Menu.Dropdown>{children}</Menu.Dropdown>
    </Menu>
  );
}
