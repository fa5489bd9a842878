import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { type Customer, hasLength } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { badField, notFound } from '../errors/api-error.js';
import { requireUnchanged } from '../errors/unchanged.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import type { CreateCustomerDto, UpdateCustomerDto } from './customer.dto.js';
import { CustomersRepository } from '../records/customers.repository.js';

@Injectable()
export class CustomersService {
  constructor(
    private readonly customers: CustomersRepository,
    private readonly vehicles: VehiclesRepository,
    private readonly clock: ClockService,
  ) {}

  list(): Promise<Customer[]> {
    return this.customers.list();
  }

  async read(id: string): Promise<Customer> {
    const record = await this.customers.find(id);
    if (!record) throw notFound('customer', id);
    return record;
  }

  async create({ vehicleIds, ...dto }: CreateCustomerDto): Promise<Customer> {
    await this.requireOk(dto, vehicleIds);
    const record: Customer = {
      contact: '',
      notes: '',
      photoConsent: 'none',
      availability: null,
      ...dto,
      id: randomUUID(),
      consentMs: dto.photoConsent === undefined ? null : this.clock.now(),
    };
    await this.customers.insert(record);
    if (vehicleIds) await this.customers.setCars(record.id, vehicleIds);
    return record;
  }

  async update(id: string, { vehicleIds, was, ...dto }: UpdateCustomerDto): Promise<Customer> {
    const before = await this.read(id);
    requireUnchanged(before, was);
    await this.requireOk(dto, vehicleIds);
    const isAsked = dto.photoConsent !== undefined && dto.photoConsent !== before.photoConsent;
    const change = isAsked ? { ...dto, consentMs: this.clock.now() } : dto;
    await this.customers.update(id, change);
    if (vehicleIds) await this.customers.setCars(id, vehicleIds);
    return { ...before, ...change };
  }

  async remove(id: string): Promise<void> {
    await this.read(id);
    await this.customers.setRemoved(id, this.clock.now());
  }

  async restore(id: string): Promise<Customer> {
    if (!(await this.customers.setRemoved(id, null))) throw notFound('customer', id);
    return this.read(id);
  }

  /** No day ends before it begins, and every car is there. @throws 400 naming the field */
  private async requireOk(
    { availability }: Pick<CreateCustomerDto, 'availability'>,
    vehicleIds: readonly string[] = [],
  ): Promise<void> {
    availability?.forEach((span, day) => {
      const field = `availability.${day}.closeMinute`;
      if (span && !hasLength(span))
        throw badField(field, `${field}: it ends as it begins; the whole day is 0 to 1440.`);
    });
    const known = new Set((await this.vehicles.list()).map(({ id }) => id));
    vehicleIds.forEach((id, i) => {
      if (!known.has(id)) throw badField(`vehicleIds.${i}`, `vehicleIds.${i}: there is no vehicle ${id}.`);
    });
  }
}
