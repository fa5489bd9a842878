import { Module } from '@nestjs/common';
import { CalendarRepository } from './calendar.repository.js';

/** The kept busy times alone: the plan reads them, and the calendar reads the plan's washes. */
@Module({ providers: [CalendarRepository], exports: [CalendarRepository] })
export class BusyModule {}
