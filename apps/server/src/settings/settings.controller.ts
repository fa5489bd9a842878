import { Body, Controller, Get, Patch } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Settings } from '@keen/core';
import { UpdateSettingsDto } from './settings.dto.js';
import { SettingsService } from './settings.service.js';

@ApiTags('settings')
@Controller('settings')
export class SettingsController {
  constructor(private readonly settings: SettingsService) {}

  /** All settings: units, limits, prices, house rules, workers. */
  @Get()
  read(): Promise<Settings> {
    return this.settings.read();
  }

  /** Changes some settings; what is left out stays. */
  @Patch()
  update(@Body() dto: UpdateSettingsDto): Promise<Settings> {
    return this.settings.update(dto);
  }
}
