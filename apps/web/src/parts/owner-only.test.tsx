import { describe, expect, it } from '@jest/globals';
import type { Role } from '@keen/core';
import { screen, waitFor } from '@testing-library/react';
import { madeUpServer } from '../testing/server.js';
import { show } from '../testing/show.js';
import { OwnerOnly } from './owner-only.js';

const as = (role: Role | null) => {
  const who = role && { accountId: 'a', name: 'Ida', role, workerId: null, device: null };
  madeUpServer(({ path }) =>
    path.endsWith('/access/session') ? { body: { isOpen: role === null, who } } : undefined,
  );
  show(
    <>
      <p>The list</p>
      <OwnerOnly>
        <button type="button">Delete</button>
      </OwnerOnly>
    </>,
  );
};

describe('what changes the records', () => {
  it.each<[Role | null, boolean]>([
    ['owner', true],
    [null, true],
    ['helper', false],
    ['bookkeeper', false],
  ])('is shown to %s: %s', async (role, isShown) => {
    as(role);
    expect(screen.getByText('The list')).toBeTruthy();
    await waitFor(() => expect(screen.queryByRole('button') !== null).toBe(isShown));
  });
});
