import { Module } from '@nestjs/common';
import { SettingsModule } from '../settings/settings.module.js';
import { ShopModule } from '../shop/shop.module.js';
import { BookingsController } from './bookings.controller.js';
import { BookingsService } from './bookings.service.js';
import { CustomersController } from './customers.controller.js';
import { ContactsService } from './contacts.service.js';
import { PrivacyService } from './privacy.service.js';
import { CustomersService } from './customers.service.js';

@Module({
  imports: [SettingsModule, ShopModule],
  controllers: [CustomersController, BookingsController],
  providers: [CustomersService, ContactsService, BookingsService, PrivacyService],
})
export class CustomersModule {}
