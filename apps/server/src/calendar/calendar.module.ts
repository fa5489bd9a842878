import { Module } from '@nestjs/common';
import { PlacesModule } from '../places/places.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { VehiclesModule } from '../vehicles/vehicles.module.js';
import { WashLogModule } from '../washes/wash-log.module.js';
import { BusyModule } from './busy.module.js';
import { CalendarController } from './calendar.controller.js';
import { CalendarService } from './calendar.service.js';

@Module({
  imports: [BusyModule, WashLogModule, VehiclesModule, PlacesModule, SettingsModule],
  controllers: [CalendarController],
  providers: [CalendarService],
})
export class CalendarModule {}
