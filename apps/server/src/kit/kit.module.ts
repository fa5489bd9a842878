import { Module } from '@nestjs/common';
import { WeatherModule } from '../weather/weather.module.js';
import { KitController } from './kit.controller.js';
import { KitService } from './kit.service.js';
import { KitShelfModule } from './kit-shelf.module.js';

@Module({ imports: [KitShelfModule, WeatherModule], controllers: [KitController], providers: [KitService] })
export class KitModule {}
