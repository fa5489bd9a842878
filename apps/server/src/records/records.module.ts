import { Global, Module } from '@nestjs/common';
import { AccessRepository } from './access.repository.js';
import { AllRowsRepository } from './all-rows.repository.js';
import { AuditRepository } from './audit.repository.js';
import { BookingsRepository } from './bookings.repository.js';
import { CalendarRepository } from './calendar.repository.js';
import { ConsentRepository } from './consent.repository.js';
import { CustomersRepository } from './customers.repository.js';
import { DrivesRepository } from './drives.repository.js';
import { GearRepository, KitRepository, ProductsRepository } from './kit.repository.js';
import { PlacesRepository } from './places.repository.js';
import { PrivacyRepository } from './privacy.repository.js';
import { Records } from './records.js';
import { RunsRepository } from './runs.repository.js';
import { SightsRepository } from './sights.repository.js';
import { SoilLooksRepository } from './soil-looks.repository.js';
import { SpotPhotosRepository } from './spot-photos.repository.js';
import { SpotsRepository } from './spots.repository.js';
import { SwabsRepository } from './swabs.repository.js';
import { TreatmentsRepository } from './treatments.repository.js';
import { VehiclesRepository } from './vehicles.repository.js';
import { WashesRepository } from './washes.repository.js';
import { WeatherRepository } from './weather.repository.js';

const REPOSITORIES = [
  AccessRepository,
  AllRowsRepository,
  AuditRepository,
  BookingsRepository,
  CalendarRepository,
  ConsentRepository,
  CustomersRepository,
  DrivesRepository,
  GearRepository,
  KitRepository,
  PlacesRepository,
  PrivacyRepository,
  ProductsRepository,
  Records,
  RunsRepository,
  SightsRepository,
  SoilLooksRepository,
  SpotPhotosRepository,
  SpotsRepository,
  SwabsRepository,
  TreatmentsRepository,
  VehiclesRepository,
  WashesRepository,
  WeatherRepository,
];

/** All stored rows. It knows nothing of what is made of them. */
@Global()
@Module({ providers: REPOSITORIES, exports: REPOSITORIES })
export class RecordsModule {}
