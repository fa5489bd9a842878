import { type PrecipKind, ROAD_CLASSES, type RoadClass, type RoadState } from '@keen/core';
import { ApiProperty } from '@nestjs/swagger';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsOptional,
  IsString,
  MaxLength,
} from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';
import { ImportDto } from '../imports/import.dto.js';
import { WEATHER_FORMATS, WEATHER_KINDS, type WeatherFormat, type WeatherKind } from './read-weather.js';

const PRECIP_KINDS: readonly PrecipKind[] = ['none', 'rain', 'sleet', 'snow'];
const ROAD_STATES: readonly RoadState[] = ['dry', 'damp', 'wet', 'slush', 'snow', 'ice'];
/** Sixteen days of a control and thirty members. */
const MOST_HOURS = 16 * 24 * 31;

export class ImportWeatherDto extends ImportDto {
  /** What the source is called; told again under the same name, an hour is replaced. */
  @IsString() @IsNotEmpty() @MaxLength(60) source: string;
  @ApiProperty({ enum: WEATHER_FORMATS }) @IsIn(WEATHER_FORMATS) format: WeatherFormat;
  @ApiProperty({ enum: WEATHER_KINDS }) @IsIn(WEATHER_KINDS) kind: WeatherKind;
  /** When the forecast was made; now if absent. */
  @MayBeAbsent() @IsInt() issuedMs?: number;
}

/** Hours from one's own station or service: all or none. */
export class WeatherHoursDto {
  @IsString() @IsNotEmpty() @MaxLength(60) source: string;
  @ApiProperty({ enum: WEATHER_KINDS }) @IsIn(WEATHER_KINDS) kind: WeatherKind;
  @MayBeAbsent() @IsInt() issuedMs?: number;
  /** Objects with `at` and the columns of the table, units by name: `{"at": "…", "airTempC": -4.2, "windKmh": 12}`. */
  @IsArray() @ArrayMaxSize(MOST_HOURS) hours: unknown[];
}

/** What somebody sees now; null: not looked at. */
export class SightDto {
  @IsOptional() @IsNumber() airTempC: number | null = null;
  @IsOptional() @IsNumber() windMetresPerSecond: number | null = null;
  @IsOptional() @IsNumber() cloudFraction: number | null = null;
  @IsOptional() @IsIn(PRECIP_KINDS) falling: PrecipKind | null = null;
  @IsOptional() @IsIn(ROAD_CLASSES) roadClass: RoadClass | null = null;
  @IsOptional() @IsIn(ROAD_STATES) roadState: RoadState | null = null;
}

export class WeatherOrderDto {
  /** Names in the order of trust; a source that is not among them does not count. */
  @IsArray() @ArrayMaxSize(20) @IsString({ each: true }) order: string[];
}
