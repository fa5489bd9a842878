import { Button, Group, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useWipe } from '../../api/start-again-queries.js';
import { Dialog } from '../../parts/dialog.js';
import { noticeOfFailure } from '../../parts/notices.js';
import classes from './settings.module.css';

const WORD = 'wipe';

function WipeDialog({ onClose }: { readonly onClose: () => void }) {
  const wipe = useWipe();
  const [typed, setTyped] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const go = (): void => {
    if (typed.trim().toLowerCase() !== WORD) {
      setFault(`Type ${WORD} if you mean it.`);
      return;
    }
    wipe.mutate(undefined, { onError: noticeOfFailure });
  };
  return (
    <Dialog title="Wipe the shop" onClose={onClose}>
      <p>
        Cars, places, customers, washes, kit and settings go; accounts stay. A copy is made first, and stands
        under Backups: restoring it brings all of this back.
      </p>
      <TextInput
        label={`Type ${WORD} to go on`}
        value={typed}
        onChange={(event) => {
          setTyped(event.currentTarget.value);
          setFault(null);
        }}
        error={fault}
        data-autofocus
      />
      <Group mt="md">
        <Button color="red.8" loading={wipe.isPending} onClick={go}>
          Copy, then wipe
        </Button>
        <Button variant="default" onClick={onClose}>
          Keep it
        </Button>
      </Group>
    </Dialog>
  );
}

/** The way back to an empty shop. */
export function StartAgain() {
  const [isOpen, setOpen] = useState(false);
  return (
    <section className={classes.box} aria-label="Start again">
      <h2>Start again</h2>
      <p>An empty shop, to begin with your own cars or to try made-up ones.</p>
      <Button variant="default" onClick={() => setOpen(true)}>
        Wipe the shop …
      </Button>
      {isOpen && <WipeDialog onClose={() => setOpen(false)} />}
    </section>
  );
}
