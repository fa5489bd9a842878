import {
  BODY_CLASSES,
  BODY_MATERIALS,
  type BodyClass,
  type BodyMaterial,
  PAINT_TONES,
  type PaintTone,
  type Protection,
  PROTECTIONS,
  WATER_BEHAVIOURS,
  type WaterBehaviour,
} from '@keen/core';
import { ApiProperty, PartialType } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  IsIn,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';

/** Kilometres a day. Nobody drives more than 1500 in one. */
export class DrivingDto {
  @IsNumber() @Min(0) @Max(1500) mainRoadKm: number;
  @IsNumber() @Min(0) @Max(1500) townKm: number;
  @IsNumber() @Min(0) @Max(1500) bridgeKm: number;
}

/** Defaults are filled in when a vehicle is made, not here: a change must touch only what it names. */
export class CreateVehicleDto {
  @IsString() @IsNotEmpty() @MaxLength(80) name: string;
  @IsOptional() @IsString() @MaxLength(60) colourName?: string;
  @IsOptional() @IsString() @MaxLength(80) keeper?: string;
  @IsOptional() @IsString() @MaxLength(2000) notes?: string;
  @ApiProperty({ enum: BODY_CLASSES }) @IsIn(BODY_CLASSES) bodyClass: BodyClass;
  @ApiProperty({ enum: PAINT_TONES }) @IsIn(PAINT_TONES) paintTone: PaintTone;
  @ApiProperty({ enum: BODY_MATERIALS }) @IsIn(BODY_MATERIALS) bodyMaterial: BodyMaterial;
  @ApiProperty({ enum: PROTECTIONS }) @IsIn(PROTECTIONS) protection: Protection;
  @ApiProperty({ enum: WATER_BEHAVIOURS }) @IsIn(WATER_BEHAVIOURS) waterBehaviour: WaterBehaviour;
  @IsObject() @ValidateNested() @Type(() => DrivingDto) driving: DrivingDto;
  @ApiProperty({ type: String, nullable: true }) @IsOptional() @IsString() standsAtPlaceId?: string | null;
  @IsNumber() @Min(1) @Max(365) cadenceDays: number;
}

export class UpdateVehicleDto extends PartialType(CreateVehicleDto, { skipNullProperties: false }) {}
