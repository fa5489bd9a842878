import { Button, Group, PasswordInput, Select, TextInput } from '@mantine/core';
import { type AccountView, ROLES, type Settings, SHORTEST_PASSWORD } from '@keen/core';
import { useState } from 'react';
import { type AccountFields, useAddAccount, useChangeAccount } from '../../api/access-queries.js';
import { ApiError } from '../../api/client.js';
import { noticeOfFailure } from '../../parts/notices.js';
import { likelyDeviceName } from '../../parts/device-name.js';
import { ROLE_MEANS, ROLE_NAMES } from '../../words/access-words.js';
import classes from './accounts.module.css';

/** What explains a field stands below it, so that fields side by side are level. */
const FIELD_FIRST: ('label' | 'input' | 'error' | 'description')[] = [
  'label',
  'input',
  'error',
  'description',
];

interface AccountFormProps {
  /** null: a new one. */
  readonly account: AccountView | null;
  readonly isFirst: boolean;
  readonly workers: Settings['workers'];
  readonly onClose: () => void;
}

const shortPassword = (password: string): string | undefined =>
  password.length < SHORTEST_PASSWORD ? `At least ${SHORTEST_PASSWORD} characters.` : undefined;

/** Only what was changed; a password that was not typed stays. */
function changesOf(account: AccountView, fields: AccountFields): Partial<AccountFields> {
  const { password, ...others } = fields;
  const changed = Object.entries(others).filter(
    ([name, value]) => account[name as keyof typeof others] !== value,
  );
  return { ...Object.fromEntries(changed), ...(password && { password }) };
}

/** An account, new or as it is. */
export function AccountForm({ account, isFirst, workers, onClose }: AccountFormProps) {
  const [fields, setFields] = useState<AccountFields>({
    name: account?.name ?? '',
    password: '',
    role: account?.role ?? (isFirst ? 'owner' : 'helper'),
    workerId: account?.workerId ?? null,
  });
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const add = useAddAccount();
  const change = useChangeAccount();
  const set = (part: Partial<AccountFields>): void => setFields({ ...fields, ...part });
  const onError = (error: Error): void => {
    if (error instanceof ApiError) setErrors(error.byField);
    if (!(error instanceof ApiError) || Object.keys(error.byField).length === 0) noticeOfFailure(error);
  };
  const submit = (): void => {
    const password = account && fields.password === '' ? undefined : shortPassword(fields.password);
    setErrors(password ? { password } : {});
    if (password) return;
    if (account)
      change.mutate({ id: account.id, ...changesOf(account, fields) }, { onSuccess: onClose, onError });
    else add.mutate({ ...fields, device: likelyDeviceName() }, { onSuccess: onClose, onError });
  };
  return (
    <form
      aria-label={account ? `Account of ${account.name}` : 'A new account'}
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <div className={classes.form}>
        <TextInput
          label="Name to sign in with"
          required
          withAsterisk={false}
          maxLength={40}
          autoComplete="off"
          value={fields.name}
          onChange={(event) => set({ name: event.currentTarget.value })}
          error={errors.name}
        />
        <PasswordInput
          label={account ? 'New password' : 'Password'}
          inputWrapperOrder={FIELD_FIRST}
          description={
            account
              ? 'Left empty, it stays; a new one signs out everywhere'
              : `${SHORTEST_PASSWORD} characters or more`
          }
          autoComplete="new-password"
          value={fields.password}
          onChange={(event) => set({ password: event.currentTarget.value })}
          error={errors.password}
        />
        <Select
          label="Role"
          inputWrapperOrder={FIELD_FIRST}
          description={ROLE_MEANS[fields.role]}
          data={ROLES.map((value) => ({ value, label: ROLE_NAMES[value] }))}
          allowDeselect={false}
          disabled={isFirst}
          value={fields.role}
          onChange={(role) => role && set({ role })}
          error={errors.role}
        />
        <Select
          label="Who this is in the plan"
          inputWrapperOrder={FIELD_FIRST}
          description="A helper sees only their own washes"
          clearable
          data={workers.map(({ id, name }) => ({ value: id, label: name }))}
          value={fields.workerId}
          onChange={(workerId) => set({ workerId })}
          error={errors.workerId}
        />
      </div>
      <Group mt="sm">
        <Button type="submit" loading={add.isPending || change.isPending}>
          {account ? 'Save' : 'Add the account'}
        </Button>
        <Button variant="default" onClick={onClose}>
          Cancel
        </Button>
      </Group>
    </form>
  );
}
