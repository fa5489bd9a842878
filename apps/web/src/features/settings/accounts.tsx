import { Button, Group, Menu } from '@mantine/core';
import type { AccountView, PairingView, Settings } from '@keen/core';
import { useState } from 'react';
import { useAccounts, useDeleteAccount, useEndDevice, useOfferPairing } from '../../api/access-queries.js';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { MoreMenu } from '../../parts/more-menu.js';
import { noticeOfFailure } from '../../parts/notices.js';
import { Failed, Loading } from '../../parts/states.js';
import { ROLE_NAMES } from '../../words/access-words.js';
import { nameOf } from '../../words/names.js';
import { AccountForm } from './account-form.js';
import classes from './accounts.module.css';
import { PairingDialog } from './pairing-dialog.js';
import box from './settings.module.css';

type Workers = Settings['workers'];

const seenText = (lastSeenMs: number | null, format: Format): string =>
  lastSeenMs === null ? 'not seen since' : `last seen ${format.dayTime(lastSeenMs)}`;

function Devices({ account }: { readonly account: AccountView }) {
  const format = useFormat();
  const end = useEndDevice();
  if (account.devices.length === 0) return <p className="muted">Signed in nowhere.</p>;
  return (
    <ul className={classes.devices} aria-label={`Where ${account.name} is signed in`}>
      {account.devices.map(({ id, device, lastSeenMs, isThis }) => (
        <li key={id}>
          <span>{device ?? 'Unnamed device'}</span>
          <span className="muted">{isThis ? 'this one' : seenText(lastSeenMs, format)}</span>
          {!isThis && (
            <Button
              size="compact-sm"
              variant="subtle"
              aria-label={`Sign out ${device ?? 'the unnamed device'} of ${account.name}`}
              onClick={() => void end.mutateAsync(id).catch(noticeOfFailure)}
            >
              Sign out
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}

interface AccountProps {
  readonly account: AccountView;
  readonly workers: Workers;
  readonly onPaired: (name: string, pairing: PairingView) => void;
}

function Account({ account, workers, onPaired }: AccountProps) {
  const [isEditing, setEditing] = useState(false);
  const remove = useDeleteAccount();
  const offer = useOfferPairing();
  const { id, name, role, workerId } = account;
  return (
    <div className={classes.account}>
      <div className={classes.head}>
        <span>{name}</span>
        <span className="muted">
          {ROLE_NAMES[role]}
          {workerId !== null && `, washes as ${nameOf(workers, workerId)}`}
        </span>
        <Group gap="xs">
          <Button
            size="compact-md"
            variant="default"
            loading={offer.isPending}
            aria-label={`Let a phone in for ${name}`}
            onClick={() =>
              void offer.mutateAsync(id).then((pairing) => onPaired(name, pairing), noticeOfFailure)
            }
          >
            Let a phone in
          </Button>
          <MoreMenu about={`the account of ${name}`} size="compact-md">
            <Menu.Item onClick={() => setEditing(true)}>Change</Menu.Item>
            <Menu.Item onClick={() => void remove.mutateAsync(id).catch(noticeOfFailure)}>
              Delete, and sign out everywhere
            </Menu.Item>
          </MoreMenu>
        </Group>
      </div>
      {isEditing ? (
        <AccountForm account={account} isFirst={false} workers={workers} onClose={() => setEditing(false)} />
      ) : (
        <Devices account={account} />
      )}
    </div>
  );
}

/** Who may come in, by which phones and computers. */
export function Accounts({ workers }: { readonly workers: Workers }) {
  const { data: accounts, error } = useAccounts();
  const [isAdding, setAdding] = useState(false);
  const [paired, setPaired] = useState<{ readonly name: string; readonly pairing: PairingView } | null>(null);
  return (
    <section className={box.box} aria-label="Accounts and phones">
      <h2>Accounts and phones</h2>
      {error && <Failed error={error} />}
      {!accounts && !error && <Loading what="Looking who may come in" />}
      {accounts?.length === 0 && (
        <p>
          Nobody has to sign in: the program answers this computer alone. Add yourself as the owner to use it
          from phones, and to let others in with less than everything.
        </p>
      )}
      {accounts?.map((account) => (
        <Account
          key={account.id}
          account={account}
          workers={workers}
          onPaired={(name, pairing) => setPaired({ name, pairing })}
        />
      ))}
      {isAdding && (
        <AccountForm
          account={null}
          isFirst={accounts?.length === 0}
          workers={workers}
          onClose={() => setAdding(false)}
        />
      )}
      {accounts && !isAdding && (
        <Button mt="sm" variant="default" onClick={() => setAdding(true)}>
          {accounts.length === 0 ? 'Add the owner' : 'Add an account'}
        </Button>
      )}
      {paired && <PairingDialog {...paired} onClose={() => setPaired(null)} />}
    </section>
  );
}
