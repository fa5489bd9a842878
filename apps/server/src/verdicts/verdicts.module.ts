import { Module } from '@nestjs/common';
import { PlacesModule } from '../places/places.module.js';
import { BusyModule } from '../calendar/busy.module.js';
import { CustomerBookModule } from '../customers/customer-book.module.js';
import { DrivesModule } from '../drives/drives.module.js';
import { KitShelfModule } from '../kit/kit-shelf.module.js';
import { RoadsModule } from '../roads/roads.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { SoilLogModule } from '../soil/soil-log.module.js';
import { SwabsModule } from '../swabs/swabs.module.js';
import { VehiclesModule } from '../vehicles/vehicles.module.js';
import { WashLogModule } from '../washes/wash-log.module.js';
import { WeatherModule } from '../weather/weather.module.js';
import { EnginePool } from './engine-pool.js';
import { VerdictsController } from './verdicts.controller.js';
import { VerdictsService } from './verdicts.service.js';

@Module({
  imports: [
    VehiclesModule,
    PlacesModule,
    WeatherModule,
    RoadsModule,
    SettingsModule,
    WashLogModule,
    BusyModule,
    CustomerBookModule,
    DrivesModule,
    SwabsModule,
    SoilLogModule,
    KitShelfModule,
  ],
  controllers: [VerdictsController],
  providers: [VerdictsService, EnginePool],
  exports: [VerdictsService],
})
export class VerdictsModule {}
