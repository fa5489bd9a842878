import { ActionIcon, Menu } from '@mantine/core';
import { IconUser } from '@tabler/icons-react';
import { useSession, useSignOut } from '../api/access-queries.js';
import { noticeOfFailure } from '../parts/notices.js';
import { ROLE_NAMES } from '../words/access-words.js';

/** Who is signed in, and the way out; nothing where nobody has to sign in. */
export function AccountMenu() {
  const { data: session } = useSession();
  const signOut = useSignOut();
  const who = session?.who;
  if (!who) return null;
  return (
    <Menu position="bottom-end" withinPortal={false}>
      <Menu.Target>
        <ActionIcon variant="transparent" c="#e9f0ef" size="lg" aria-label={`Signed in as ${who.name}`}>
          <IconUser size={20} />
        </ActionIcon>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Label>
          {who.name}, {ROLE_NAMES[who.role].toLowerCase()}
          {who.device !== null && ` · ${who.device}`}
        </Menu.Label>
        <Menu.Item onClick={() => void signOut.mutateAsync().catch(noticeOfFailure)}>Sign out</Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}
