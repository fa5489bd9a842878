import { Module } from '@nestjs/common';
import { KitShelfModule } from '../kit/kit-shelf.module.js';
import { PlacesModule } from '../places/places.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { VehiclesModule } from '../vehicles/vehicles.module.js';
import { VerdictsModule } from '../verdicts/verdicts.module.js';
import { WashLogModule } from './wash-log.module.js';
import { KitUseService } from './kit-use.service.js';
import { WashChangesService } from './wash-changes.service.js';
import { WashesController } from './washes.controller.js';
import { WashesService } from './washes.service.js';

@Module({
  imports: [WashLogModule, KitShelfModule, VehiclesModule, PlacesModule, SettingsModule, VerdictsModule],
  controllers: [WashesController],
  providers: [WashesService, KitUseService, WashChangesService],
  exports: [WashChangesService, WashesService],
})
export class WashesModule {}
