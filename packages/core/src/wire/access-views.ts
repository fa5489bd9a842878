/** Who works with the program: the owner does everything; a helper washes; a bookkeeper reads. */
export const ROLES = ['owner', 'helper', 'bookkeeper'] as const;
export type Role = (typeof ROLES)[number];

/** Somebody who is signed in. */
export interface SignedIn {
  readonly accountId: string;
  readonly name: string;
  readonly role: Role;
  /** Whose washes are this person's own; null: nobody's. */
  readonly workerId: string | null;
  /** The phone or computer, by the name it was given; null: none was. */
  readonly device: string | null;
}

/** Whether somebody has to sign in here, and who has. */
export interface SessionView {
  /** No account has been made: anybody at this machine may do everything. */
  readonly isOpen: boolean;
  /** null: nobody, or it is open. */
  readonly who: SignedIn | null;
}

/** A phone or computer on which somebody is signed in. */
export interface DeviceView {
  readonly id: string;
  readonly device: string | null;
  /** On the shop's clock; null: not since it was let in. */
  readonly lastSeenMs: number | null;
  /** The one that asks. */
  readonly isThis: boolean;
}

export interface AccountView {
  readonly id: string;
  /** What one signs in with, and is called by. */
  readonly name: string;
  readonly role: Role;
  readonly workerId: string | null;
  readonly devices: readonly DeviceView[];
}

/** A code by which one phone is let in for an account, once. */
export interface PairingView {
  readonly code: string;
  readonly goodForMinutes: number;
  /** Where the phone goes. */
  readonly path: string;
  /** The address as a drawing that a phone's camera reads (SVG); null where the server was asked under a name that no phone can reach. */
  readonly picture: string | null;
}

export const SHORTEST_PASSWORD = 10;
export const LONGEST_PASSWORD = 128;
