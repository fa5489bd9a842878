import { Module } from '@nestjs/common';
import { CustomerBookModule } from '../customers/customer-book.module.js';
import { PlacesModule } from '../places/places.module.js';
import { VehiclesController } from './vehicles.controller.js';
import { VehiclesRepository } from './vehicles.repository.js';
import { VehiclesService } from './vehicles.service.js';

@Module({
  imports: [PlacesModule, CustomerBookModule],
  controllers: [VehiclesController],
  providers: [VehiclesService, VehiclesRepository],
  exports: [VehiclesRepository, VehiclesService],
})
export class VehiclesModule {}
