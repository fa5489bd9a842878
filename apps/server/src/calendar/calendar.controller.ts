import type { BusySpan, CalendarView, ImportReport } from '@keen/core';
import { Body, Controller, Delete, Get, Header, HttpCode, Param, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { ImportBusyDto } from './calendar.dto.js';
import { CalendarService } from './calendar.service.js';

@ApiTags('calendar')
@Controller('calendar')
export class CalendarController {
  constructor(private readonly calendar: CalendarService) {}

  /** Where to subscribe to the plan, and which calendars are read for busy times. */
  @Get()
  view(): Promise<CalendarView> {
    return this.calendar.view();
  }

  /** A new address for the feed; the old one stops answering. */
  @Post('renew')
  @HttpCode(200)
  async renew(): Promise<CalendarView> {
    await this.calendar.renew();
    return this.calendar.view();
  }

  /** The planned washes as an iCalendar feed, for those who have its secret address. */
  @Get(':secret/washes.ics')
  @Header('content-type', 'text/calendar; charset=utf-8')
  @Header('cache-control', 'private, max-age=300')
  feed(@Param('secret') secret: string): Promise<string> {
    return this.calendar.feed(secret);
  }

  /** Busy times from an iCalendar file: only read, or kept in place of what came from that calendar before. */
  @Post('busy/import')
  @HttpCode(200)
  importBusy(@Body() dto: ImportBusyDto): Promise<ImportReport<BusySpan>> {
    return this.calendar.importBusy(dto);
  }

  /** Forgets the busy times that came from a calendar. */
  @Delete('busy/:calendar')
  @HttpCode(204)
  forget(@Param('calendar') calendar: string): Promise<void> {
    return this.calendar.forget(calendar);
  }
}
