import { Module } from '@nestjs/common';
import { AccessModule } from './access/access.module.js';
import { CalcModule } from './calc/calc.module.js';
import { CalendarModule } from './calendar/calendar.module.js';
import { ClockModule } from './clock/clock.module.js';
import { ConfigModule } from './config/config.module.js';
import { CustomersModule } from './customers/customers.module.js';
import { DatabaseModule } from './db/database.module.js';
import { DrivesModule } from './drives/drives.module.js';
import { ImportsModule } from './imports/imports.module.js';
import { HealthModule } from './health/health.module.js';
import { KitModule } from './kit/kit.module.js';
import { MessagesModule } from './messages/messages.module.js';
import { PlanModule } from './plan/plan.module.js';
import { PlacesModule } from './places/places.module.js';
import { RecordsModule } from './records/records.module.js';
import { RoadsModule } from './roads/roads.module.js';
import { RunsModule } from './runs/runs.module.js';
import { SettingsModule } from './settings/settings.module.js';
import { SoilModule } from './soil/soil.module.js';
import { SpotsModule } from './spots/spots.module.js';
import { AuditModule } from './audit/audit.module.js';
import { BackupsModule } from './backup/backups.module.js';
import { StartAgainModule } from './start-again/start-again.module.js';
import { SwabsModule } from './swabs/swabs.module.js';
import { VehiclesModule } from './vehicles/vehicles.module.js';
import { AnswersModule } from './answers/answers.module.js';
import { WashesModule } from './washes/washes.module.js';
import { WeatherModule } from './weather/weather.module.js';

@Module({
  imports: [
    ConfigModule,
    ClockModule,
    DatabaseModule,
    RecordsModule,
    ImportsModule,
    AccessModule,
    AuditModule,
    HealthModule,
    BackupsModule,
    SettingsModule,
    PlacesModule,
    VehiclesModule,
    WeatherModule,
    RoadsModule,
    DrivesModule,
    SpotsModule,
    SwabsModule,
    AnswersModule,
    SoilModule,
    WashesModule,
    PlanModule,
    CalendarModule,
    CustomersModule,
    MessagesModule,
    KitModule,
    RunsModule,
    CalcModule,
    StartAgainModule,
  ],
})
export class AppModule {}
