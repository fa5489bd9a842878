import { Module } from '@nestjs/common';
import { ClockService } from '../clock/clock.service.js';
import { DEMO_SEED } from '../demo/scenario.js';
import { seasonStartMs } from '../weather/season.js';
import { WeatherModule } from '../weather/weather.module.js';
import { WEATHER_SOURCE, type WeatherSource } from '../weather/weather-source.js';
import { ROAD_AUTHORITY } from './road-authority.js';
import { RoadsController } from './roads.controller.js';
import { RoadsService } from './roads.service.js';
import { SimulatedAuthority } from './simulated-authority.js';
import { TreatmentsRepository } from './treatments.repository.js';

@Module({
  imports: [WeatherModule],
  controllers: [RoadsController],
  providers: [
    RoadsService,
    TreatmentsRepository,
    {
      provide: ROAD_AUTHORITY,
      inject: [ClockService, WEATHER_SOURCE],
      useFactory: (clock: ClockService, station: WeatherSource) =>
        new SimulatedAuthority(DEMO_SEED, seasonStartMs(clock.now()), station),
    },
  ],
  exports: [RoadsService],
})
export class RoadsModule {}
