import { Module } from '@nestjs/common';
import { EngineModule } from '../engine/engine.module.js';
import { ShopModule } from '../shop/shop.module.js';
import { AnswersController } from './answers.controller.js';
import { AnswersService } from './answers.service.js';

@Module({
  imports: [EngineModule, ShopModule],
  controllers: [AnswersController],
  providers: [AnswersService],
  exports: [AnswersService],
})
export class AnswersModule {}
