import { DRIVING_SIDES, type DrivingSide, HARDNESS_DISPLAY_UNITS, TEMPERATURE_UNITS } from '@keen/core';
import { ApiProperty, PartialType } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsNotEmpty,
  IsObject,
  IsString,
  IsTimeZone,
  Matches,
  MaxLength,
  Validate,
  ValidateNested,
} from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';
import { ReadBeforeDto } from '../errors/unchanged.js';
import { OpenHoursConstraint, type OpenSpanDto } from '../places/open-hours.dto.js';

export class DisplayDto {
  @IsIn(TEMPERATURE_UNITS) temperature: (typeof TEMPERATURE_UNITS)[number];
  @IsIn(['ms', 'kmh', 'mph']) wind: 'ms' | 'kmh' | 'mph';
  @IsIn(['km', 'mi']) distance: 'km' | 'mi';
  @IsIn(HARDNESS_DISPLAY_UNITS) hardness: (typeof HARDNESS_DISPLAY_UNITS)[number];
  @IsIn(['L', 'gal']) volume: 'L' | 'gal';
  @Matches(/^[A-Z]{3}$/, { message: 'currency must be three capital letters, such as CAD' }) currency: string;
}

export class PartialDisplayDto extends PartialType(DisplayDto, { skipNullProperties: false }) {}

/** Schools by question, numbers by id; only what is to change. */
export class HouseDto {
  @MayBeAbsent() @IsObject() choices?: Record<string, unknown>;
  @MayBeAbsent() @IsObject() numbers?: Record<string, unknown>;
  /** The shop's own way of a method, by its id; null: as shipped. */
  @MayBeAbsent() @IsObject() variants?: Record<string, unknown>;
  /** Id of the bottle that a kind of step takes; null: the mildest that works. */
  @MayBeAbsent() @IsObject() products?: Record<string, unknown>;
}

/** A pair of hands; hours Monday first, null where they do not work. */
export class WorkerDto {
  @Matches(/^[a-z0-9-]{1,40}$/, { message: 'id must be small letters, digits and hyphens' }) id: string;
  @IsString() @IsNotEmpty() @MaxLength(60) name: string;
  @Validate(OpenHoursConstraint)
  hours: (OpenSpanDto | null)[];
}

/** Only what is to change; limits and prices by their id, checked against their own ranges. */
export class UpdateSettingsDto extends ReadBeforeDto {
  @MayBeAbsent() @IsObject() limits?: Record<string, unknown>;
  @MayBeAbsent() @IsObject() prices?: Record<string, unknown>;
  @MayBeAbsent() @ValidateNested() @Type(() => PartialDisplayDto) display?: PartialDisplayDto;
  @MayBeAbsent() @IsTimeZone() timeZone?: string;
  /** Orders of steps that are kept by a name; the whole list. */
  @ApiProperty({ type: 'array', items: { type: 'object', additionalProperties: true }, required: false })
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(100)
  namedWays?: unknown[];
  /** Numbers of the season's jobs, by `job.number`. */
  @MayBeAbsent() @IsObject() season?: Record<string, unknown>;
  /** What customers pay, method by method and job by job; null takes a price off. */
  @MayBeAbsent() @IsObject() priceList?: Record<string, unknown>;
  /** Washes for which product is left, by method; null: it is not counted. */
  @MayBeAbsent() @IsObject() stock?: Record<string, unknown>;
  /** The shop's own words for messages, by kind; empty: as shipped. */
  @MayBeAbsent() @IsObject() templates?: Record<string, unknown>;
  @MayBeAbsent() @ValidateNested() @Type(() => HouseDto) house?: HouseDto;
  @MayBeAbsent() @IsIn(DRIVING_SIDES) drivesOn?: DrivingSide;
  @MayBeAbsent()
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(12)
  @ValidateNested({ each: true })
  @Type(() => WorkerDto)
  workers?: WorkerDto[];
}
