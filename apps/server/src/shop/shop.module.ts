import { Module } from '@nestjs/common';
import { RoadsModule } from '../roads/roads.module.js';
import { SettingsModule } from '../settings/settings.module.js';
import { WeatherModule } from '../weather/weather.module.js';
import { MethodsReader } from './methods.reader.js';
import { ShopReader } from './shop-reader.js';

@Module({
  imports: [WeatherModule, RoadsModule, SettingsModule],
  providers: [ShopReader, MethodsReader],
  exports: [ShopReader, MethodsReader],
})
export class ShopModule {}
