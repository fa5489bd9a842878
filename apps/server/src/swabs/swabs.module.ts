import { Module } from '@nestjs/common';
import { SwabsController } from './swabs.controller.js';

@Module({
  controllers: [SwabsController],
})
export class SwabsModule {}
