import { Inject, Injectable } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { customers, vehicles } from '../db/schema.js';
import { badField } from '../errors/api-error.js';

/** Whether a car may be photographed: it is its customer who says so. */
@Injectable()
export class ConsentRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** A car of nobody's is the shop's own. @throws 400 where its customer has said no */
  async requirePhotographs(vehicleId: string): Promise<void> {
    const [row] = await this.db
      .select({ name: customers.name, photoConsent: customers.photoConsent, consentMs: customers.consentMs })
      .from(vehicles)
      .innerJoin(customers, eq(customers.id, vehicles.customerId))
      .where(eq(vehicles.id, vehicleId));
    if (row?.photoConsent === 'none' && row.consentMs !== null)
      throw badField(
        'photo',
        `${row.name} wants no photographs of this car. Note it in words; what was agreed on stands under Customers.`,
      );
  }
}
