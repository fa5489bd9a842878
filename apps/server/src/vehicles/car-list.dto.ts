import { CAR_COLUMNS, type CarColumns } from '@keen/core';
import { ApiProperty } from '@nestjs/swagger';
import { ArrayMaxSize, IsArray, IsObject, IsString, MaxLength } from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';
import { ImportDto } from '../imports/import.dto.js';

export class CarListDto extends ImportDto {
  /** Which heading stands for which column; absent: as the headings give away by themselves. */
  @ApiProperty({
    type: 'object',
    properties: Object.fromEntries(CAR_COLUMNS.map((column) => [column, { type: 'string' }])),
    additionalProperties: false,
    required: [],
  })
  @MayBeAbsent()
  @IsObject()
  columns?: CarColumns;
}

export class CarsMadeDto {
  @IsArray()
  @ArrayMaxSize(2000)
  @IsString({ each: true })
  @MaxLength(80, { each: true })
  vehicleIds: string[];
  @IsArray()
  @ArrayMaxSize(2000)
  @IsString({ each: true })
  @MaxLength(80, { each: true })
  customerIds: string[];
}
