import { Module } from '@nestjs/common';
import { SettingsModule } from '../settings/settings.module.js';
import { AnswersModule } from '../answers/answers.module.js';
import { ShopModule } from '../shop/shop.module.js';
import { KitUseService } from './kit-use.service.js';
import { WashChangesService } from './wash-changes.service.js';
import { WashesController } from './washes.controller.js';
import { WashListService } from './wash-list.service.js';
import { WashesService } from './washes.service.js';

@Module({
  imports: [SettingsModule, AnswersModule, ShopModule],
  controllers: [WashesController],
  providers: [WashesService, WashListService, KitUseService, WashChangesService],
  exports: [WashChangesService, WashesService],
})
export class WashesModule {}
