import { Injectable } from '@nestjs/common';
import type { TodaysContact } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { CustomersRepository } from '../records/customers.repository.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { WashesRepository } from '../records/washes.repository.js';
import { SettingsService } from '../settings/settings.service.js';

/** Whom to call about the cars of the day. */
@Injectable()
export class ContactsService {
  constructor(
    private readonly customers: CustomersRepository,
    private readonly vehicles: VehiclesRepository,
    private readonly washes: WashesRepository,
    private readonly settings: SettingsService,
    private readonly clock: ClockService,
  ) {}

  /** @param workerId whose washes count; null: everybody's. @returns one entry for each car of today that has somebody in the book */
  async ofToday(workerId: string | null): Promise<TodaysContact[]> {
    const [washes, vehicles, customers, { timeZone }] = await Promise.all([
      this.washes.list({ status: 'planned' }),
      this.vehicles.list(),
      this.customers.list(),
      this.settings.read(),
    ]);
    const day = new Intl.DateTimeFormat('en-CA', { timeZone });
    const today = day.format(this.clock.now());
    const due = new Set(
      washes
        .filter((wash) => workerId === null || wash.workerId === workerId)
        .filter(({ startMs }) => day.format(startMs) === today)
        .map(({ vehicleId }) => vehicleId),
    );
    return vehicles.flatMap(({ id, customerId }) => {
      const customer = due.has(id) ? customers.find((one) => one.id === customerId) : undefined;
      return customer ? [{ vehicleId: id, name: customer.name, contact: customer.contact }] : [];
    });
  }
}
