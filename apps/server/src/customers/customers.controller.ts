import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Req } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Customer, CustomerEverything, TodaysContact } from '@keen/core';
import type { Request } from 'express';
import type { Asker } from '../access/access.service.js';
import { ContactsService } from './contacts.service.js';
import { CreateCustomerDto, UpdateCustomerDto } from './customer.dto.js';
import { PrivacyService } from './privacy.service.js';
import { CustomersService } from './customers.service.js';

@ApiTags('customers')
@Controller('customers')
export class CustomersController {
  constructor(
    private readonly customers: CustomersService,
    private readonly privacy: PrivacyService,
    private readonly contacts: ContactsService,
  ) {}

  /** All customers. */
  @Get()
  list(): Promise<Customer[]> {
    return this.customers.list();
  }

  /** Whom to call about the cars that are washed today; of a helper's, those of the own washes. */
  @Get('today')
  today(@Req() { who }: Request & { who?: Asker }): Promise<TodaysContact[]> {
    if (who?.role === 'helper' && who.workerId === null) return Promise.resolve([]);
    return this.contacts.ofToday(who?.role === 'helper' ? who.workerId : null);
  }

  /** Adds a customer. */
  @Post()
  create(@Body() dto: CreateCustomerDto): Promise<Customer> {
    return this.customers.create(dto);
  }

  /** Changes a customer. */
  @Patch(':id')
  update(@Param('id') id: string, @Body() dto: UpdateCustomerDto): Promise<Customer> {
    return this.customers.update(id, dto);
  }

  /** Deletes a customer; it can be restored. */
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.customers.remove(id);
  }

  /** All that is known of a customer and their cars, photographs among it, for them to have. */
  @Get(':id/everything')
  everything(@Param('id') id: string): Promise<CustomerEverything> {
    return this.privacy.everything(id);
  }

  /** Erases a customer for good with all that hangs on them; their cars' salt stays, nameless. It cannot be undone. */
  @Delete(':id/everything')
  @HttpCode(204)
  erase(@Param('id') id: string): Promise<void> {
    return this.privacy.erase(id);
  }

  /** Brings back a customer who was taken away. */
  @Post(':id/restore')
  @HttpCode(200)
  restore(@Param('id') id: string): Promise<Customer> {
    return this.customers.restore(id);
  }
}
