import { Controller, Get } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { WeatherHour } from '@keen/core';
import { type WeatherBundle, WeatherService } from './weather.service.js';

const SPREAD = { low: 0.1, high: 0.9 };
const PAST_HOURS = 24;

/** One coming hour with how far the members spread. */
export interface ForecastHour extends WeatherHour {
  readonly lowTempC: number;
  readonly highTempC: number;
}

export interface WeatherAnswer {
  readonly source: string;
  readonly issuedMs: number;
  readonly memberCount: number;
  readonly past: readonly WeatherHour[];
  readonly ahead: readonly ForecastHour[];
}

/** Value at a share of the sorted members. */
const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.round(share * (sorted.length - 1)))] ?? NaN;

export function withSpread({ control, members }: Pick<WeatherBundle, 'control' | 'members'>): ForecastHour[] {
  return control.map((hour, i) => {
    const temps = members.flatMap((member) => member[i]?.airTempC ?? []).sort((a, b) => a - b);
    if (temps.length === 0) return { ...hour, lowTempC: hour.airTempC, highTempC: hour.airTempC };
    return { ...hour, lowTempC: quantile(temps, SPREAD.low), highTempC: quantile(temps, SPREAD.high) };
  });
}

@ApiTags('weather')
@Controller('weather')
export class WeatherController {
  constructor(private readonly weather: WeatherService) {}

  /** The last day as measured, and the newest forecast with the 10–90 % span of its members. */
  @Get()
  async read(): Promise<WeatherAnswer> {
    const bundle = await this.weather.bundle();
    return {
      source: bundle.source,
      issuedMs: bundle.issuedMs,
      memberCount: bundle.members.length,
      past: bundle.observed.slice(-PAST_HOURS),
      ahead: withSpread(bundle),
    };
  }
}
