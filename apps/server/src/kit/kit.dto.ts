import {
  CLOTH_DUTIES,
  type ClothDuty,
  GEAR_KINDS,
  type GearKind,
  KEPT_IN,
  type KeptIn,
  PRODUCT_ROLE_IDS,
  type ProductRole,
  MOST_MINOR,
} from '@keen/core';
import { ApiProperty, IntersectionType, PartialType } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
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
  ValidateNested,
} from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';
import { ReadBeforeDto } from '../errors/unchanged.js';

const MOST_ML = 10_000_000;
const MOST_PARTS = 100_000;
const MOST_LITRES = 10_000_000;

export class ProductDwellDto {
  @IsNumber() @Min(0) @Max(120) minMinutes: number;
  @IsNumber() @Min(0) @Max(120) maxMinutes: number;
}

export class CreateProductDto {
  @IsString() @IsNotEmpty() @MaxLength(80) name: string;
  @ApiProperty({ enum: PRODUCT_ROLE_IDS }) @IsIn(PRODUCT_ROLE_IDS) role: ProductRole;
  /** As used, from the label. */
  @IsNumber() @Min(0) @Max(14) inUsePh: number;
  /** Parts of water to one of product; 0 is neat. */
  @IsNumber() @Min(0) @Max(MOST_PARTS) usualParts: number;
  @IsNumber() @Min(0) @Max(MOST_PARTS) fewestParts: number;
  @IsNumber() @Min(0) @Max(MOST_PARTS) mostParts: number;
  @ApiProperty({ type: Number, nullable: true })
  @IsOptional()
  @IsNumber()
  @Min(0.1)
  @Max(10_000)
  capMl?: number | null;
  /** Neat product that one saloon takes of it, mL, as the shop found. */
  @ApiProperty({ type: Number, nullable: true })
  @IsOptional()
  @IsNumber()
  @Min(0.1)
  @Max(10_000)
  carMl?: number | null;
  @IsOptional() @ValidateNested() @Type(() => ProductDwellDto) dwell?: ProductDwellDto | null;
  @ApiProperty({ type: Number, nullable: true })
  @IsOptional()
  @IsNumber()
  @Min(-60)
  @Max(60)
  lowestWorkC?: number | null;
  @ApiProperty({ type: Number, nullable: true })
  @IsOptional()
  @IsNumber()
  @Min(-60)
  @Max(60)
  lowestStoreC?: number | null;
  @ApiProperty({ enum: KEPT_IN }) @IsIn(KEPT_IN) keptIn: KeptIn;
  @IsNumber() @Min(1) @Max(MOST_ML) bottleMl: number;
  @IsNumber() @Min(0) @Max(MOST_ML) leftMl: number;
  @IsNumber() @Min(0) @Max(MOST_ML) lowMl: number;
  @IsInt() @Min(0) @Max(MOST_MINOR) priceMinor: number;
  @MayBeAbsent() @IsString() @MaxLength(1000) notes?: string;
}

export class UpdateProductDto extends IntersectionType(
  PartialType(CreateProductDto, { skipNullProperties: false }),
  ReadBeforeDto,
) {}

export class CreateGearDto {
  @IsString() @IsNotEmpty() @MaxLength(80) name: string;
  @ApiProperty({ enum: GEAR_KINDS }) @IsIn(GEAR_KINDS) kind: GearKind;
  @IsInt() @Min(0) @Max(10_000) count: number;
  @IsInt() @Min(0) @Max(10_000) cleanCount: number;
  @ApiProperty({ type: Number, nullable: true })
  @IsOptional()
  @IsNumber()
  @Min(1)
  @Max(MOST_ML)
  volumeMl?: number | null;
  @ApiProperty({ type: Number, nullable: true })
  @IsOptional()
  @IsNumber()
  @Min(0.01)
  @Max(10_000)
  outputLitresPerBottle?: number | null;
  @ApiProperty({ type: Number, nullable: true })
  @IsOptional()
  @IsNumber()
  @Min(1)
  @Max(MOST_LITRES)
  lifeLitres?: number | null;
  @MayBeAbsent() @IsNumber() @Min(0) @Max(MOST_LITRES) litresUsed?: number;
  @MayBeAbsent() @IsString() @MaxLength(1000) notes?: string;
  /** What cloths may still touch. */
  @ApiProperty({ enum: CLOTH_DUTIES, required: false })
  @MayBeAbsent()
  @IsIn(CLOTH_DUTIES)
  duty?: ClothDuty;
  /** How often each was laundered, on average. */
  @MayBeAbsent() @IsNumber() @Min(0) @Max(10_000) launderedTimes?: number;
  /** Of buckets: a grid that keeps the grit down; null: nobody says. */
  @ApiProperty({ type: Boolean, nullable: true, required: false })
  @IsOptional()
  @IsBoolean()
  hasGuard?: boolean | null;
  /** Of drying towels: water that each takes up, weighed dry and dripping, g; null: nobody weighed one. */
  @ApiProperty({ type: Number, nullable: true, required: false, minimum: 1, maximum: 5000 })
  @IsOptional()
  @IsNumber()
  @Min(1)
  @Max(5000)
  holdsGrams?: number | null;
}

export class UpdateGearDto extends IntersectionType(
  PartialType(CreateGearDto, { skipNullProperties: false }),
  ReadBeforeDto,
) {}
