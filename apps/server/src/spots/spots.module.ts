import { Module } from '@nestjs/common';
import { SpotsController } from './spots.controller.js';

@Module({
  controllers: [SpotsController],
})
export class SpotsModule {}
