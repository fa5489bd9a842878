import { randomUUID } from 'node:crypto';
import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { spotLadder, type SpotRecord } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { badField, notFound } from '../errors/api-error.js';
import { SpotPhotosRepository } from '../records/spot-photos.repository.js';
import { SpotsRepository } from '../records/spots.repository.js';
import { VehiclesRepository } from '../records/vehicles.repository.js';
import { ChangeSpotDto, SpotDto } from './spot.dto.js';

/** Spots on a car's record: where they sit, from what, what was tried and what was seen. */
@ApiTags('spots')
@Controller('vehicles/:vehicleId/spots')
export class SpotsController {
  constructor(
    private readonly spots: SpotsRepository,
    private readonly photos: SpotPhotosRepository,
    private readonly vehicles: VehiclesRepository,
    private readonly clock: ClockService,
  ) {}

  /** Spots on a vehicle, the oldest first. */
  @Get()
  async list(@Param('vehicleId') vehicleId: string): Promise<SpotRecord[]> {
    await this.vehicles.read(vehicleId);
    const [records, photos] = await Promise.all([
      this.spots.list(vehicleId),
      this.photos.idsBySpot(vehicleId),
    ]);
    return records.map((record) => ({ ...record, photoIds: photos.get(record.id) ?? [] }));
  }

  /** Keeps spots that were found now. */
  @Post()
  async add(@Param('vehicleId') vehicleId: string, @Body() dto: SpotDto): Promise<SpotRecord> {
    await this.vehicles.read(vehicleId);
    requireLadder(dto);
    const { note = '', ...found } = dto;
    const record: SpotRecord = { ...found, note, vehicleId, id: randomUUID(), atMs: this.clock.now() };
    await this.spots.insert([record]);
    return record;
  }

  /** Keeps what else was tried. */
  @Patch(':id')
  async change(
    @Param() of: { vehicleId: string; id: string },
    @Body() dto: ChangeSpotDto,
  ): Promise<SpotRecord> {
    const before = (await this.spots.list(of.vehicleId)).find(({ id }) => id === of.id);
    if (!before) throw notFound('spot', of.id);
    const after = { ...before, ...dto };
    requireLadder(after);
    if (!(await this.spots.update(of, dto))) throw notFound('spot', of.id);
    return after;
  }

  /** Deletes spots; they can be restored. */
  @Delete(':id')
  @HttpCode(204)
  async remove(@Param() of: { vehicleId: string; id: string }): Promise<void> {
    if (!(await this.spots.setRemoved(of, this.clock.now()))) throw notFound('spot', of.id);
  }

  /** Restores spots. */
  @Post(':id/restore')
  @HttpCode(204)
  async restore(@Param() of: { vehicleId: string; id: string }): Promise<void> {
    if (!(await this.spots.setRemoved(of, null))) throw notFound('spot', of.id);
  }
}

/** What was done has to be rungs of the ladder, in its order. @throws 400 naming the first that is not */
function requireLadder(spot: Pick<SpotRecord, 'age' | 'material' | 'cause' | 'done'>): void {
  const { done, rung } = spotLadder(spot, spot.done);
  if (done.length === spot.done.length) return;
  const field = `done.${done.length}.rung`;
  throw badField(field, `${field} does not follow what was done before: the ladder is at ${rung.id} there.`);
}
