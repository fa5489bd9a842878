import { METHOD_IDS } from '@keen/core';
import { ApiProperty } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsString,
  ValidateNested,
} from 'class-validator';

export class CellQueryDto {
  @IsString() @IsNotEmpty() vehicleId: string;
  @IsString() @IsNotEmpty() placeId: string;
  @IsIn(METHOD_IDS) methodId: string;
  @Type(() => Number) @IsInt() startMs: number;
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
  @ValidateNested({ each: true })
  @Type(() => CadencePlanDto)
  plans: CadencePlanDto[];
}
