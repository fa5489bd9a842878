import { Module } from '@nestjs/common';
import { SpotPhotosController } from './spot-photos.controller.js';
import { SpotsController } from './spots.controller.js';

@Module({
  controllers: [SpotsController, SpotPhotosController],
})
export class SpotsModule {}
