import { Module } from '@nestjs/common';
import { VehiclesController } from './vehicles.controller.js';
import { CarListService } from './car-list.service.js';
import { VehiclesService } from './vehicles.service.js';

@Module({
  controllers: [VehiclesController],
  providers: [VehiclesService, CarListService],
})
export class VehiclesModule {}
