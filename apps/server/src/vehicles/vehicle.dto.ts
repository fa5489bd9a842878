import {
  BODY_CLASSES,
  BODY_MATERIALS,
  CAR_ZONE_IDS,
  type CarZone,
  type BodyClass,
  type BodyMaterial,
  PAINT_TONES,
  type PaintTone,
  type Protection,
  PROTECTIONS,
  SEASON_JOB_IDS,
  type SeasonJobId,
  TARGET_KINDS,
  WATER_BEHAVIOURS,
  type WaterBehaviour,
} from '@keen/core';
import { ApiProperty, IntersectionType, PartialType } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';
import { ReadBeforeDto } from '../errors/unchanged.js';

const isGiven = (_: unknown, value: unknown): boolean => value !== null;

/** Kilometres on a usual day. Nobody drives more than 1500 in one. */
export class DrivingDto {
  @IsNumber() @Min(0) @Max(1500) mainRoadKm: number;
  @IsNumber() @Min(0) @Max(1500) townKm: number;
  @IsNumber() @Min(0) @Max(1500) bridgeKm: number;
}

export class ObservedDto {
  @ApiProperty({ enum: WATER_BEHAVIOURS }) @IsIn(WATER_BEHAVIOURS) behaviour: WaterBehaviour;
  @IsInt() atMs: number;
}

/** What lies on one zone. */
export class ZoneProtectionDto {
  @ApiProperty({ enum: CAR_ZONE_IDS }) @IsIn([...CAR_ZONE_IDS]) zone: CarZone;
  @ApiProperty({ enum: PROTECTIONS }) @IsIn(PROTECTIONS) kind: Protection;
  /** What it is called on its bottle; null or absent: not known. */
  @ApiProperty({ type: String, nullable: true, required: false })
  @IsOptional()
  @IsString()
  @MaxLength(80)
  productName?: string | null;
  @ApiProperty({ type: Number, nullable: true }) @ValidateIf(isGiven) @IsInt() appliedMs: number | null;
  @ApiProperty({ type: Number, nullable: true })
  @ValidateIf(isGiven)
  @IsNumber()
  @Min(1)
  @Max(7300)
  claimedLifeDays: number | null;
  @ApiProperty({ type: ObservedDto, nullable: true })
  @ValidateIf(isGiven)
  @ValidateNested()
  @Type(() => ObservedDto)
  observed: ObservedDto | null;
  /** Read, not written: the server notes when a zone was described. */
  @ApiProperty({ type: Number, nullable: true, required: false }) @IsOptional() @IsNumber() notedMs?:
    | number
    | null;
}

/** By what its washes are wanted; `most` counts salt days or active hours, and days stand in cadenceDays. */
export class TargetDto {
  @ApiProperty({ enum: TARGET_KINDS }) @IsIn(TARGET_KINDS) kind: (typeof TARGET_KINDS)[number];
  @ValidateIf(({ kind }: TargetDto) => kind !== 'days') @IsNumber() @Min(1) @Max(1000) most: number;
}

/** A wash that is in no log. */
export class WashedBeforeDto {
  @IsInt() @Min(0) atMs: number;
  /** The keeper told when; else it is assumed. */
  @IsBoolean() isKnown: boolean;
}

/** Defaults are filled in when a vehicle is made, not here: a change must touch only what it names. */
export class CreateVehicleDto {
  @IsString() @IsNotEmpty() @MaxLength(80) name: string;
  @MayBeAbsent() @IsString() @MaxLength(60) colourName?: string;
  @MayBeAbsent() @IsString() @MaxLength(80) keeper?: string;
  @MayBeAbsent() @IsString() @MaxLength(2000) notes?: string;
  @ApiProperty({ enum: BODY_CLASSES }) @IsIn(BODY_CLASSES) bodyClass: BodyClass;
  @ApiProperty({ enum: PAINT_TONES }) @IsIn(PAINT_TONES) paintTone: PaintTone;
  @ApiProperty({ enum: BODY_MATERIALS }) @IsIn(BODY_MATERIALS) bodyMaterial: BodyMaterial;
  @ApiProperty({ enum: PROTECTIONS }) @IsIn(PROTECTIONS) protection: Protection;
  @ApiProperty({ enum: WATER_BEHAVIOURS }) @IsIn(WATER_BEHAVIOURS) waterBehaviour: WaterBehaviour;
  @ApiProperty({ type: [ZoneProtectionDto], required: false })
  @MayBeAbsent()
  @IsArray()
  @ArrayMaxSize(40)
  @ValidateNested({ each: true })
  @Type(() => ZoneProtectionDto)
  protections?: ZoneProtectionDto[];
  @MayBeAbsent() @IsBoolean() delicateWheels?: boolean;
  @MayBeAbsent() @IsBoolean() hasChargePort?: boolean;
  @IsObject() @ValidateNested() @Type(() => DrivingDto) driving: DrivingDto;
  /** Usual days' driving by weekday, Monday first. */
  @MayBeAbsent()
  @IsArray()
  @ArrayMinSize(7)
  @ArrayMaxSize(7)
  @IsNumber({}, { each: true })
  @Min(0, { each: true })
  @Max(10, { each: true })
  weekShares?: number[];
  @ApiProperty({ type: String, nullable: true }) @IsOptional() @IsString() standsAtPlaceId?: string | null;
  @IsNumber() @Min(1) @Max(365) cadenceDays: number;
  @MayBeAbsent() @IsObject() @ValidateNested() @Type(() => TargetDto) target?: TargetDto;
  @ApiProperty({ enum: SEASON_JOB_IDS, isArray: true, required: false })
  @MayBeAbsent()
  @IsArray()
  @ArrayUnique()
  @IsIn(SEASON_JOB_IDS, { each: true })
  seasonJobs?: SeasonJobId[];
  /** Its last wash before those in the log; null or absent: nobody knows. */
  @ApiProperty({ type: WashedBeforeDto, nullable: true, required: false })
  @IsOptional()
  @IsObject()
  @ValidateNested()
  @Type(() => WashedBeforeDto)
  washedBefore?: WashedBeforeDto | null;
  /** Whose car it is; null: nobody's in the book. */
  @ApiProperty({ type: String, nullable: true }) @IsOptional() @IsString() customerId?: string | null;
}

export class UpdateVehicleDto extends IntersectionType(
  PartialType(CreateVehicleDto, { skipNullProperties: false }),
  ReadBeforeDto,
) {}
