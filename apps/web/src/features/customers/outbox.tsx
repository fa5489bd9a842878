import { Button, Group, Textarea } from '@mantine/core';
import { type MessageRecord, type UnsentMessage } from '@keen/core';
import { useState } from 'react';
import {
  useMessages,
  usePutMessage,
  useRemoveMessage,
  useRestoreMessage,
  useTakeMessages,
} from '../../api/customer-queries.js';
import { useFormat } from '../../format/use-format.js';
import { download } from '../../parts/download.js';
import { noticeOfFailure, sayWithUndo } from '../../parts/notices.js';
import { messageText, SHIPPED_TEMPLATES } from '../../words/message-words.js';
import { MESSAGE_NAMES, nameOf } from '../../words/names.js';
import classes from './customers.module.css';
import { messagesFile } from './messages-view.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import type { MessagesProps } from './messages-props.js';

export function Draft({
  unsent,
  customers,
  vehicles,
  places,
  templates,
}: MessagesProps & { readonly unsent: UnsentMessage }) {
  const format = useFormat();
  const put = usePutMessage();
  const template = templates[unsent.kind] ?? SHIPPED_TEMPLATES[unsent.kind];
  const [typed, setTyped] = useState<string | null>(null);
  const body = typed ?? messageText(template, unsent, { customers, vehicles, places, format });
  const customer = customers.find(({ id }) => id === unsent.customerId);
  const label = `${MESSAGE_NAMES[unsent.kind]}: ${customer?.name ?? ''}, ${nameOf(vehicles, unsent.vehicleId)}`;
  return (
    <div className={classes.draft}>
      <Textarea
        label={label}
        description={customer?.contact ? `Reached by ${customer.contact}` : 'No way to reach them is noted'}
        autosize
        minRows={3}
        maxLength={4000}
        value={body}
        onChange={(event) => setTyped(event.currentTarget.value)}
      />
      <OwnerOnly>
        <Group mt={6}>
          <Button
            color="lamp.3"
            loading={put.isPending}
            disabled={body.trim() === ''}
            onClick={() =>
              void put.mutateAsync({ washId: unsent.wash.id, kind: unsent.kind, body }).catch(noticeOfFailure)
            }
          >
            Put in the outbox
          </Button>
          {typed !== null && (
            <Button variant="default" onClick={() => setTyped(null)}>
              As the template has it
            </Button>
          )}
        </Group>
      </OwnerOnly>
    </div>
  );
}

export function Outbox({ customers, vehicles }: MessagesProps) {
  const format = useFormat();
  const { data: messages } = useMessages();
  const take = useTakeMessages();
  const remove = useRemoveMessage();
  const restore = useRestoreMessage();
  if (!messages) return null;
  const waiting = messages.filter(({ exportedMs }) => exportedMs === null);
  const takeOut = (): void =>
    void take
      .mutateAsync()
      .then(
        (taken) =>
          download('messages.txt', messagesFile(taken, { customers, vehicles, format }), 'text/plain'),
        noticeOfFailure,
      );
  const forget = ({ id }: MessageRecord): void =>
    void sayWithUndo(remove.mutateAsync(id), 'The message is thrown away.', () => restore.mutateAsync(id));
  return (
    <section className={classes.box}>
      <div className={classes.head}>
        <h2>Outbox</h2>
        <OwnerOnly>
          <Button
            variant="default"
            disabled={waiting.length === 0}
            loading={take.isPending}
            onClick={takeOut}
          >
            Export {waiting.length} as a file
          </Button>
        </OwnerOnly>
      </div>
      <p className="muted">
        Nothing is sent anywhere from here: take the messages out and send them as you usually do.
      </p>
      {messages.length === 0 && <p>The outbox is empty.</p>}
      <ul className={classes.messages}>
        {messages.map((message) => (
          <li key={message.id}>
            <div>
              <strong>
                {MESSAGE_NAMES[message.kind]}: {nameOf(customers, message.customerId)},{' '}
                {nameOf(vehicles, message.vehicleId)}
              </strong>
              <div className="muted">
                {format.dayTime(message.createdMs)}
                {message.exportedMs === null ? ', waits' : `, exported ${format.dayTime(message.exportedMs)}`}
              </div>
              <p className={classes.body}>{message.body}</p>
            </div>
            <OwnerOnly>
              <Button
                size="compact-sm"
                variant="subtle"
                aria-label={`Delete: ${MESSAGE_NAMES[message.kind]}, ${nameOf(customers, message.customerId)}`}
                onClick={() => forget(message)}
              >
                Delete
              </Button>
            </OwnerOnly>
          </li>
        ))}
      </ul>
    </section>
  );
}
