import { Module } from '@nestjs/common';
import { BookingsRepository } from './bookings.repository.js';
import { CustomersRepository } from './customers.repository.js';

/** Customers and promises as they are kept: cars and the plan read them, and the services above read cars. */
@Module({
  providers: [CustomersRepository, BookingsRepository],
  exports: [CustomersRepository, BookingsRepository],
})
export class CustomerBookModule {}
