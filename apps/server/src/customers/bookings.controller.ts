import type { BookingRecord, QuoteAnswer } from '@keen/core';
import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { BookingsService } from './bookings.service.js';
import { CreateBookingDto, QuoteQueryDto, UpdateBookingDto } from './customer.dto.js';

@ApiTags('bookings')
@Controller('bookings')
export class BookingsController {
  constructor(private readonly bookings: BookingsService) {}

  /** Promises whose hour has not passed. */
  @Get()
  list(): Promise<BookingRecord[]> {
    return this.bookings.list();
  }

  /** What a wash would cost the shop and earn, by the price list. */
  @Get('quote')
  quote(@Query() query: QuoteQueryDto): Promise<QuoteAnswer> {
    return this.bookings.quote(query);
  }

  /** Books a wash of a car, ready by an hour. */
  @Post()
  create(@Body() dto: CreateBookingDto): Promise<BookingRecord> {
    return this.bookings.create(dto);
  }

  /** Changes a booking. */
  @Patch(':id')
  update(@Param('id') id: string, @Body() dto: UpdateBookingDto): Promise<BookingRecord> {
    return this.bookings.update(id, dto);
  }

  /** Cancels a booking; it can be restored. */
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.bookings.remove(id);
  }

  /** Restores a booking that was cancelled. */
  @Post(':id/restore')
  @HttpCode(200)
  restore(@Param('id') id: string): Promise<BookingRecord> {
    return this.bookings.restore(id);
  }
}
