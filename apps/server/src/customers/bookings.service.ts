import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import {
  instantOfWallTime,
  type MethodId,
  quote,
  SEASON_JOB_IDS,
  shopSeasonJobs,
  washCost,
  type BookingRecord,
  type QuoteAnswer,
  MINUTES_PER_HOUR,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { badField, conflict, notFound } from '../errors/api-error.js';
import { PlacesRepository } from '../records/places.repository.js';
import { SettingsService } from '../settings/settings.service.js';
import { MethodsReader } from '../shop/methods.reader.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { BookingsRepository } from '../records/bookings.repository.js';
import type { CreateBookingDto, QuoteQueryDto, UpdateBookingDto } from './customer.dto.js';

@Injectable()
export class BookingsService {
  constructor(
    private readonly bookings: BookingsRepository,
    private readonly vehicles: VehiclesRepository,
    private readonly places: PlacesRepository,
    private readonly settings: SettingsService,
    private readonly methods: MethodsReader,
    private readonly clock: ClockService,
  ) {}

  list(): Promise<BookingRecord[]> {
    return this.bookings.open(this.clock.now());
  }

  /** @throws 400 naming the field: a time that is not on the clock, over, or before the car can be had; 409 beside another promise */
  async create(dto: CreateBookingDto): Promise<BookingRecord> {
    const { from, readyBy, ...rest } = dto;
    const record: BookingRecord = {
      methodId: null,
      extras: [],
      agreedMinor: null,
      note: '',
      ...rest,
      ...(await this.spanOf(from, readyBy)),
      id: randomUUID(),
    };
    await this.requirePossible(record);
    await this.bookings.insert(record);
    return record;
  }

  async update(id: string, dto: UpdateBookingDto): Promise<BookingRecord> {
    const before = await this.bookings.find(id);
    if (!before) throw notFound('booking', id);
    const { from, readyBy, ...rest } = dto;
    const span = {
      ...(from === undefined ? {} : { fromMs: await this.instant('from', from) }),
      ...(readyBy === undefined ? {} : { readyByMs: await this.instant('readyBy', readyBy) }),
    };
    const record = { ...before, ...rest, ...span };
    await this.requirePossible(record);
    await this.bookings.update(id, { ...rest, ...span });
    return record;
  }

  async remove(id: string): Promise<void> {
    if (!(await this.bookings.setRemoved(id, this.clock.now()))) throw notFound('booking', id);
  }

  /** @throws 409 beside another promise that was made meanwhile, 400 where its time is over */
  async restore(id: string): Promise<BookingRecord> {
    const record = await this.bookings.findRemoved(id);
    if (!record) throw notFound('booking', id);
    await this.requirePossible(record);
    await this.bookings.setRemoved(id, null);
    return record;
  }

  /** What it would cost the customer by the price list, and what is left of it. */
  async quote({ vehicleId, methodId, placeId, extras: wanted }: QuoteQueryDto): Promise<QuoteAnswer> {
    const [vehicle, place, settings, methodFor] = await Promise.all([
      this.vehicles.read(vehicleId),
      this.places.read(placeId),
      this.settings.read(),
      this.methods.read(),
    ]);
    const { prices, priceList, season } = settings;
    if (!place.methods.some((offer) => offer.methodId === methodId))
      throw badField('methodId', `methodId: ${methodId} cannot be done at ${place.name}.`);
    const jobIds = (wanted ?? '').split(',').filter((id) => id !== '');
    const unknown = jobIds.find((id) => !(SEASON_JOB_IDS as readonly string[]).includes(id));
    if (unknown !== undefined)
      throw badField('extras', `extras: there is no work of the season called ${unknown}.`);
    const work = shopSeasonJobs(season).filter(({ id }) => jobIds.includes(id));
    const whole = methodFor(methodId, { vehicle, place, work });
    const minutes = whole.minutes + 2 * place.travelMinutes;
    const costMinor = washCost(place, whole).totalMinor + (prices.hourMinor * minutes) / MINUTES_PER_HOUR;
    const asked = {
      methodId: methodId satisfies MethodId,
      bodyClass: vehicle.bodyClass,
      extras: work.map(({ id }) => id),
      costMinor,
    };
    return { ...quote(priceList, asked), minutes, costMinor };
  }

  private async spanOf(from: string, readyBy: string): Promise<Pick<BookingRecord, 'fromMs' | 'readyByMs'>> {
    return { fromMs: await this.instant('from', from), readyByMs: await this.instant('readyBy', readyBy) };
  }

  private async instant(field: string, text: string): Promise<number> {
    const { timeZone } = await this.settings.read();
    const found = instantOfWallTime(text, timeZone);
    if (found.kind === 'skipped')
      throw badField(
        field,
        `${field}: ${text.replace('T', ' ')} is skipped by the clock change of that night.`,
      );
    if (found.kind === 'no-date') throw badField(field, `${field}: ${text} is no day and time.`);
    return found.atMs;
  }

  private async requirePossible(booking: BookingRecord): Promise<void> {
    await this.vehicles.read(booking.vehicleId);
    if (booking.readyByMs <= this.clock.now()) throw badField('readyBy', 'readyBy is in the past.');
    if (booking.readyByMs <= booking.fromMs)
      throw badField('readyBy', 'readyBy is not after the time from which the car can be had.');
    const twin = (await this.bookings.open(this.clock.now())).find(
      (other) =>
        other.id !== booking.id &&
        other.vehicleId === booking.vehicleId &&
        other.fromMs < booking.readyByMs &&
        booking.fromMs < other.readyByMs,
    );
    if (twin) throw conflict('from', 'This car is booked already within that time.');
  }
}
