import { METHOD_IDS, MOST_DRIVE_MINUTES, MOST_MINOR } from '@keen/core';
import { ApiProperty } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';

const WATER_ORIGINS = ['measured', 'estimated', 'default'] as const;

export class ClimateDto {
  @IsIn(['outdoors', 'open-bay', 'unheated', 'heated']) kind: 'outdoors' | 'open-bay' | 'unheated' | 'heated';
  @ValidateIf((climate: ClimateDto) => climate.kind === 'heated')
  @IsNumber()
  @Min(-10)
  @Max(35)
  setpointC?: number;
  /** Read indoors; the model's own where it is not known. */
  @IsOptional() @IsNumber() @Min(0.05) @Max(1) relHumidityFraction?: number | null;
  /** What an unheated place usually has, °C; it follows the air outside where that is not known. */
  @IsOptional() @IsNumber() @Min(-40) @Max(50) usualC?: number | null;
  /** What a thermometer there showed, °C, and when. */
  @IsOptional() @IsNumber() @Min(-40) @Max(50) readC?: number | null;
  @ValidateIf(({ readC }: ClimateDto) => readC !== null && readC !== undefined)
  @IsInt()
  @Min(0)
  readAtMs?: number | null;
}

/** A coin or card meter. */
export class TariffDto {
  @IsInt() @Min(0) @Max(MOST_MINOR) startPriceMinor: number;
  @IsNumber() @Min(0) @Max(36_000) startSeconds: number;
  @IsInt() @Min(0) @Max(MOST_MINOR) blockPriceMinor: number;
  @IsNumber() @Min(1) @Max(36_000) blockSeconds: number;
  @IsBoolean() pausable: boolean;
}

/** A second place and the drive to it. */
export class FinishAtDto {
  @IsString() @IsNotEmpty() placeId: string;
  @IsNumber() @Min(0) @Max(MOST_DRIVE_MINUTES) driveMinutes: number;
  @IsInt() @Min(0) @Max(MOST_MINOR) priceMinor: number;
}

/** Minutes of waiting by hour of the day. */
export class QueueDto {
  @IsArray()
  @ArrayMinSize(24)
  @ArrayMaxSize(24)
  @IsNumber({}, { each: true })
  @Min(0, { each: true })
  @Max(240, { each: true })
  weekdayMinutes: number[];
  @IsArray()
  @ArrayMinSize(24)
  @ArrayMaxSize(24)
  @IsNumber({}, { each: true })
  @Min(0, { each: true })
  @Max(240, { each: true })
  weekendMinutes: number[];
}

export class HorizonPointDto {
  @IsNumber() @Min(0) @Max(360) azimuthDeg: number;
  @IsNumber() @Min(0) @Max(90) elevationDeg: number;
}

export class OpeningDto {
  @IsNumber() @Min(0) @Max(360) fromDeg: number;
  @IsNumber() @Min(0) @Max(360) toDeg: number;
  @IsNumber() @Min(0) @Max(90) topElevationDeg: number;
}

export class ShelterDto {
  @IsIn(['open', 'roofed', 'indoors']) kind: 'open' | 'roofed' | 'indoors';
  @ValidateIf((shelter: ShelterDto) => shelter.kind === 'open')
  @IsArray()
  @ArrayMaxSize(72)
  @ValidateNested({ each: true })
  @Type(() => HorizonPointDto)
  horizon?: HorizonPointDto[];
  @ValidateIf((shelter: ShelterDto) => shelter.kind === 'roofed')
  @IsArray()
  @ArrayMaxSize(8)
  @ValidateNested({ each: true })
  @Type(() => OpeningDto)
  openings?: OpeningDto[];
}

export class WaterDto {
  @IsString() @IsNotEmpty() @MaxLength(60) name: string;
  @IsNumber() @Min(0) @Max(10_000) hardnessMgPerLitre: number;
  @IsNumber() @Min(0) @Max(50_000) tdsMgPerLitre: number;
  @IsNumber() @Min(0) @Max(60) tempC: number;
  @IsIn(WATER_ORIGINS) origin: (typeof WATER_ORIGINS)[number];
}

export class OfferDto {
  @ApiProperty({ enum: METHOD_IDS }) @IsIn(METHOD_IDS) methodId: string;
  @IsInt() @Min(0) @Max(MOST_MINOR) priceMinor: number;
}
