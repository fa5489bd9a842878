import { ApiProperty, PartialType, PickType } from '@nestjs/swagger';
import {
  CAR_ZONE_IDS,
  type CarZone,
  RUNG_IDS,
  type RungId,
  SPOT_AGES,
  SPOT_CAUSES,
  SPOT_MATERIALS,
  SPOT_REACTIONS,
  type SpotAge,
  type SpotCause,
  type SpotMaterial,
  type SpotReaction,
} from '@keen/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsIn, IsString, MaxLength, ValidateNested } from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';

/** No ladder has so many rungs, each done over. */
const MOST_RUNGS = 40;

export class RungDoneDto {
  @ApiProperty({ enum: RUNG_IDS }) @IsIn(RUNG_IDS) rung: RungId;
  @ApiProperty({ enum: SPOT_REACTIONS }) @IsIn(SPOT_REACTIONS) reaction: SpotReaction;
}

/** Spots as they were found, and what was tried. */
export class SpotDto {
  @ApiProperty({ enum: CAR_ZONE_IDS }) @IsIn([...CAR_ZONE_IDS]) zone: CarZone;
  @ApiProperty({ enum: SPOT_AGES }) @IsIn(SPOT_AGES) age: SpotAge;
  @ApiProperty({ enum: SPOT_MATERIALS }) @IsIn(SPOT_MATERIALS) material: SpotMaterial;
  @ApiProperty({ enum: SPOT_CAUSES }) @IsIn(SPOT_CAUSES) cause: SpotCause;
  /** In the order in which it was done. */
  @ApiProperty({ type: [RungDoneDto] })
  @IsArray()
  @ArrayMaxSize(MOST_RUNGS)
  @ValidateNested({ each: true })
  @Type(() => RungDoneDto)
  done: RungDoneDto[];
  @MayBeAbsent() @IsString() @MaxLength(1000) note?: string;
}

/** What else was tried or noted; what is not named stays. */
export class ChangeSpotDto extends PartialType(PickType(SpotDto, ['done', 'note'] as const), {
  skipNullProperties: false,
}) {}
