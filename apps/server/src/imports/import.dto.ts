import { ROAD_CLASSES, type RoadClass, IMPORT_MODES, type ImportMode } from '@keen/core';
import { ApiProperty } from '@nestjs/swagger';
import { IsIn, IsNotEmpty, IsString, MaxLength } from 'class-validator';
import { MayBeAbsent } from '../errors/not-null.js';

const MOST_CHARACTERS = 8_000_000;

export class ImportDto {
  /** The file's text. */
  @IsString() @IsNotEmpty() @MaxLength(MOST_CHARACTERS) text: string;
  @ApiProperty({ enum: IMPORT_MODES }) @IsIn(IMPORT_MODES) mode: ImportMode;
}

export class ImportTrackDto extends ImportDto {
  /** One class for the whole way; by speed if absent. */
  @ApiProperty({ enum: ROAD_CLASSES, required: false })
  @MayBeAbsent()
  @IsIn(ROAD_CLASSES)
  roadClass?: RoadClass;
}
