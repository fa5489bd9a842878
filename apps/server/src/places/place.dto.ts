import {
  BUCKET_WATERS,
  type BucketWater,
  PLACE_KINDS,
  type PlaceKind,
  SITE_RULES,
  type SiteRule,
  SITE_SOAPS,
  type SiteSoap,
  TAPS,
  type Tap,
} from '@keen/core';
import { ApiProperty, IntersectionType, PartialType } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
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
  ValidateNested,
} from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';
import { OpenHoursConstraint, OpenSpanDto } from './open-hours.dto.js';
import { ReadBeforeDto } from '../errors/unchanged.js';
import {
  ClimateDto,
  TariffDto,
  FinishAtDto,
  QueueDto,
  ShelterDto,
  WaterDto,
  OfferDto,
} from './place-parts.dto.js';

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
