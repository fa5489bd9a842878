import { seasonStartMs } from '@keen/core';
import { Module } from '@nestjs/common';
import { ClockService } from '../clock/clock.service.js';
import { WINTER_SEED } from '../weather/simulated-station.js';
import { WeatherModule } from '../weather/weather.module.js';
import { WEATHER_SOURCE, type WeatherSource } from '../weather/weather-source.js';
import { ROAD_AUTHORITY } from './road-authority.js';
import { RoadsController } from './roads.controller.js';
import { RoadsService } from './roads.service.js';
import { SimulatedAuthority } from './simulated-authority.js';

@Module({
  imports: [WeatherModule],
  controllers: [RoadsController],
  providers: [
    RoadsService,
    {
      provide: ROAD_AUTHORITY,
      inject: [ClockService, WEATHER_SOURCE],
      useFactory: (clock: ClockService, station: WeatherSource) =>
        new SimulatedAuthority(WINTER_SEED, seasonStartMs(clock.now()), station),
    },
  ],
  exports: [RoadsService],
})
export class RoadsModule {}
