import { seasonStartMs } from '@keen/core';
import { Module } from '@nestjs/common';
import { ClockService } from '../clock/clock.service.js';
import { SettingsModule } from '../settings/settings.module.js';
import { SimulatedStation, WINTER_SEED } from './simulated-station.js';
import { KeptWeatherService } from './kept-weather.service.js';
import { WeatherController } from './weather.controller.js';
import { WeatherService } from './weather.service.js';
import { WEATHER_SOURCE } from './weather-source.js';

@Module({
  controllers: [WeatherController],
  imports: [SettingsModule],
  providers: [
    WeatherService,
    KeptWeatherService,
    {
      provide: WEATHER_SOURCE,
      inject: [ClockService],
      useFactory: (clock: ClockService) => new SimulatedStation(WINTER_SEED, seasonStartMs(clock.now())),
    },
  ],
  exports: [WeatherService, WEATHER_SOURCE],
})
export class WeatherModule {}
