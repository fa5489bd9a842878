import type { BusySpan, CalendarView, ImportReport } from '@keen/core';
import { Body, Controller, Delete, Get, Header, HttpCode, Param, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { FeedDto, ImportBusyDto } from './calendar.dto.js';
import { CalendarService } from './calendar.service.js';

@ApiTags('calendar')
@Controller('calendar')
export class CalendarController {
  constructor(private readonly calendar: CalendarService) {}

  /** Who follows the plan, and where, and which calendars are read for busy times. */
  @Get()
  view(): Promise<CalendarView> {
    return this.calendar.view();
  }

  /** A secret address for one who follows the plan. */
  @Post('feeds')
  async addFeed(@Body() dto: FeedDto): Promise<CalendarView> {
    await this.calendar.addFeed(dto);
    return this.calendar.view();
  }

  /** A new address for the same person; the old one stops answering. */
  @Post('feeds/:feedId/renew')
  @HttpCode(200)
  async renewFeed(@Param('feedId') feedId: string): Promise<CalendarView> {
    await this.calendar.renewFeed(feedId);
    return this.calendar.view();
  }

  /** Takes an address back: it stops answering. */
  @Delete('feeds/:feedId')
  @HttpCode(204)
  deleteFeed(@Param('feedId') feedId: string): Promise<void> {
    return this.calendar.deleteFeed(feedId);
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
