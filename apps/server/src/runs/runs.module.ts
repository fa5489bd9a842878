import { Module } from '@nestjs/common';
import { VerdictsModule } from '../verdicts/verdicts.module.js';
import { WashesModule } from '../washes/washes.module.js';
import { PlacesModule } from '../places/places.module.js';
import { VehiclesModule } from '../vehicles/vehicles.module.js';
import { RunPhotosService } from './run-photos.service.js';
import { RunsController } from './runs.controller.js';
import { RunsRepository } from './runs.repository.js';
import { RunsService } from './runs.service.js';

@Module({
  imports: [WashesModule, VehiclesModule, PlacesModule, VerdictsModule],
  controllers: [RunsController],
  providers: [RunsService, RunPhotosService, RunsRepository],
})
export class RunsModule {}
