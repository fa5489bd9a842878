import { Inject, Injectable } from '@nestjs/common';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { BookingsRepository } from './bookings.repository.js';
import { CalendarRepository } from './calendar.repository.js';
import { CustomersRepository } from './customers.repository.js';
import { DrivesRepository } from './drives.repository.js';
import { GearRepository, KitRepository, ProductsRepository } from './kit.repository.js';
import { PlacesRepository } from './places.repository.js';
import { SoilLooksRepository } from './soil-looks.repository.js';
import { SwabsRepository } from './swabs.repository.js';
import { VehiclesRepository } from './vehicles.repository.js';
import { WashesRepository } from './washes.repository.js';

/** All that the shop has noted, in one hand: for what reads many kinds of it at once. */
@Injectable()
export class Records {
  readonly bookings: BookingsRepository;
  readonly calendar: CalendarRepository;
  readonly customers: CustomersRepository;
  readonly drives: DrivesRepository;
  readonly kit: KitRepository;
  readonly looks: SoilLooksRepository;
  readonly places: PlacesRepository;
  readonly swabs: SwabsRepository;
  readonly vehicles: VehiclesRepository;
  readonly washes: WashesRepository;

  constructor(@Inject(DATABASE) db: Database) {
    this.bookings = new BookingsRepository(db);
    this.calendar = new CalendarRepository(db);
    this.customers = new CustomersRepository(db);
    this.drives = new DrivesRepository(db);
    this.kit = new KitRepository(db, new ProductsRepository(db), new GearRepository(db));
    this.looks = new SoilLooksRepository(db);
    this.places = new PlacesRepository(db);
    this.swabs = new SwabsRepository(db);
    this.vehicles = new VehiclesRepository(db);
    this.washes = new WashesRepository(db);
  }
}
