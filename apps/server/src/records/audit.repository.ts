import { Inject, Injectable } from '@nestjs/common';
import type { AuditedRecord } from '@keen/core';
import { and, desc, eq, isNotNull, lt, type SQL } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { audit } from '../db/schema.js';

export type AuditRow = typeof audit.$inferSelect;

export interface AuditFilter {
  readonly record?: AuditedRecord | undefined;
  readonly recordId?: string | undefined;
  readonly who?: string | undefined;
  /** Older than this number. */
  readonly before?: number | undefined;
}

@Injectable()
export class AuditRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** The newest first. */
  newest({ record, recordId, who, before }: AuditFilter, most: number): Promise<AuditRow[]> {
    const conditions: (SQL | undefined)[] = [
      record && eq(audit.record, record),
      recordId ? eq(audit.recordId, recordId) : undefined,
      who ? eq(audit.who, who) : undefined,
      before === undefined ? undefined : lt(audit.seq, before),
    ].map((condition) => condition || undefined);
    return this.db
      .select()
      .from(audit)
      .where(and(...conditions))
      .orderBy(desc(audit.seq))
      .limit(most);
  }

  async people(): Promise<string[]> {
    const rows = await this.db.selectDistinct({ who: audit.who }).from(audit).where(isNotNull(audit.who));
    return rows.flatMap(({ who }) => who ?? []).sort();
  }

  /** What is older is forgotten. */
  async forgetBefore(atMs: number): Promise<void> {
    await this.db.delete(audit).where(lt(audit.atMs, atMs));
  }
}
