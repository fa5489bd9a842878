import { Kbd, Table } from '@mantine/core';
import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { Dialog } from '../parts/dialog.js';
import { VIEWS } from './navigation.js';

const FIRST_KEY_MS = 1200;

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** g and a letter goes to a view; ? opens the sheet. */
export function useShortcuts(onSheet: () => void): void {
  const navigate = useNavigate();
  const armedUntil = useRef(0);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (event.key === '?') onSheet();
      else if (event.key === 'g') armedUntil.current = event.timeStamp + FIRST_KEY_MS;
      else if (event.timeStamp < armedUntil.current) {
        armedUntil.current = 0;
        const view = VIEWS.find(({ key }) => key === event.key);
        if (view) void navigate(view.path);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [navigate, onSheet]);
}

const OTHERS = [
  { keys: ['Ctrl', 'K'], does: 'Go to a view or a vehicle by name' },
  { keys: ['?'], does: 'This sheet' },
  { keys: ['←', '→', '↑', '↓'], does: 'On the ribbon: move between hours and bands' },
  { keys: ['Home', 'End'], does: 'On the ribbon: first and last hour' },
  { keys: ['n'], does: 'On the ribbon: next start that goes in this band' },
  { keys: ['Enter'], does: 'On the ribbon: plan the wash at the chosen hour' },
  { keys: ['Enter', '←', '→', '↑', '↓'], does: 'On the plan: pick up a wash, move it, put it down' },
  { keys: ['l', 'Delete'], does: 'On the plan: lock or unlock a wash, remove it' },
];

/** The short sheet of keys. */
export function ShortcutSheet({
  opened,
  onClose,
}: {
  readonly opened: boolean;
  readonly onClose: () => void;
}) {
  const rows = [...VIEWS.map(({ key, label }) => ({ keys: ['g', key], does: label })), ...OTHERS];
  return (
    <Dialog opened={opened} onClose={onClose} title="Keyboard shortcuts">
      <Table>
        <Table.Tbody>
          {rows.map(({ keys, does }) => (
            <Table.Tr key={does}>
              <Table.Td w={130}>
                {keys.map((key) => (
                  <Kbd key={key} mr={4}>
                    {key}
                  </Kbd>
                ))}
              </Table.Td>
              <Table.Td>{does}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Dialog>
  );
}
