import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import type { IncomingHttpHeaders } from 'node:http';
import { Inject, Injectable } from '@nestjs/common';
import type { SignedIn } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { CONFIG, type Config, isReachable } from '../config/config.js';
import { tlsFiles } from '../config/tls-files.js';
import { notFound, turnedAway } from '../errors/api-error.js';
import { inPassing } from '../db/in-passing.js';
import { AccessRepository } from '../records/access.repository.js';
import type { SignIn } from './sign-in.js';

const SECRET_BYTES = 32;
/** How often it is noted that a phone was there. */
const SEEN_EVERY_MS = 60_000;

/** Who asks, and in which session. */
export interface Asker extends SignedIn {
  readonly sessionId: string;
}

/** An asker, and the cookie that goes on with the session, where it is time for one. */
export interface Recognised {
  readonly who: Asker | null;
  readonly cookies: readonly string[];
}

const cookiesOf = (headers: Headers): string[] => headers.getSetCookie();

/** Who may come in. Nobody has to sign in while no account has been made. */
@Injectable()
export class AccessService {
  private library: Promise<SignIn> | null = null;
  private known: { readonly hasAccounts: boolean } | null = null;

  constructor(
    private readonly repository: AccessRepository,
    private readonly clock: ClockService,
    @Inject(CONFIG) private readonly config: Config,
  ) {}

  get signIns(): Promise<SignIn> {
    return (this.library ??= this.makeLibrary());
  }

  private async makeLibrary(): Promise<SignIn> {
    const { tls, isBehindProxy } = this.config;
    // Most shops have no account, and none is asked for before the first answer: the library is not opened for the start.
    const { signInOf } = await import('./sign-in.js');
    const secret = await this.repository.secretOr(() => randomBytes(SECRET_BYTES).toString('base64url'));
    return signInOf(this.repository.db, { secret, isSecure: tls !== null || isBehindProxy });
  }

  async hasAccounts(): Promise<boolean> {
    this.known ??= { hasAccounts: (await this.repository.accounts()).length > 0 };
    return this.known.hasAccounts;
  }

  /** Nobody has to sign in: no account has been made, and nobody but this machine can ask. */
  async isOpen(): Promise<boolean> {
    return !isReachable(this.config) && !(await this.hasAccounts());
  }

  /** The certificate of the shop's own authority. @throws 404 where it has none */
  authority(): Buffer {
    const { authorityFile } = tlsFiles(this.config.dataFolder);
    if (!existsSync(authorityFile)) throw notFound('authority', 'of this shop');
    return readFileSync(authorityFile);
  }

  /** An account was made or deleted. */
  accountsChanged(): void {
    this.known = null;
  }

  /** Whose session a request carries; null: nobody's, or one that was ended. */
  async recognise({ cookie }: IncomingHttpHeaders): Promise<Recognised> {
    if (!cookie) return { who: null, cookies: [] };
    const { api } = await this.signIns;
    const { headers, response } = await api.getSession({
      headers: new Headers({ cookie }),
      returnHeaders: true,
    });
    if (!response) return { who: null, cookies: [] };
    const { user, session } = response;
    const { device = null, lastSeenMs = null } = session;
    const nowMs = this.clock.now();
    if (Math.abs(nowMs - (lastSeenMs ?? 0)) > SEEN_EVERY_MS)
      await inPassing(() => this.repository.seen(session.id, nowMs));
    const who: Asker = {
      sessionId: session.id,
      accountId: user.id,
      name: user.name,
      role: user.role as SignedIn['role'],
      workerId: user.workerId ?? null,
      device,
    };
    return { who, cookies: cookiesOf(headers) };
  }

  /** @returns cookies of the new session. @throws 401 where name or password is wrong, whichever it is */
  async signIn(of: {
    readonly name: string;
    readonly password: string;
    readonly device?: string;
  }): Promise<string[]> {
    const { api } = await this.signIns;
    const response = await api.signInUsername({
      body: { username: of.name.trim(), password: of.password },
      headers: new Headers(),
      asResponse: true,
    });
    if (!response.ok)
      throw turnedAway(401, {
        code: 'not-signed-in',
        field: 'password',
        message: 'Name or password is wrong.',
      });
    const { token } = (await response.json()) as { token: string };
    if (of.device?.trim()) await this.repository.nameDevice(token, of.device.trim());
    return cookiesOf(response.headers);
  }

  /** Ends the session that a request carries. @returns cookies that forget it */
  async signOut({ cookie = '' }: IncomingHttpHeaders): Promise<string[]> {
    const { api } = await this.signIns;
    const { headers } = await api.signOut({ headers: new Headers({ cookie }), returnHeaders: true });
    return cookiesOf(headers);
  }

  /** Lets a phone in for an account. @returns cookies of its session. @throws 401 where the account is gone */
  async letIn(userId: string, device: string): Promise<string[]> {
    const { api } = await this.signIns;
    const response = await api.letIn({ body: { userId, device }, asResponse: true });
    if (!response.ok)
      throw turnedAway(401, {
        code: 'wrong-code',
        field: 'code',
        message: 'The account that this code was made for is gone.',
      });
    return cookiesOf(response.headers);
  }
}
