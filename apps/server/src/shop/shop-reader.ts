import { Injectable } from '@nestjs/common';
import {
  carFacts,
  type CarNotes,
  isAhead,
  type Kit,
  MS_PER_MINUTE,
  type OfCar,
  shopPlaces,
  planNotes,
  type PlanNotes,
  shelfOf,
  type ShopFacts,
  stockByMethod,
  type WeatherOrigin,
  type WashRecord,
  type BookingRecord,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { Records } from '../records/records.js';
import { RoadsService } from '../roads/roads.service.js';
import { SettingsService } from '../settings/settings.service.js';
import { WeatherService } from '../weather/weather.service.js';

/** The shop as it is now, and where its weather is from. */
export interface ReadShop {
  readonly facts: ShopFacts;
  readonly origin: WeatherOrigin;
}

/** The shop and one of its cars, with what was noted of the car. */
export interface ReadCar extends Omit<ReadShop, 'facts'> {
  readonly facts: OfCar;
  readonly notes: CarNotes;
}

/** The shop, all its cars, and the washes that stand in its plan. */
export interface ReadPlan extends ReadShop {
  readonly cars: readonly OfCar['car'][];
  readonly notes: PlanNotes;
  readonly planned: readonly WashRecord[];
  readonly booked: readonly BookingRecord[];
}

const TEN_MINUTES_MS = 10 * MS_PER_MINUTE;

/** No start is planned for minutes that are over, and an answer holds for ten. */
const toNextTen = (atMs: number): number => Math.ceil(atMs / TEN_MINUTES_MS) * TEN_MINUTES_MS;
const toLastTen = (atMs: number): number => Math.floor(atMs / TEN_MINUTES_MS) * TEN_MINUTES_MS;
const toMinute = (atMs: number): number => Math.floor(atMs / MS_PER_MINUTE) * MS_PER_MINUTE;

/** Reads from the records, the weather, the roads and the settings what the answers rest on. */
@Injectable()
export class ShopReader {
  constructor(
    private readonly records: Records,
    private readonly weather: WeatherService,
    private readonly roads: RoadsService,
    private readonly settings: SettingsService,
    private readonly clock: ClockService,
  ) {}

  /** @throws 404 for a vehicle that is not there */
  async car(vehicleId: string): Promise<ReadCar> {
    const record = await this.records.vehicles.read(vehicleId);
    const [{ facts, origin }, notes] = await Promise.all([this.shop(), this.notes(vehicleId)]);
    const car = carFacts(record, notes, facts.nowMs);
    return { facts: { ...facts, nowMs: toLastTen(facts.nowMs), car }, origin, notes };
  }

  async plan(): Promise<ReadPlan> {
    const nowMs = this.clock.now();
    const [{ facts, origin }, vehicles, notes, { workers, stock }, booked, kit, engaged] = await Promise.all([
      this.shop(),
      this.records.vehicles.list(),
      this.notes(),
      this.settings.read(),
      this.records.bookings.open(nowMs),
      this.kit(),
      this.records.calendar.busy(nowMs),
    ]);
    const planned = notes.washes.filter((wash) => isAhead(wash, facts.nowMs));
    const shop = {
      workers,
      busy: engaged.map(({ workerId, fromMs, toMs }) => ({ workerId, fromMs, toMs })),
      bookings: booked.map(({ agreedMinor: _agreed, note: _note, ...booking }) => booking),
      stock: stockByMethod(stock, kit, facts),
    };
    return {
      facts: { ...facts, nowMs: toNextTen(facts.nowMs) },
      origin,
      cars: vehicles.map((vehicle) => carFacts(vehicle, notes, facts.nowMs)),
      notes: planNotes({ planned, nowMs: facts.nowMs }, shop),
      planned,
      booked,
    };
  }

  kit(): Promise<Kit> {
    return this.records.kit.all();
  }

  private async notes(vehicleId?: string): Promise<CarNotes> {
    const { washes, drives, swabs, looks, customers } = this.records;
    const [ownWashes, ownDrives, ownSwabs, ownLooks, all] = await Promise.all([
      washes.list({ vehicleId }),
      drives.list(vehicleId),
      swabs.list(vehicleId),
      looks.list(vehicleId),
      customers.list(),
    ]);
    return { washes: ownWashes, drives: ownDrives, swabs: ownSwabs, looks: ownLooks, customers: all };
  }

  private async shop(): Promise<ReadShop> {
    const [bundle, places, settings, { treatments }, kit] = await Promise.all([
      this.weather.bundle(),
      this.records.places.list(),
      this.settings.read(),
      this.roads.bulletins(),
      this.kit(),
    ]);
    const { limits, prices, house, drivesOn, timeZone, season } = settings;
    const { source, issuedMs, hourSources: _sources, ...weather } = bundle;
    return {
      facts: {
        places: shopPlaces(places),
        limits,
        prices,
        house,
        shelf: shelfOf(kit),
        drivesOn,
        timeZone,
        season,
        treatments: treatments.map(({ id: _id, source: _source, ...treatment }) => treatment),
        weather,
        nowMs: toMinute(this.clock.now()),
      },
      origin: { source, issuedMs },
    };
  }
}
