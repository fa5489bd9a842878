import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type {
  ForecastHour,
  SightRecord,
  WeatherAnswer,
  WeatherSourceView,
  ImportReport,
  ReadHour,
} from '@keen/core';
import { KeptWeatherService } from './kept-weather.service.js';
import { ImportWeatherDto, SightDto, WeatherHoursDto, WeatherOrderDto } from './weather.dto.js';
import { type WeatherBundle, WeatherService } from './weather.service.js';

const SPREAD = { low: 0.1, high: 0.9 };
const PAST_HOURS = 24;

/** Value at a share of the sorted members. */
const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.round(share * (sorted.length - 1)))] ?? NaN;

export function withSpread({ control, members }: Pick<WeatherBundle, 'control' | 'members'>): ForecastHour[] {
  return control.flatMap((hour, i): ForecastHour[] => {
    if (!hour) return [];
    const temps = members.flatMap((member) => member[i]?.airTempC ?? []).sort((a, b) => a - b);
    if (temps.length === 0) return [{ ...hour, lowTempC: hour.airTempC, highTempC: hour.airTempC }];
    return [{ ...hour, lowTempC: quantile(temps, SPREAD.low), highTempC: quantile(temps, SPREAD.high) }];
  });
}

@ApiTags('weather')
@Controller('weather')
export class WeatherController {
  constructor(
    private readonly weather: WeatherService,
    private readonly kept: KeptWeatherService,
  ) {}

  /** The last day as measured, and what is to come with the 10–90 % span of its members. */
  @Get()
  async read(): Promise<WeatherAnswer> {
    const bundle = await this.weather.bundle();
    return {
      source: bundle.source,
      issuedMs: bundle.issuedMs,
      memberCount: bundle.members.length,
      fromMs: bundle.fromMs,
      past: bundle.observed.slice(-PAST_HOURS).filter((hour) => hour !== null),
      ahead: withSpread(bundle),
      hourSources: bundle.hourSources,
    };
  }

  /** The sources of weather in the order in which they are used. */
  @Get('sources')
  sources(): Promise<WeatherSourceView[]> {
    return this.kept.sources();
  }

  /** Which source leads, which follow, and which do not count. */
  @Put('sources')
  setOrder(@Body() { order }: WeatherOrderDto): Promise<WeatherSourceView[]> {
    return this.kept.setOrder(order);
  }

  /** Forgets all hours of a source. */
  @Delete('sources/:source')
  @HttpCode(204)
  forget(@Param('source') source: string): Promise<void> {
    return this.kept.forget(source);
  }

  /** Hourly tables (CSV), lists (JSON) or aviation text: reported line by line, kept as the mode says. */
  @Post('import')
  @HttpCode(200)
  importText(@Body() dto: ImportWeatherDto): Promise<ImportReport<ReadHour>> {
    return this.kept.importText(dto);
  }

  /** Hours from one's own station or service; one that cannot be read turns all of them down. */
  @Post('hours')
  @HttpCode(200)
  addHours(@Body() dto: WeatherHoursDto): Promise<{ kept: number }> {
    return this.kept.addHours(dto);
  }

  /** What was seen of the weather out of the door. */
  @Get('sights')
  sights(): Promise<SightRecord[]> {
    return this.kept.sights();
  }

  /** What somebody sees now; it corrects the next hours. */
  @Post('sights')
  see(@Body() dto: SightDto): Promise<SightRecord> {
    return this.kept.see(dto);
  }

  /** Deletes what was seen; it can be restored. */
  @Delete('sights/:id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.kept.setSightRemoved(id, true);
  }

  /** Restores what was seen. */
  @Post('sights/:id/restore')
  @HttpCode(204)
  restore(@Param('id') id: string): Promise<void> {
    return this.kept.setSightRemoved(id, false);
  }
}
