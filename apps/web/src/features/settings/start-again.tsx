import { Button } from '@mantine/core';
import { useState } from 'react';
import { useWipe } from '../../api/start-again-queries.js';
import { noticeOfFailure } from '../../parts/notices.js';
import { SureDialog } from '../../parts/sure-dialog.js';
import classes from './settings.module.css';

/** The way back to an empty shop. */
export function StartAgain() {
  const [isOpen, setOpen] = useState(false);
  const wipe = useWipe();
  return (
    <section className={classes.box} aria-label="Start again">
      <h2>Start again</h2>
      <p>An empty shop, to begin with your own cars or to try made-up ones.</p>
      <Button variant="default" onClick={() => setOpen(true)}>
        Wipe the shop …
      </Button>
      {isOpen && (
        <SureDialog
          title="Wipe the shop"
          word="wipe"
          label="Type wipe to go on"
          otherwise="Type wipe if you mean it."
          act="Copy, then wipe"
          isBusy={wipe.isPending}
          onAct={() => void wipe.mutateAsync().catch(noticeOfFailure)}
          onClose={() => setOpen(false)}
        >
          <p>
            Cars, places, customers, washes, kit and settings go; accounts stay. A copy is made first, and
            stands under Backups: restoring it brings all of this back.
          </p>
        </SureDialog>
      )}
    </section>
  );
}
