import { Module } from '@nestjs/common';
import { SettingsModule } from '../settings/settings.module.js';
import { CalendarController } from './calendar.controller.js';
import { CalendarService } from './calendar.service.js';

@Module({
  imports: [SettingsModule],
  controllers: [CalendarController],
  providers: [CalendarService],
})
export class CalendarModule {}
