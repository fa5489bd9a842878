import { Controller, Get, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { AuditPage } from '@keen/core';
import { AuditQuery } from './audit.dto.js';
import { AuditService } from './audit.service.js';

@ApiTags('audit')
@Controller('audit')
export class AuditController {
  constructor(private readonly audit: AuditService) {}

  /** What was changed, by whom and from which phone, the newest first. */
  @Get()
  read(@Query() query: AuditQuery): Promise<AuditPage> {
    return this.audit.page(query);
  }
}
