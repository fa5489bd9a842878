import { Module } from '@nestjs/common';
import { ClockService } from '../clock/clock.service.js';
import { DEMO_SEED } from '../demo/scenario.js';
import { SettingsModule } from '../settings/settings.module.js';
import { SightsRepository } from './sights.repository.js';
import { SimulatedStation } from './simulated-station.js';
import { ToldWeatherService } from './told-weather.service.js';
import { WeatherController } from './weather.controller.js';
import { WeatherRepository } from './weather.repository.js';
import { seasonStartMs } from './season.js';
import { WeatherService } from './weather.service.js';
import { WEATHER_SOURCE } from './weather-source.js';

@Module({
  controllers: [WeatherController],
  imports: [SettingsModule],
  providers: [
    WeatherService,
    ToldWeatherService,
    SightsRepository,
    WeatherRepository,
    {
      provide: WEATHER_SOURCE,
      inject: [ClockService],
      useFactory: (clock: ClockService) => new SimulatedStation(DEMO_SEED, seasonStartMs(clock.now())),
    },
  ],
  exports: [WeatherService, WEATHER_SOURCE],
})
export class WeatherModule {}
