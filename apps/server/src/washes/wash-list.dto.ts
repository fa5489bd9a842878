import { WASH_COLUMNS, type WashColumns } from '@keen/core';
import { ApiProperty } from '@nestjs/swagger';
import { ArrayMaxSize, IsArray, IsObject, IsString, MaxLength } from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';
import { ImportDto } from '../imports/import.dto.js';

export class WashListDto extends ImportDto {
  /** Which heading stands for which column; absent: as the headings give away by themselves. */
  @ApiProperty({
    type: 'object',
    properties: Object.fromEntries(WASH_COLUMNS.map((column) => [column, { type: 'string' }])),
    additionalProperties: false,
    required: [],
  })
  @MayBeAbsent()
  @IsObject()
  columns?: WashColumns;
}

export class WashesMadeDto {
  @IsArray()
  @ArrayMaxSize(5000)
  @IsString({ each: true })
  @MaxLength(80, { each: true })
  washIds: string[];
}
