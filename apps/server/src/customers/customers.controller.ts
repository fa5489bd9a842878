import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Customer } from '@keen/core';
import { CreateCustomerDto, UpdateCustomerDto } from './customer.dto.js';
import { CustomersService } from './customers.service.js';

@ApiTags('customers')
@Controller('customers')
export class CustomersController {
  constructor(private readonly customers: CustomersService) {}

  /** All customers. */
  @Get()
  list(): Promise<Customer[]> {
    return this.customers.list();
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

  /** Brings back a customer who was taken away. */
  @Post(':id/restore')
  @HttpCode(200)
  restore(@Param('id') id: string): Promise<Customer> {
    return this.customers.restore(id);
  }
}
