import type { Role } from '@keen/core';

export const ROLE_NAMES: Readonly<Record<Role, string>> = {
  owner: 'Owner',
  helper: 'Helper',
  bookkeeper: 'Bookkeeper',
};

export const ROLE_MEANS: Readonly<Record<Role, string>> = {
  owner: 'does everything',
  helper: 'sees and runs their own washes, no prices, no customers',
  bookkeeper: 'reads and exports everything, changes nothing',
};
