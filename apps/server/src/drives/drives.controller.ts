import { Body, Controller, Delete, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { type Drive, ROAD_CLASSES, type RoadClass, type DriveRecord, type ImportReport } from '@keen/core';
import { IsIn, IsInt, IsNumber, IsOptional } from 'class-validator';
import { ImportTrackDto } from '../imports/import.dto.js';
import { DrivesService } from './drives.service.js';

export class DriveDto {
  @IsInt() hourMs: number;
  @ApiProperty({ enum: ROAD_CLASSES }) @IsIn(ROAD_CLASSES) roadClass: RoadClass;
  @IsNumber() km: number;
  @ApiProperty({ type: Number, nullable: true }) @IsOptional() @IsNumber() meanKmh?: number | null;
}

@ApiTags('drives')
@Controller('vehicles/:vehicleId/drives')
export class DrivesController {
  constructor(private readonly drives: DrivesService) {}

  /** Drives of a vehicle, as they were logged or read from a track. */
  @Get()
  list(@Param('vehicleId') vehicleId: string): Promise<DriveRecord[]> {
    return this.drives.list(vehicleId);
  }

  /** Logs a drive: hour, class of road, kilometres and mean speed. */
  @Post()
  add(@Param('vehicleId') vehicleId: string, @Body() dto: DriveDto): Promise<DriveRecord> {
    return this.drives.add(vehicleId, { ...dto, meanKmh: dto.meanKmh ?? null });
  }

  /** A recorded way as GPX text: reported point by point, kept as the mode says. */
  @Post('import')
  @HttpCode(200)
  importTrack(
    @Param('vehicleId') vehicleId: string,
    @Body() dto: ImportTrackDto,
  ): Promise<ImportReport<Drive>> {
    return this.drives.importTrack(vehicleId, dto);
  }

  /** Deletes a drive; it can be restored. */
  @Delete(':id')
  @HttpCode(204)
  remove(@Param() of: { vehicleId: string; id: string }): Promise<void> {
    return this.drives.setRemoved(of, true);
  }

  /** Restores a drive. */
  @Post(':id/restore')
  @HttpCode(204)
  restore(@Param() of: { vehicleId: string; id: string }): Promise<void> {
    return this.drives.setRemoved(of, false);
  }
}
