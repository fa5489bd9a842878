import { Button, TextInput } from '@mantine/core';
import { useEffect, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { usePair } from '../../api/access-queries.js';
import { ApiError } from '../../api/client.js';
import classes from './access.module.css';
import { likelyDeviceName } from '../../parts/device-name.js';

/** Lets this phone in by a code from the desk. */
export function PairPage() {
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const [code, setCode] = useState(params.get('code') ?? '');
  const [device, setDevice] = useState(() => likelyDeviceName());
  const pair = usePair();
  useEffect(() => {
    document.title = 'Let this phone in · Keen Rinse';
  }, []);
  const { error } = pair;
  const fault = error instanceof ApiError ? error.message : 'The server is not responding. Try again.';
  return (
    <main className={classes.door}>
      <form
        className={classes.card}
        aria-label="Let this phone in"
        onSubmit={(event) => {
          event.preventDefault();
          pair.mutate({ code, device }, { onSuccess: () => void navigate('/') });
        }}
      >
        <h1>Let this phone in</h1>
        <TextInput
          label="Code from the desk"
          autoCapitalize="characters"
          autoComplete="one-time-code"
          required
          withAsterisk={false}
          value={code}
          onChange={(event) => setCode(event.currentTarget.value)}
          error={error && fault}
        />
        <TextInput
          label="What it is called"
          description="In the list at the desk, where it can be sent away again"
          required
          withAsterisk={false}
          maxLength={60}
          value={device}
          onChange={(event) => setDevice(event.currentTarget.value)}
        />
        <Button type="submit" loading={pair.isPending}>
          Let it in
        </Button>
      </form>
    </main>
  );
}
