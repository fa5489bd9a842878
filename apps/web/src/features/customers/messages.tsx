import { Button, Group, Textarea } from '@mantine/core';
import {
  type Customer,
  MESSAGE_KINDS,
  type MessageKind,
  type MessageRecord,
  type PlaceRecord,
  type Settings,
  type Untold,
  type VehicleRecord,
} from '@keen/core';
import { useState } from 'react';
import {
  useMessages,
  usePutMessage,
  useRemoveMessage,
  useRestoreMessage,
  useTakeMessages,
  useUntold,
} from '../../api/customer-queries.js';
import { useSaveSettings } from '../../api/queries.js';
import { useFormat } from '../../format/use-format.js';
import { download } from '../../parts/download.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
import { Empty, Failed, Loading } from '../../parts/states.js';
import {
  messageText,
  PLACEHOLDERS,
  SHIPPED_TEMPLATES,
  unknownPlaceholders,
} from '../../words/message-words.js';
import { MESSAGE_NAMES, nameOf } from '../../words/names.js';
import classes from './customers.module.css';
import { messagesFile } from './messages-view.js';

interface MessagesProps {
  readonly customers: readonly Customer[];
  readonly vehicles: readonly VehicleRecord[];
  readonly places: readonly PlaceRecord[];
  readonly templates: Settings['templates'];
}

/** What customers do not know yet, the outbox, and the words that are used. Nothing is sent from here. */
export function Messages(props: MessagesProps) {
  const { data: untold, error } = useUntold();
  if (error) return <Failed error={error} />;
  return (
    <>
      <section className={classes.box}>
        <h2>They do not know yet</h2>
        {!untold && <Loading what="Comparing the plan with what customers were told" />}
        {untold?.length === 0 && <Empty title="Everybody knows what the plan says" />}
        {untold?.map((one) => (
          <Draft key={`${one.kind} ${one.wash.id} ${one.wash.startMs}`} untold={one} {...props} />
        ))}
      </section>
      <Outbox {...props} />
      <Templates templates={props.templates} />
    </>
  );
}

function Draft({
  untold,
  customers,
  vehicles,
  places,
  templates,
}: MessagesProps & { readonly untold: Untold }) {
  const format = useFormat();
  const put = usePutMessage();
  const template = templates[untold.kind] ?? SHIPPED_TEMPLATES[untold.kind];
  const [typed, setTyped] = useState<string | null>(null);
  const body = typed ?? messageText(template, untold, { customers, vehicles, places, format });
  const customer = customers.find(({ id }) => id === untold.customerId);
  const label = `${MESSAGE_NAMES[untold.kind]}: ${customer?.name ?? ''}, ${nameOf(vehicles, untold.vehicleId)}`;
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
      <Group mt={6}>
        <Button
          color="lamp.3"
          loading={put.isPending}
          disabled={body.trim() === ''}
          onClick={() =>
            put.mutate({ washId: untold.wash.id, kind: untold.kind, body }, { onError: noticeOfFailure })
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
    </div>
  );
}

function Outbox({ customers, vehicles }: MessagesProps) {
  const format = useFormat();
  const { data: messages } = useMessages();
  const take = useTakeMessages();
  const remove = useRemoveMessage();
  const restore = useRestoreMessage();
  if (!messages) return null;
  const waiting = messages.filter(({ exportedMs }) => exportedMs === null);
  const takeOut = (): void =>
    take.mutate(undefined, {
      onSuccess: (taken) =>
        download('messages.txt', messagesFile(taken, { customers, vehicles, format }), 'text/plain'),
      onError: noticeOfFailure,
    });
  const forget = ({ id }: MessageRecord): void =>
    remove.mutate(id, {
      onSuccess: () => noticeWithUndo('The message is thrown away.', () => restore.mutate(id)),
      onError: noticeOfFailure,
    });
  return (
    <section className={classes.box}>
      <div className={classes.head}>
        <h2>Outbox</h2>
        <Button variant="default" disabled={waiting.length === 0} loading={take.isPending} onClick={takeOut}>
          Export {waiting.length} as a file
        </Button>
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
            <Button
              size="compact-sm"
              variant="subtle"
              aria-label={`Delete: ${MESSAGE_NAMES[message.kind]}, ${nameOf(customers, message.customerId)}`}
              onClick={() => forget(message)}
            >
              Delete
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Templates({ templates }: Pick<MessagesProps, 'templates'>) {
  const save = useSaveSettings();
  const set = (kind: MessageKind, text: string): void => {
    const own = text === SHIPPED_TEMPLATES[kind] ? '' : text;
    save.mutate({ templates: { [kind]: own } }, { onError: noticeOfFailure });
  };
  return (
    <details className={classes.box}>
      <summary>The words that are used</summary>
      <p className="muted">
        In braces: {PLACEHOLDERS.map((name) => `{${name}}`).join(', ')}. Saved when you leave the field; empty
        goes back to what ships.
      </p>
      {MESSAGE_KINDS.map((kind) => (
        <Template
          key={`${kind} ${templates[kind] ?? ''}`}
          kind={kind}
          text={templates[kind] ?? SHIPPED_TEMPLATES[kind]}
          onSave={(text) => set(kind, text)}
        />
      ))}
    </details>
  );
}

interface TemplateProps {
  readonly kind: MessageKind;
  readonly text: string;
  readonly onSave: (text: string) => void;
}

function Template({ kind, text, onSave }: TemplateProps) {
  const [typed, setTyped] = useState(text);
  const unknown = unknownPlaceholders(typed);
  return (
    <Textarea
      mt="sm"
      label={MESSAGE_NAMES[kind]}
      autosize
      minRows={3}
      maxLength={2000}
      value={typed}
      onChange={(event) => setTyped(event.currentTarget.value)}
      onBlur={() => unknown.length === 0 && typed !== text && onSave(typed)}
      error={
        unknown.length > 0
          ? `Not saved: ${unknown.map((name) => `{${name}}`).join(', ')} stands for nothing here.`
          : undefined
      }
    />
  );
}
