import { Module } from '@nestjs/common';
import { BackupsModule } from '../backup/backups.module.js';
import { WeatherModule } from '../weather/weather.module.js';
import { StartAgainController } from './start-again.controller.js';
import { StartAgainService } from './start-again.service.js';

@Module({
  imports: [BackupsModule, WeatherModule],
  controllers: [StartAgainController],
  providers: [StartAgainService],
})
export class StartAgainModule {}
