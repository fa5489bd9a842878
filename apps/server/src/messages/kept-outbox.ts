import type { MessageRecord } from '@keen/core';
import { Inject, Injectable } from '@nestjs/common';
import { desc, eq, inArray, isNull } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { messages } from '../db/schema.js';
import type { Outbox } from './outbox.js';

/** The outbox that ships with the program: messages wait here until somebody takes them out. Nothing is sent anywhere. */
@Injectable()
export class KeptOutbox implements Outbox {
  readonly name = 'outbox on this machine';

  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async list(): Promise<MessageRecord[]> {
    const rows = await this.db
      .select()
      .from(messages)
      .where(isNull(messages.removedMs))
      .orderBy(desc(messages.createdMs));
    return rows.map(({ removedMs: _, ...record }) => record);
  }

  async put(record: MessageRecord): Promise<void> {
    await this.db.insert(messages).values(record);
  }

  async markTaken(ids: readonly string[], atMs: number): Promise<void> {
    if (ids.length > 0)
      await this.db
        .update(messages)
        .set({ exportedMs: atMs })
        .where(inArray(messages.id, [...ids]));
  }

  async setRemoved(id: string, removedMs: number | null): Promise<boolean> {
    const { rowsAffected } = await this.db.update(messages).set({ removedMs }).where(eq(messages.id, id));
    return rowsAffected > 0;
  }
}
