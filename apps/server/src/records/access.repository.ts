import { Inject, Injectable } from '@nestjs/common';
import type { Role } from '@keen/core';
import { asc, eq, gt } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { accessSessions, accessUsers, settings } from '../db/schema.js';

const SECRET_KEY = 'access-secret';

export interface AccountRow {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly workerId: string | null;
}

export interface SessionRow {
  readonly id: string;
  readonly userId: string;
  readonly device: string | null;
  readonly lastSeenMs: number | null;
}

/** Accounts and sessions, where more of them is wanted than the sign-in library gives. */
@Injectable()
export class AccessRepository {
  constructor(@Inject(DATABASE) readonly db: Database) {}

  /** What signs the cookies: the database's own, so that a copy of it that takes over knows its phones still. */
  async secretOr(make: () => string): Promise<string> {
    await this.db.insert(settings).values({ key: SECRET_KEY, value: make() }).onConflictDoNothing();
    const [row] = await this.db.select().from(settings).where(eq(settings.key, SECRET_KEY));
    if (typeof row?.value !== 'string') throw new Error(`settings: ${SECRET_KEY} is no text`);
    return row.value;
  }

  /** All accounts, by name. */
  accounts(): Promise<AccountRow[]> {
    const { id, name, role, workerId } = accessUsers;
    return this.db.select({ id, name, role, workerId }).from(accessUsers).orderBy(asc(name));
  }

  /** Sessions that have not run out. */
  sessions(): Promise<SessionRow[]> {
    const { id, userId, device, createdAt, lastSeenMs, expiresAt } = accessSessions;
    return this.db
      .select({ id, userId, device, lastSeenMs })
      .from(accessSessions)
      .where(gt(expiresAt, new Date()))
      .orderBy(asc(createdAt));
  }

  async seen(sessionId: string, atMs: number): Promise<void> {
    await this.db.update(accessSessions).set({ lastSeenMs: atMs }).where(eq(accessSessions.id, sessionId));
  }

  /** @returns whether there was such a session */
  async endSession(sessionId: string): Promise<boolean> {
    const ended = await this.db.delete(accessSessions).where(eq(accessSessions.id, sessionId));
    return ended.rowsAffected > 0;
  }

  /** Ends all of an account's sessions. */
  async endAll(userId: string): Promise<void> {
    await this.db.delete(accessSessions).where(eq(accessSessions.userId, userId));
  }

  /** Names the phone or computer of a session that has just begun. */
  async nameDevice(token: string, device: string): Promise<void> {
    await this.db.update(accessSessions).set({ device }).where(eq(accessSessions.token, token));
  }

  async change(
    id: string,
    change: Partial<Omit<AccountRow, 'id'>> & { readonly username?: string },
  ): Promise<void> {
    await this.db
      .update(accessUsers)
      .set({ ...change, updatedAt: new Date() })
      .where(eq(accessUsers.id, id));
  }

  async remove(id: string): Promise<void> {
    await this.db.delete(accessUsers).where(eq(accessUsers.id, id));
  }
}
