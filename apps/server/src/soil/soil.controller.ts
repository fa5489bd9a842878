import { randomUUID } from 'node:crypto';
import { Body, Controller, Delete, HttpCode, Param, Post } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import {
  CAR_ZONE_IDS,
  type CarZone,
  MOST_SOIL_GRADE,
  QUICK_LOOKS,
  type QuickLook,
  quickLook,
  SOIL_KINDS,
  type SoilKind,
  type SoilLookRecord,
} from '@keen/core';
import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsIn, IsNumber, IsUUID, Max, Min } from 'class-validator';
import { ClockService } from '../clock/clock.service.js';
import { notFound } from '../errors/api-error.js';
import { AnswersService } from '../answers/answers.service.js';
import { SoilLooksRepository } from '../records/soil-looks.repository.js';

export class SoilLookDto {
  @ApiProperty({ enum: CAR_ZONE_IDS }) @IsIn([...CAR_ZONE_IDS]) zone: CarZone;
  @ApiProperty({ enum: SOIL_KINDS }) @IsIn(SOIL_KINDS) kind: SoilKind;
  @IsNumber() @Min(0) @Max(MOST_SOIL_GRADE) grade: number;
}

export class QuickLookDto {
  @ApiProperty({ enum: QUICK_LOOKS }) @IsIn(QUICK_LOOKS) look: QuickLook;
}

const MOST_LOOKS = 100;

export class LooksDto {
  @ApiProperty({ type: [String], format: 'uuid' })
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_LOOKS)
  @ArrayUnique()
  @IsUUID('4', { each: true })
  ids: string[];
}

/** What somebody saw on the car, which goes before the estimate until the next wash. */
@ApiTags('soil')
@Controller('vehicles/:vehicleId/soil')
export class SoilController {
  constructor(
    private readonly looks: SoilLooksRepository,
    private readonly verdicts: AnswersService,
    private readonly clock: ClockService,
  ) {}

  /** Keeps what was seen on a zone: kind and grade of soil. */
  @Post()
  async look(@Param('vehicleId') vehicleId: string, @Body() dto: SoilLookDto): Promise<SoilLookRecord> {
    const [record] = await this.keep(vehicleId, [dto]);
    if (!record) throw new Error('SoilController: a look was not kept');
    return record;
  }

  /** Keeps how the whole car looks at a glance: film and grit of every zone. */
  @Post('whole')
  lookAtWhole(
    @Param('vehicleId') vehicleId: string,
    @Body() { look }: QuickLookDto,
  ): Promise<SoilLookRecord[]> {
    return this.keep(vehicleId, quickLook(look));
  }

  private async keep(vehicleId: string, seen: readonly SoilLookDto[]): Promise<SoilLookRecord[]> {
    const { estimated } = await this.verdicts.condition(vehicleId);
    const atMs = this.clock.now();
    const records = seen.map(({ zone, kind, grade }): SoilLookRecord => {
      const then = estimated.find((one) => one.zone === zone && one.kind === kind);
      return { zone, kind, grade, estimatedThen: then?.grade ?? 0, vehicleId, id: randomUUID(), atMs };
    });
    await this.looks.insert(records);
    return records;
  }

  /** Deletes several looks at once; all or none. */
  @Post('delete')
  @HttpCode(204)
  async removeAll(@Param('vehicleId') vehicleId: string, @Body() { ids }: LooksDto): Promise<void> {
    await this.setAll(vehicleId, ids, this.clock.now());
  }

  /** Restores several looks at once; all or none. */
  @Post('restore')
  @HttpCode(204)
  async restoreAll(@Param('vehicleId') vehicleId: string, @Body() { ids }: LooksDto): Promise<void> {
    await this.setAll(vehicleId, ids, null);
  }

  private async setAll(vehicleId: string, ids: readonly string[], removedMs: number | null): Promise<void> {
    const found = await this.looks.setAllRemoved(vehicleId, ids, removedMs);
    const missing = ids.find((id) => !found.includes(id));
    if (missing !== undefined) throw notFound('look', missing);
  }

  /** Deletes a look at the soil; it can be restored. */
  @Delete(':id')
  @HttpCode(204)
  async remove(@Param() of: { vehicleId: string; id: string }): Promise<void> {
    if (!(await this.looks.setRemoved(of, this.clock.now()))) throw notFound('look', of.id);
  }

  /** Restores a look at the soil. */
  @Post(':id/restore')
  @HttpCode(204)
  async restore(@Param() of: { vehicleId: string; id: string }): Promise<void> {
    if (!(await this.looks.setRemoved(of, null))) throw notFound('look', of.id);
  }
}
