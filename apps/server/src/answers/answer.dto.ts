import {
  type BottlesByStep,
  METHOD_IDS,
  SEASON_JOB_IDS,
  type SeasonJobId,
  type Variant,
  WAY_IDS,
  type WayId,
} from '@keen/core';
import { ApiProperty } from '@nestjs/swagger';
import { Transform, Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsString,
  ValidateNested,
} from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';
import { JSONSchema } from 'class-validator-jsonschema';
import { badField } from '../errors/api-error.js';
import { checkedVariant } from '../settings/own-steps.js';
import { checkedProducts } from '../settings/shop-lists.js';

/** "foam:bottle,wheels:other" as bottles by step. @throws 400 for a step that there is not */
const bottlesIn = (text: string): BottlesByStep => {
  const pairs = text.split(',').map((pair): [string, string] => {
    const [step = '', bottle = ''] = pair.split(':', 2);
    return [step, bottle];
  });
  return checkedProducts(Object.fromEntries(pairs), 'products');
};

/** Steps as an object, or as its JSON. @throws 400 naming what is wrong with them */
function variantIn(value: unknown): Variant {
  if (typeof value !== 'string') return checkedVariant('variant', value);
  try {
    return checkedVariant('variant', JSON.parse(value));
  } catch (error) {
    throw error instanceof SyntaxError ? badField('variant', 'variant must be JSON.') : error;
  }
}

export class CellQueryDto {
  @IsString() @IsNotEmpty() vehicleId: string;
  @IsString() @IsNotEmpty() placeId: string;
  @IsIn(METHOD_IDS) methodId: string;
  @Type(() => Number) @IsInt() startMs: number;
  /** In which way; absent: the one that goes with the least bother. */
  @MayBeAbsent() @IsIn(WAY_IDS) wayId?: WayId;
  /** Work of the season that is done with it, by commas. */
  @MayBeAbsent()
  @Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? value.split(',') : value))
  @IsIn(SEASON_JOB_IDS, { each: true })
  extras?: SeasonJobId[];
  /** Bottles for this wash alone: step and bottle with a colon between, by commas. */
  @MayBeAbsent()
  @Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? bottlesIn(value) : value))
  @IsObject()
  @JSONSchema({ type: 'string', examples: ['wheels:bottle-id,foam:other-id'] })
  products?: Record<string, string>;
  /** Its steps for this wash alone, as in the shop's own way of a method; in an address as JSON. */
  @MayBeAbsent()
  @Transform(({ value }: { value: unknown }) => variantIn(value))
  @IsObject()
  @JSONSchema({ type: 'object' })
  variant?: Variant;
}

export class BalanceQueryDto {
  @Type(() => Number) @IsInt() atMs: number;
}

export class CadencePartDto {
  @ApiProperty({ enum: METHOD_IDS }) @IsIn(METHOD_IDS) methodId: string;
  @IsNumber() everyDays: number;
}

export class CadencePlanDto {
  @ApiProperty({ type: [CadencePartDto] })
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(4)
  @ValidateNested({ each: true })
  @Type(() => CadencePartDto)
  parts: CadencePartDto[];
}

export class CadencePlansDto {
  @ApiProperty({ type: [CadencePlanDto] })
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(8)
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => CadencePlanDto)
  plans: CadencePlanDto[];
}
