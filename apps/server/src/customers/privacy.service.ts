import { Inject, Injectable } from '@nestjs/common';
import type { CustomerEverything } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import type { OpenDatabase } from '../db/database.js';
import { OPEN_DATABASE } from '../db/database.module.js';
import { notFound } from '../errors/api-error.js';
import { CustomersRepository } from '../records/customers.repository.js';
import { PrivacyRepository } from '../records/privacy.repository.js';

/** What a customer may ask for: all that is known of them, and that it goes. */
@Injectable()
export class PrivacyService {
  constructor(
    private readonly customers: CustomersRepository,
    private readonly privacy: PrivacyRepository,
    private readonly clock: ClockService,
    @Inject(OPEN_DATABASE) private readonly open: OpenDatabase,
  ) {}

  private async requireKnown(id: string): Promise<void> {
    const record = (await this.customers.find(id)) ?? (await this.customers.findRemoved(id));
    if (!record) throw notFound('customer', id);
  }

  async everything(id: string): Promise<CustomerEverything> {
    await this.requireKnown(id);
    return { madeMs: this.clock.now(), records: await this.privacy.everything(id) };
  }

  /** Cannot be undone: nothing of it is left in the file. */
  async erase(id: string): Promise<void> {
    await this.requireKnown(id);
    await this.privacy.erase(id, this.clock.now());
    await this.open.tidy();
  }
}
