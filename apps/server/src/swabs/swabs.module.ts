import { Module } from '@nestjs/common';
import { VehiclesModule } from '../vehicles/vehicles.module.js';
import { SwabsController } from './swabs.controller.js';
import { SwabsRepository } from './swabs.repository.js';

@Module({
  imports: [VehiclesModule],
  controllers: [SwabsController],
  providers: [SwabsRepository],
  exports: [SwabsRepository],
})
export class SwabsModule {}
