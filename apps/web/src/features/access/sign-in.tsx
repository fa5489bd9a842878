import { Button, PasswordInput, TextInput } from '@mantine/core';
import { useEffect, useState } from 'react';
import { useSignIn } from '../../api/access-queries.js';
import { ApiError } from '../../api/client.js';
import classes from './access.module.css';
import { likelyDeviceName } from '../../parts/device-name.js';

/** Name and password. @param isOver what was being done is kept behind it */
export function SignIn({ isOver = false }: { readonly isOver?: boolean }) {
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const signIn = useSignIn();
  useEffect(() => {
    document.title = 'Sign in · Keen Rinse';
  }, []);
  const { error } = signIn;
  const fault = error instanceof ApiError ? error.message : 'The server is not responding. Try again.';
  return (
    <main className={isOver ? `${classes.door} ${classes.over}` : classes.door}>
      <form
        className={classes.card}
        aria-label="Sign in"
        onSubmit={(event) => {
          event.preventDefault();
          signIn.mutate({ name, password, device: likelyDeviceName() });
        }}
      >
        <h1>Sign in</h1>
        {isOver && <p>You were signed out. What you were doing is kept behind this.</p>}
        <TextInput
          label="Name"
          autoComplete="username"
          autoCapitalize="none"
          autoFocus
          required
          withAsterisk={false}
          value={name}
          onChange={(event) => setName(event.currentTarget.value)}
        />
        <PasswordInput
          label="Password"
          autoComplete="current-password"
          required
          withAsterisk={false}
          value={password}
          onChange={(event) => setPassword(event.currentTarget.value)}
          error={error && fault}
        />
        <Button type="submit" loading={signIn.isPending}>
          Sign in
        </Button>
        <p className="muted">
          Forgotten? The owner gives you a new password under Settings, Accounts and phones. On a phone, a
          code from there lets you in without one.
        </p>
      </form>
    </main>
  );
}
