import { Module } from '@nestjs/common';
import { WeatherModule } from '../weather/weather.module.js';
import { KitController } from './kit.controller.js';
import { KitService } from './kit.service.js';

@Module({ imports: [WeatherModule], controllers: [KitController], providers: [KitService] })
export class KitModule {}
