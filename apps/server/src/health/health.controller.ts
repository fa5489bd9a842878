import { Controller, Get, Inject } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { sql } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';

export const VERSION = '0.1.0';

@ApiTags('health')
@Controller('health')
export class HealthController {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** Which version runs, and whether its database is open. */
  @Get()
  async read(): Promise<{ version: string; database: 'open' | 'closed' }> {
    try {
      await this.db.run(sql`select 1`);
      return { version: VERSION, database: 'open' };
    } catch {
      return { version: VERSION, database: 'closed' };
    }
  }
}
