import { Module } from '@nestjs/common';
import { PlacesModule } from '../places/places.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { VehiclesModule } from '../vehicles/vehicles.module.js';
import { BookingsController } from './bookings.controller.js';
import { BookingsService } from './bookings.service.js';
import { CustomerBookModule } from './customer-book.module.js';
import { CustomersController } from './customers.controller.js';
import { CustomersService } from './customers.service.js';

@Module({
  imports: [CustomerBookModule, VehiclesModule, PlacesModule, SettingsModule],
  controllers: [CustomersController, BookingsController],
  providers: [CustomersService, BookingsService],
})
export class CustomersModule {}
