import { Module } from '@nestjs/common';
import { VehiclesModule } from '../vehicles/vehicles.module.js';
import { DrivesController } from './drives.controller.js';
import { DrivesRepository } from './drives.repository.js';
import { DrivesService } from './drives.service.js';

@Module({
  imports: [VehiclesModule],
  controllers: [DrivesController],
  providers: [DrivesService, DrivesRepository],
  exports: [DrivesRepository],
})
export class DrivesModule {}
