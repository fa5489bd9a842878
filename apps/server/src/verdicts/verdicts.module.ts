import { Module } from '@nestjs/common';
import { RoadsModule } from '../roads/roads.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { WeatherModule } from '../weather/weather.module.js';
import { EnginePool } from './engine-pool.js';
import { VerdictsController } from './verdicts.controller.js';
import { VerdictsService } from './verdicts.service.js';

@Module({
  imports: [WeatherModule, RoadsModule, SettingsModule],
  controllers: [VerdictsController],
  providers: [VerdictsService, EnginePool],
  exports: [VerdictsService],
})
export class VerdictsModule {}
