import {
  BUCKET_WATERS,
  type BucketWater,
  METHOD_IDS,
  PLACE_KINDS,
  type PlaceKind,
  SITE_RULES,
  type SiteRule,
  SITE_SOAPS,
  type SiteSoap,
  TAPS,
  type Tap,
  MOST_DRIVE_MINUTES,
  MOST_MINOR,
} from '@keen/core';
import { ApiProperty, IntersectionType, PartialType } from '@nestjs/swagger';
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
  IsObject,
  IsOptional,
  IsString,
  IsTimeZone,
  Max,
  MaxLength,
  Min,
  Validate,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';
import { OpenHoursConstraint, OpenSpanDto } from './open-hours.dto.js';
import { ReadBeforeDto } from '../errors/unchanged.js';

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

export class CreatePlaceDto {
  @IsString() @IsNotEmpty() @MaxLength(80) name: string;
  @MayBeAbsent() @IsString() @MaxLength(2000) notes?: string;
  @ApiProperty({ enum: PLACE_KINDS }) @IsIn(PLACE_KINDS) kind: PlaceKind;
  @IsNumber() @Min(-90) @Max(90) latitudeDeg: number;
  @IsNumber() @Min(-180) @Max(180) longitudeDeg: number;
  @IsTimeZone() timeZone: string;
  @IsObject() @ValidateNested() @Type(() => ClimateDto) climate: ClimateDto;
  @IsObject() @ValidateNested() @Type(() => ShelterDto) shelter: ShelterDto;
  @IsNumber() @Min(0) @Max(360) carHeadingDeg: number;
  @IsBoolean() hasDrain: boolean;
  @IsBoolean() hasLight: boolean;
  @ApiProperty({ enum: TAPS }) @IsIn(TAPS) tap: Tap;
  /** Monday first; null where closed. */
  @ApiProperty({ type: [OpenSpanDto], nullable: true })
  @Validate(OpenHoursConstraint)
  openHours: (OpenSpanDto | null)[];
  @IsObject() @ValidateNested() @Type(() => WaterDto) washWater: WaterDto;
  @ApiProperty({ type: WaterDto, nullable: true })
  @IsOptional()
  @ValidateNested()
  @Type(() => WaterDto)
  finalRinse?: WaterDto | null;
  @ApiProperty({ type: [OfferDto] })
  @IsArray()
  @ArrayMaxSize(20)
  @ValidateNested({ each: true })
  @Type(() => OfferDto)
  methods: OfferDto[];
  @ApiProperty({ type: TariffDto, nullable: true, required: false })
  @IsOptional()
  @ValidateNested()
  @Type(() => TariffDto)
  tariff?: TariffDto | null;
  @ApiProperty({ type: QueueDto, nullable: true, required: false })
  @IsOptional()
  @ValidateNested()
  @Type(() => QueueDto)
  queue?: QueueDto | null;
  @ApiProperty({ enum: SITE_RULES, isArray: true, required: false })
  @MayBeAbsent()
  @IsArray()
  @IsIn(SITE_RULES, { each: true })
  forbids?: SiteRule[];
  @IsNumber() @Min(0) @Max(600) travelMinutes: number;
  @MayBeAbsent() @IsInt() @Min(1) @Max(20) carsAtOnce?: number;
  /** Minutes that one may stay there with a car; null: as long as one likes. */
  @ApiProperty({ type: Number, nullable: true, required: false })
  @IsOptional()
  @IsNumber()
  @Min(1)
  @Max(1440)
  mostMinutes?: number | null;
  /** Where in the shade a car can be dried near by. */
  @MayBeAbsent() @IsString() @MaxLength(120) dryingSpot?: string;
  /** How well the site’s own soap works. */
  @ApiProperty({ enum: SITE_SOAPS, required: false })
  @MayBeAbsent()
  @IsIn(SITE_SOAPS)
  siteSoap?: SiteSoap;
  /** Where buckets are filled. */
  @ApiProperty({ enum: BUCKET_WATERS, required: false })
  @MayBeAbsent()
  @IsIn(BUCKET_WATERS)
  bucketWater?: BucketWater;
  /** Where a wash that begins here is ended: dried, or washed by hand once it is rinsed. */
  @IsOptional() @ValidateNested() @Type(() => FinishAtDto) finishAt?: FinishAtDto | null;
}

export class UpdatePlaceDto extends IntersectionType(
  PartialType(CreatePlaceDto, { skipNullProperties: false }),
  ReadBeforeDto,
) {}
