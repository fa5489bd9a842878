import { randomUUID } from 'node:crypto';
import { Body, Controller, Delete, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { CAR_ZONE_IDS, type CarZone, swab, type SwabRecord } from '@keen/core';
import { IsIn, IsInt, IsNumber } from 'class-validator';
import { ClockService } from '../clock/clock.service.js';
import { badField, notFound } from '../errors/api-error.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { SwabsRepository } from '../records/swabs.repository.js';

export class SwabDto {
  @IsInt() atMs: number;
  @ApiProperty({ enum: CAR_ZONE_IDS }) @IsIn([...CAR_ZONE_IDS]) zone: CarZone;
  @IsNumber() deltaMicroSiemensPerCm: number;
  @IsNumber() volumeMl: number;
  @IsNumber() areaMm2: number;
}

/** Readings of a conductivity patch: each corrects the zone's load and, over time, how much the vehicle picks up. */
@ApiTags('swabs')
@Controller('vehicles/:vehicleId/swabs')
export class SwabsController {
  constructor(
    private readonly swabs: SwabsRepository,
    private readonly vehicles: VehiclesRepository,
    private readonly clock: ClockService,
  ) {}

  /** Salt readings of a vehicle, g/m². */
  @Get()
  async list(@Param('vehicleId') vehicleId: string): Promise<SwabRecord[]> {
    await this.vehicles.read(vehicleId);
    return this.swabs.list(vehicleId);
  }

  /** Keeps a salt reading, from a swab or a meter. */
  @Post()
  async add(@Param('vehicleId') vehicleId: string, @Body() dto: SwabDto): Promise<SwabRecord> {
    const vehicle = await this.vehicles.read(vehicleId);
    if (dto.atMs > this.clock.now())
      throw badField('atMs', 'atMs is in the future; a reading has been taken.');
    if (dto.atMs < vehicle.knownSinceMs)
      throw badField('atMs', "atMs is before this vehicle's record begins.");
    const gramsPerM2 = swab(dto).mgPerM2 / 1000;
    const record: SwabRecord = { ...dto, gramsPerM2, vehicleId, id: randomUUID() };
    await this.swabs.insert([record]);
    return record;
  }

  /** Deletes a salt reading; it can be restored. */
  @Delete(':id')
  @HttpCode(204)
  async remove(@Param() of: { vehicleId: string; id: string }): Promise<void> {
    if (!(await this.swabs.setRemoved(of, this.clock.now()))) throw notFound('swab', of.id);
  }

  /** Restores a salt reading. */
  @Post(':id/restore')
  @HttpCode(204)
  async restore(@Param() of: { vehicleId: string; id: string }): Promise<void> {
    if (!(await this.swabs.setRemoved(of, null))) throw notFound('swab', of.id);
  }
}
