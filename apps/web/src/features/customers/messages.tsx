import { Textarea } from '@mantine/core';
import { MESSAGE_KINDS, type MessageKind } from '@keen/core';
import { useState } from 'react';
import { useUnsentMessages } from '../../api/customer-queries.js';
import { useSaveSettings } from '../../api/queries.js';
import { noticeOfFailure } from '../../parts/notices.js';
import { Empty, Failed, Loading } from '../../parts/states.js';
import { PLACEHOLDERS, SHIPPED_TEMPLATES, unknownPlaceholders } from '../../words/message-words.js';
import { MESSAGE_NAMES } from '../../words/names.js';
import classes from './customers.module.css';
import { Draft, Outbox } from './outbox.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import type { MessagesProps } from './messages-props.js';

/** What customers do not know yet, the outbox, and the words that are used. Nothing is sent from here. */
export function Messages(props: MessagesProps) {
  const { data: unsent, error } = useUnsentMessages();
  if (error) return <Failed error={error} />;
  return (
    <>
      <section className={classes.box}>
        <h2>They do not know yet</h2>
        {!unsent && <Loading what="Comparing the plan with what customers were told" />}
        {unsent?.length === 0 && <Empty title="Everybody knows what the plan says" />}
        {unsent?.map((one) => (
          <Draft key={`${one.kind} ${one.wash.id} ${one.wash.startMs}`} unsent={one} {...props} />
        ))}
      </section>
      <Outbox {...props} />
      <OwnerOnly>
        <Templates templates={props.templates} />
      </OwnerOnly>
    </>
  );
}

function Templates({ templates }: Pick<MessagesProps, 'templates'>) {
  const save = useSaveSettings();
  const set = (kind: MessageKind, text: string): void => {
    const own = text === SHIPPED_TEMPLATES[kind] ? '' : text;
    void save.mutateAsync({ templates: { [kind]: own } }).catch(noticeOfFailure);
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
