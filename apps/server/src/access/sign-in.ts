import type { Database } from '../db/database.js';
import { accessCodes, accessCredentials, accessSessions, accessUsers } from '../db/schema.js';
import { hash, verify } from '@node-rs/argon2';
import { LONGEST_PASSWORD, SHORTEST_PASSWORD } from '@keen/core';
import { betterAuth } from 'better-auth';
import { createAuthEndpoint } from 'better-auth/api';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { setSessionCookie } from 'better-auth/cookies';
import { LONGEST_NAME, SHORTEST_NAME } from './access.dto.js';
import { username } from 'better-auth/plugins/username';
import { z } from 'zod';

const SECONDS_PER_DAY = 86_400;
/** A phone at the bay stays signed in over a season's break; each day of use begins it again. */
const SESSION_DAYS = 90;

const phone = z.object({ userId: z.string(), device: z.string() });

/** Lets a phone in that holds a code: for the account that the code was made for, and under the name that it is given. */
const pairing = {
  id: 'pairing',
  endpoints: {
    letIn: createAuthEndpoint('/let-in', { method: 'POST', body: phone }, async (context) => {
      const { userId, device } = context.body;
      const { internalAdapter } = context.context;
      const user = await internalAdapter.findUserById(userId);
      if (!user) return context.json(null, { status: 404 });
      const session = await internalAdapter.createSession(userId, false, { device });
      await setSessionCookie(context, { session, user });
      return context.json({ id: session.id });
    }),
  },
};

/** Argon2, with the library's own usual strength. */
const PASSWORDS = {
  enabled: true,
  disableSignUp: true,
  minPasswordLength: SHORTEST_PASSWORD,
  maxPasswordLength: LONGEST_PASSWORD,
  password: {
    hash: (password: string) => hash(password),
    verify: ({ hash: known, password }: { hash: string; password: string }) => verify(known, password),
  },
} as const;

const USER = {
  additionalFields: {
    role: { type: 'string', input: false },
    workerId: { type: 'string', required: false, input: false },
  },
} as const;

const SESSION = {
  expiresIn: SESSION_DAYS * SECONDS_PER_DAY,
  updateAge: SECONDS_PER_DAY,
  additionalFields: {
    device: { type: 'string', required: false, input: false },
    lastSeenMs: { type: 'number', required: false, input: false },
  },
} as const;

/**
 * Passwords, sessions and their cookies, by the sign-in library.
 *
 * @param secret signs the cookies
 * @param isSecure cookies go over TLS only
 */
export const signInOf = (db: Database, { secret, isSecure }: { secret: string; isSecure: boolean }) =>
  betterAuth({
    appName: 'Keen Rinse',
    // Cookies are for whichever name the server was asked under; no address is ever made from this.
    baseURL: 'http://127.0.0.1',
    secret,
    database: drizzleAdapter(db, {
      provider: 'sqlite',
      schema: {
        user: accessUsers,
        session: accessSessions,
        account: accessCredentials,
        verification: accessCodes,
      },
    }),
    emailAndPassword: PASSWORDS,
    user: USER,
    session: SESSION,
    plugins: [
      username({
        minUsernameLength: SHORTEST_NAME,
        maxUsernameLength: LONGEST_NAME,
        usernameValidator: () => true,
      }),
      pairing,
    ],
    advanced: {
      useSecureCookies: isSecure,
      cookiePrefix: 'keen',
      defaultCookieAttributes: { httpOnly: true, sameSite: 'strict' },
    },
    logger: { disabled: true },
    telemetry: { enabled: false },
  });

export type SignIn = ReturnType<typeof signInOf>;
