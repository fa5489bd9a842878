import { Injectable, type OnApplicationBootstrap } from '@nestjs/common';
import { AUDIT_DAYS, type AuditPage, MS_PER_DAY } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { inPassing } from '../db/in-passing.js';
import { type AuditFilter, AuditRepository } from '../records/audit.repository.js';
import { toldChange } from './told-change.js';

/** How many changes one answer holds. */
const PAGE = 100;

@Injectable()
export class AuditService implements OnApplicationBootstrap {
  constructor(
    private readonly audit: AuditRepository,
    private readonly clock: ClockService,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    await inPassing(() => this.audit.forgetBefore(this.clock.now() - AUDIT_DAYS * MS_PER_DAY));
  }

  async page(filter: AuditFilter): Promise<AuditPage> {
    const [rows, people] = await Promise.all([this.audit.newest(filter, PAGE + 1), this.audit.people()]);
    const shown = rows.slice(0, PAGE);
    return {
      entries: shown.flatMap((row) => toldChange(row) ?? []),
      olderFrom: rows.length > PAGE ? (shown.at(-1)?.seq ?? null) : null,
      people,
    };
  }
}
