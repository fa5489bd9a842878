import type { PairingView } from '@keen/core';
import { Dialog } from '../../parts/dialog.js';
import classes from './accounts.module.css';

interface PairingDialogProps {
  readonly name: string;
  readonly pairing: PairingView;
  readonly onClose: () => void;
}

/** The code that lets one phone in, as a drawing for its camera and in letters. */
export function PairingDialog({
  name,
  pairing: { code, goodForMinutes, path, picture },
  onClose,
}: PairingDialogProps) {
  return (
    <Dialog title={`Let a phone in for ${name}`} onClose={onClose}>
      {picture === null ? (
        <p>
          This page was opened under a name that only this computer goes by, so no phone can follow it. On the
          phone open this server under its own address, at {path.split('?')[0]}, and type the code.
        </p>
      ) : (
        <>
          <p>Point the phone’s camera at it, or open {path.split('?')[0]} there and type the code.</p>
          <img
            className={classes.picture}
            src={`data:image/svg+xml;utf8,${encodeURIComponent(picture)}`}
            alt={`Address for the phone, with the code ${code}`}
          />
        </>
      )}
      <p className={`figure ${classes.code}`}>
        {code.slice(0, 5)} {code.slice(5)}
      </p>
      <p className="muted">
        A phone that warns of the connection has to trust this shop’s computer first: open /trust on it.
      </p>
      <p className="muted">Good for one phone, for {goodForMinutes} minutes.</p>
    </Dialog>
  );
}
