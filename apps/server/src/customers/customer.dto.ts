import {
  METHOD_IDS,
  type MethodId,
  PHOTO_CONSENTS,
  type PhotoConsent,
  SEASON_JOB_IDS,
  type SeasonJobId,
  MOST_MINOR,
} from '@keen/core';
import { ApiProperty, IntersectionType, PartialType } from '@nestjs/swagger';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  Validate,
  ValidateIf,
} from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';
import { OpenHoursConstraint, OpenSpanDto } from '../places/open-hours.dto.js';
import { ReadBeforeDto } from '../errors/unchanged.js';

const isGiven = (_: unknown, value: unknown): boolean => value !== null;
const LOCAL = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;
const LOCAL_MESSAGE = '$property must be a day and a time on the shop’s clock, such as 2026-01-15T17:00';

export class CreateCustomerDto {
  @IsString() @IsNotEmpty() @MaxLength(80) name: string;
  @MayBeAbsent() @IsString() @MaxLength(200) contact?: string;
  @MayBeAbsent() @IsString() @MaxLength(2000) notes?: string;
  @ApiProperty({ enum: PHOTO_CONSENTS, required: false })
  @MayBeAbsent()
  @IsIn(PHOTO_CONSENTS)
  photoConsent?: PhotoConsent;
  /** When their cars can be had, Monday first; null: at any time. */
  @ApiProperty({ type: [OpenSpanDto], nullable: true, required: false })
  @IsOptional()
  @ValidateIf(isGiven)
  @Validate(OpenHoursConstraint)
  availability?: (OpenSpanDto | null)[] | null;
  @MayBeAbsent() @IsArray() @ArrayMaxSize(40) @ArrayUnique() @IsString({ each: true }) vehicleIds?: string[];
}

export class UpdateCustomerDto extends IntersectionType(
  PartialType(CreateCustomerDto, { skipNullProperties: false }),
  ReadBeforeDto,
) {}

/** A booking, on the shop's clock. */
export class CreateBookingDto {
  @IsString() @IsNotEmpty() vehicleId: string;
  /** When the car is available from. */
  @Matches(LOCAL, { message: LOCAL_MESSAGE })
  from: string;
  /** When it has to be ready. */
  @Matches(LOCAL, { message: LOCAL_MESSAGE })
  readyBy: string;
  @ApiProperty({ enum: METHOD_IDS, nullable: true, required: false })
  @IsOptional()
  @ValidateIf(isGiven)
  @IsIn(METHOD_IDS)
  methodId?: MethodId | null;
  @MayBeAbsent() @IsArray() @ArrayUnique() @IsIn(SEASON_JOB_IDS, { each: true }) extras?: SeasonJobId[];
  @IsOptional() @ValidateIf(isGiven) @IsInt() @Min(0) @Max(MOST_MINOR) agreedMinor?: number | null;
  @MayBeAbsent() @IsString() @MaxLength(500) note?: string;
}

export class UpdateBookingDto extends PartialType(CreateBookingDto, { skipNullProperties: false }) {}

export class QuoteQueryDto {
  @IsString() @IsNotEmpty() vehicleId: string;
  @IsIn(METHOD_IDS) methodId: MethodId;
  @IsString() @IsNotEmpty() placeId: string;
  /** By commas. */
  @MayBeAbsent() @IsString() extras?: string;
}
