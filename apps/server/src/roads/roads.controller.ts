import { Body, Controller, Delete, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import {
  BRINE_AGENT_IDS,
  ROAD_CLASSES,
  type RoadClass,
  type SaltAgent,
  type Treatment,
  type Bulletins,
  type ImportReport,
  type KeptBulletin,
} from '@keen/core';
import { IsIn, IsInt, IsNumber } from 'class-validator';
import { ImportDto } from '../imports/import.dto.js';
import { RoadsService } from './roads.service.js';

export class BulletinDto {
  @IsInt() atMs: number;
  @ApiProperty({ enum: ROAD_CLASSES }) @IsIn(ROAD_CLASSES) roadClass: RoadClass;
  @ApiProperty({ enum: BRINE_AGENT_IDS }) @IsIn([...BRINE_AGENT_IDS]) agent: SaltAgent;
  @IsNumber() gramsPerM2: number;
}

@ApiTags('roads')
@Controller('roads')
export class RoadsController {
  constructor(private readonly roads: RoadsService) {}

  /** What was spread on the roads this season, by who reported it. */
  @Get('bulletins')
  bulletins(): Promise<Bulletins> {
    return this.roads.bulletins();
  }

  /** Adds what was spread on a class of road, g/m², and when. */
  @Post('bulletins')
  add(@Body() dto: BulletinDto): Promise<KeptBulletin> {
    return this.roads.add(dto);
  }

  /** A table with the columns at, roadClass, agent, gramsPerM2: reported line by line, kept as the mode says. */
  @Post('bulletins/import')
  @HttpCode(200)
  importTable(@Body() dto: ImportDto): Promise<ImportReport<Treatment>> {
    return this.roads.importTable(dto);
  }

  /** Deletes a bulletin; it can be restored. */
  @Delete('bulletins/:id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.roads.remove(id);
  }

  /** Restores a bulletin. */
  @Post('bulletins/:id/restore')
  @HttpCode(204)
  restore(@Param('id') id: string): Promise<void> {
    return this.roads.restore(id);
  }
}
